import { ODDS_ALIKE } from '@nucleon/core/words/plan/oddsMapText';

const PALEST = 0.06;
const DARKEST = 0.85;

/** Best and worst of a map; null where there is nothing on it. */
function oddsEnds(
  odds: readonly number[],
): { readonly best: number; readonly worst: number } | null {
  const known = odds.filter((one) => !Number.isNaN(one));
  if (known.length === 0) return null;
  return { best: Math.min(...known), worst: Math.max(...known) };
}

/** From pale where it cracks least to dark where most, by the logarithm; even where all is alike. */
export function oddsShade(odds: readonly number[]): (one: number) => number {
  const ends = oddsEnds(odds);
  if (!ends || ends.worst < ODDS_ALIKE * ends.best) return () => PALEST;
  const span = Math.log(ends.worst / ends.best);
  return (one) => PALEST + ((DARKEST - PALEST) * Math.log(one / ends.best)) / span;
}
