import { BIT_FAMILIES } from '../../../data/bits/bitFamilies';
import { formatLength, formatLengthShort } from '../../units/length';
import type { PlanInUnits } from '../planInUnits';
import { type Explain } from './explain';
import { input } from '../../../documents/reason';

export const bit: Explain = ({ setup, hole, units }) => {
  const { owned, geometry, bit: chosen } = setup.finishing;
  const family = BIT_FAMILIES[geometry.family];
  const assumed = setup.assumed.includes('bit');
  return {
    text: !assumed
      ? family.note
      : owned
        ? `The nearest you own to ${formatLengthShort(hole.diameterMm, units)}.`
        : `Assumed: a new ${family.name.toLowerCase()} of ${formatLengthShort(hole.diameterMm, units)}, usual for this piece.`,
    inputs: [
      input('Rim width w', formatLength(geometry.rimWidthMm, units)),
      input('Depth cut so far', formatLength(chosen.depthCutMm ?? 0, units)),
    ],
    source: assumed ? 'Usual family of bit for this material and size.' : 'Your choice.',
  };
};

export const choice =
  (name: string, value: (context: PlanInUnits) => string, why: string): Explain =>
  (context) => {
    const { assumed, byHabit } = context.setup;
    const chosen = [input('Chosen', value(context))];
    if (!assumed.includes(name))
      return { text: 'Your choice.', inputs: chosen, source: 'Your choice.' };
    return byHabit.includes(name)
      ? {
          text: 'Your house habit.',
          inputs: chosen,
          source:
            'Remembered from where the ways were compared; change it here for this hole only.',
        }
      : {
          text: `Assumed: ${why}`,
          inputs: chosen,
          source: 'Usual practice for this piece; change it and the plan follows.',
        };
  };
