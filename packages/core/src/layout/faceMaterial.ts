import type { Material } from '../data/materials/material';
import { CAVITY, findMaterial } from '../data/materials/materials';
import type { Piece } from '../documents/piece';

/**
 * What the bit meets first: a layered piece is named for its first leaf.
 * @throws when the material is not known: the job check sees to it first
 */
export function faceMaterial(
  piece: Pick<Piece, 'material' | 'layers'>,
  custom: readonly Material[] = [],
): Material {
  const first =
    piece.layers?.find((layer) => layer.material !== CAVITY)?.material ?? piece.material;
  const material = findMaterial(first, custom);
  if (!material) throw new Error(`Material ${first} passed the job check but is not known.`);
  return material;
}
