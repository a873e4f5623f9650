import { isBuilding } from '../../../data/pieceForms';
import { input, type ReasonInput } from '../../../documents/reason';
import type { StressSite } from '../../../physics/strength/stressSites';
import type { UnitSystem } from '../../../data/unitSystem';
import { stressSites } from '../../../plan/planCrack';
import { formatPressure } from '../../units/formatQuantity';
import { formatSignificant } from '../../units/roundNumber';
import { builtInStress } from '../../../physics/strength/crackOdds';
import { oddsInWords } from '../../odds';
import { bendingText } from '../bendingWords';
import { FORCE_SD } from '../../../data/steadiness';
import { percent, type Explain } from './explain';

/** What the web beside the hole and the groove are stretched by, where they are. */
const crackCaseLines = (sites: readonly StressSite[], units: UnitSystem): readonly ReasonInput[] =>
  sites
    .filter(({ kind }) => kind !== 'rim')
    .map(({ kind, pressedMpa }) =>
      input(
        kind === 'web' ? 'In the web beside the hole' : 'Under the groove, at the end',
        formatPressure(pressedMpa, units),
      ),
    );

export const crack: Explain = ({
  crack: odds,
  crackCase,
  headline,
  piece,
  thermalStressMpa,
  bending,
  setup,
  units,
}) => {
  const sites = stressSites(crackCase);
  return {
    text: isBuilding(piece)
      ? 'Of spoiling the face, by how it is held.'
      : bending.kind === 'bent'
        ? 'From bending, heat, built-in stress and handling.'
        : `From heat, built-in stress and handling. Bending is not in it: ${bendingText(bending)}`,
    inputs: [
      ...(isBuilding(piece)
        ? []
        : [
            ...(bending.kind === 'bent'
              ? [input('Bending', formatPressure(bending.stressMpa, units))]
              : []),
            input('Thermal stress', formatPressure(thermalStressMpa, units)),
            ...crackCaseLines(sites, units),
            input('Pressing varies by', percent(FORCE_SD[setup.hold])),
            input('Built-in stress', formatPressure(builtInStress(headline.material), units)),
            input('Drilled edge bears', formatPressure(odds.bearableMpa, units)),
            input('Weibull modulus m', formatSignificant(headline.material.weibullModulus, 2)),
            input('By stress', oddsInWords(odds.byStress)),
          ]),
      input(`By hand (${setup.hold}), Λ_hand`, oddsInWords(odds.byHand)),
      ...(odds.byTreatment > 0
        ? [input('That it is strengthened glass', oddsInWords(odds.byTreatment))]
        : []),
    ],
    source:
      '1 − exp(−(Λ_stress + Λ_hand)): Weibull’s (σ/σ₀)^m by the length under tension, averaged over force, heat and strength; handling, break-through, wear and thickness from practice.',
  };
};
