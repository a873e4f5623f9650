import { input, type Reason } from '../../../documents/reason';
import { capitalised } from '../../sentence';
import type { Bent } from '../../../documents/bending';
import { formatForce, formatPressure } from '../../units/formatQuantity';
import { formatLengthShort } from '../../units/length';
import { formatSignificant } from '../../units/roundNumber';
import { sinksInWords } from '../sinkingWords';
import { bendingText } from '../bendingWords';
import type { PlanInUnits } from '../planInUnits';
import { percent, type Explain } from './explain';

const SOURCE =
  'Kirchhoff plate by discrete Kirchhoff triangles (Batoz) on a foundation that does not pull, with its own weight; see docs/plate.md.';

/** Explains where the piece bends; says why where it is not calculated. */
const whereBent =
  (explain: (bent: Bent, context: PlanInUnits) => Omit<Reason, 'source'>): Explain =>
  (context) =>
    context.bending.kind === 'bent'
      ? { ...explain(context.bending, context), source: SOURCE }
      : { text: capitalised(bendingText(context.bending)), inputs: [], source: SOURCE };

export const bendingStress: Explain = whereBent((bent, { crack, headline, setup, units }) => ({
  text: `${bent.face === 'far' ? 'On the far face' : 'On the face towards you'}, at ${formatLengthShort(bent.at.xMm, units)} × ${formatLengthShort(bent.at.yMm, units)}. Keep all stress together under ${formatPressure(crack.limitMpa, units)}.`,
  inputs: [
    input('Pressed with', formatForce(headline.force.feedForceN, units)),
    input('Behind it', setup.support.name),
    input('At rest', formatPressure(bent.atRestMpa, units)),
    input('Under the rim', formatPressure(bent.underRimMpa, units)),
    input('Along the edge', formatPressure(bent.edgeMpa, units)),
    input('All stress together', formatPressure(crack.stressMpa, units)),
    input('Points calculated at', formatSignificant(bent.nodes, 3)),
  ],
  spread:
    'Support moduli are known to a factor of about two; the stress goes with the logarithm of them.',
}));

export const deflection: Explain = whereBent((bent, { setup, units }) => ({
  text: `It ${sinksInWords(bent.deflectionMm, units)} into what is under it.`,
  inputs: [
    input('Behind it', setup.support.name),
    input('Carried', formatForce(bent.carriedN, units)),
  ],
}));

export const liftOff: Explain = whereBent((bent) => ({
  text:
    bent.liftOffFraction > 0
      ? `About ${percent(bent.liftOffFraction)} of the bed loses touch.`
      : 'It touches its bed everywhere.',
  inputs: [input('Contact settled after', `${bent.rounds} rounds`)],
}));
