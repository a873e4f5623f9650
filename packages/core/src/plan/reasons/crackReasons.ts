import { input } from '../../reason/reason';
import { formatPressure } from '../../units/formatQuantity';
import { formatSignificant } from '../../units/roundNumber';
import { builtInStress } from '../../risk/crackOdds';
import type { Explain } from './explain';

/** An odds in words of a hundred: `about 3 in 100`, `under 1 in 1000`. */
export function oddsInWords(odds: number): string {
  if (odds >= 0.095) return `${formatSignificant(odds * 100, 2)} in 100`;
  if (odds >= 0.0095) return `${formatSignificant(odds * 100, 1)} in 100`;
  return odds >= 0.00095 ? `${formatSignificant(odds * 1000, 1)} in 1000` : 'under 1 in 1000';
}

export const crack: Explain = ({
  crack: odds,
  headline,
  piece,
  thermalStressMpa,
  setup,
  units,
}) => {
  const isBuilding = piece.form === 'wall' || piece.form === 'floor';
  return {
    text: isBuilding
      ? 'Of spoiling the face, by how it is held.'
      : 'From heat, built-in stress and handling. Bending on the support comes on top.',
    inputs: [
      ...(isBuilding
        ? []
        : [
            input('Heat stress', formatPressure(thermalStressMpa, units)),
            input('Built-in stress', formatPressure(builtInStress(headline.material), units)),
            input('Drilled edge bears', formatPressure(odds.bearableMpa, units)),
            input('Weibull modulus m', formatSignificant(headline.material.weibullModulus, 2)),
            input('By stress', oddsInWords(odds.byStress)),
          ]),
      input(`By hand (${setup.hold})`, oddsInWords(odds.byHand)),
    ],
    source:
      'Weibull, 1 − exp(−(σ/σ₀)^m), with the strength as its 5 % fractile; handling and break-through from practice.',
  };
};
