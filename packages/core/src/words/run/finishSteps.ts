import { isHeldByStand } from '../../data/holds';
import { materialClassOf } from '../../run/runMaterial';
import type { RunState } from '../../run/runState';

export interface FinishStep {
  readonly id: string;
  readonly title: string;
  readonly detail: string;
}

/** From the wet hole to the fitted part and the clean bench. */
export function finishSteps({ plan }: Pick<RunState, 'plan'>): readonly FinishStep[] {
  const masonry = materialClassOf(plan) === 'masonry';
  const { setup, fit } = plan;
  const after = (fit?.followUps ?? []).filter(({ when }) => when === 'after');
  return [
    {
      id: 'rinse',
      title: 'Rinse',
      detail: 'The fines, before they dry: off the piece, the bit and the machine.',
    },
    {
      id: 'look',
      title: 'Look for cracks',
      detail: 'Light from the side along the edge, both faces, dry.',
    },
    {
      id: 'edge',
      title: 'Ease the edge',
      detail:
        'Fine abrasive, wet, a few strokes round both rims: a sharp edge is where the next crack begins.',
    },
    ...after.map(({ title, detail }, index) => ({ id: `part-${index}`, title, detail })),
    ...(fit?.results ?? []).map(({ key, label, text }) => ({
      id: `need-${key}`,
      title: label,
      detail: text,
    })),
    {
      id: 'slurry',
      title: 'The slurry',
      detail: masonry
        ? 'Let it settle overnight, pour off the clear water, bag the solids: not down the drain. It is alkaline: rinse your skin.'
        : 'Let it settle, pour off the clear water, bin the fines; wipe them up wet, never sweep them dry.',
    },
    ...(isHeldByStand(setup.hold)
      ? [
          {
            id: 'press',
            title: 'The press',
            detail: 'Dry the table and column, a little oil on both.',
          },
        ]
      : []),
    {
      id: 'bit',
      title: 'The bit',
      detail: setup.solid
        ? 'Rinse, dry, look at the tip.'
        : 'Rinse, look inside the barrel, dry, look at the rim.',
    },
  ];
}
