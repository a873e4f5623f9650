import { CAVITY } from '../data/materials/materials';
import type { Layer, Piece } from '../documents/piece';

/** What a piece becomes by its leaves: their sum, and named for the first solid one. */
export function withLayers(
  layers: readonly Layer[],
): Partial<Pick<Piece, 'layers' | 'material' | 'thicknessMm' | 'thicknessReadingsMm'>> {
  const total = layers.reduce((sum, layer) => sum + layer.thicknessMm, 0);
  const solid = layers.find((layer) => layer.material !== CAVITY);
  return {
    layers,
    // Hundredths: sums of typed lengths must not carry the noise of binary fractions.
    thicknessMm: Math.round(total * 100) / 100,
    thicknessReadingsMm: [],
    ...(solid ? { material: solid.material } : {}),
  };
}
