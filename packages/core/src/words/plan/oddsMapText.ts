import { oddsInWords } from '../odds';
import { formatPressure } from '../units/formatQuantity';
import { formatLengthShort } from '../units/length';
import type { UnitSystem } from '../../data/unitSystem';

/** Under this ratio of worst to best the odds are the same all over. */
export const ODDS_ALIKE = 1.15;

/** What a map of odds comes to, in a sentence or two; `odds` is NaN where the hole cannot be. */
export function oddsMapText(odds: readonly number[]): string {
  const known = odds.filter((one) => !Number.isNaN(one));
  if (known.length === 0)
    return 'The hole has no room anywhere: it would run over an edge, or the piece would tip.';
  const best = Math.min(...known);
  const worst = Math.max(...known);
  return worst < ODDS_ALIKE * best
    ? `About ${oddsInWords(best)} wherever it is: on this bed the place hardly matters, and handling decides.`
    : `From ${oddsInWords(best)}, pale, to ${oddsInWords(worst)}, dark, if the hole were there.`;
}

/** One place of the map. */
export const oddsHereText = (
  at: { readonly xMm: number; readonly yMm: number },
  odds: number,
  bendingMpa: number,
  units: UnitSystem,
): string =>
  Number.isNaN(odds)
    ? 'The hole cannot be there.'
    : `At ${formatLengthShort(at.xMm, units)} × ${formatLengthShort(at.yMm, units)}: ${oddsInWords(odds)}, bent to ${formatPressure(bendingMpa, units)}.`;
