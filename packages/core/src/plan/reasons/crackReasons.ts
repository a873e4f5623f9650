import { input } from '../../reason/reason';
import { formatPressure } from '../../units/formatQuantity';
import { formatSignificant } from '../../units/roundNumber';
import { builtInStress } from '../../risk/crackOdds';
import { oddsInWords } from '../../risk/oddsWords';
import { bendingText } from '../bendingWords';
import { FORCE_SD } from '../spread';
import { percent, type Explain } from './explain';

export const crack: Explain = ({
  crack: odds,
  headline,
  piece,
  thermalStressMpa,
  bending,
  setup,
  units,
}) => {
  const isBuilding = piece.form === 'wall' || piece.form === 'floor';
  return {
    text: isBuilding
      ? 'Of spoiling the face, by how it is held.'
      : bending.kind === 'bent'
        ? 'From bending, heat, built-in stress and handling.'
        : `From heat, built-in stress and handling. Bending is not in it: ${bendingText(bending)}`,
    inputs: [
      ...(isBuilding
        ? []
        : [
            ...(bending.kind === 'bent'
              ? [input('Bending', formatPressure(bending.stressMpa, units))]
              : []),
            input('Heat stress', formatPressure(thermalStressMpa, units)),
            input('Pressing varies by', percent(FORCE_SD[setup.hold])),
            input('Built-in stress', formatPressure(builtInStress(headline.material), units)),
            input('Drilled edge bears', formatPressure(odds.bearableMpa, units)),
            input('Weibull modulus m', formatSignificant(headline.material.weibullModulus, 2)),
            input('By stress', oddsInWords(odds.byStress)),
          ]),
      input(`By hand (${setup.hold})`, oddsInWords(odds.byHand)),
    ],
    source:
      'Weibull, 1 − exp(−(σ/σ₀)^m), with the strength as its 5 % fractile, averaged over how unevenly one presses; handling and break-through from practice.',
  };
};
