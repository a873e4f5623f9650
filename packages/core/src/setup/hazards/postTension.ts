import type { Hazard } from './gate';
import type { Judged } from '../../documents/gate';

export const isConcrete = (material: { readonly id: string }): boolean =>
  material.id === 'concrete' || material.id === 'reinforced-concrete';

/** A cut tendon lets go with the force of a truck. */
export const postTension: Hazard<'post-tension'> = {
  code: 'post-tension',
  title: 'Is this slab post-tensioned?',
  scope: 'piece',
  facts: ({ piece, materials }) => [piece.form, materials.some(isConcrete)],
  judge: ({ piece, materials }): Judged | null =>
    piece.form === 'floor' && materials.some(isConcrete)
      ? {
          level: 'stop',
          message:
            'A post-tensioned slab must never be cored: a cut tendon bursts out. If nobody knows, nobody drills.',
          answers: [
            { code: 'on-the-ground', label: 'It lies on the ground: a pad or path' },
            {
              code: 'not-post-tensioned',
              label: 'Known not to be post-tensioned',
              asks: 'Who says so, from which drawing',
            },
          ],
        }
      : null,
};
