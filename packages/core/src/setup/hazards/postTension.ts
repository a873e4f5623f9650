import { type Material } from '../../data/materials/material';
import { hasTrait } from '../../data/materials/traits';
import { defineHazard } from './hazard';

export const isConcrete = (material: Pick<Material, 'traits'>): boolean =>
  hasTrait(material, 'reinforceable');

/** A cut tendon lets go with the force of a truck. */
export const postTension = defineHazard({
  code: 'post-tension',
  scope: 'piece',
  facts: ({ piece, materials }) => [piece.form, materials.some(isConcrete)],
  judge: ({ piece, materials }) =>
    piece.form === 'floor' && materials.some(isConcrete)
      ? {
          level: 'stop',
          found: 'concrete-floor',
          answers: [{ code: 'on-the-ground' }, { code: 'not-post-tensioned', inWriting: true }],
        }
      : null,
});
