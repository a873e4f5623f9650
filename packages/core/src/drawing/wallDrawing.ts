import type { Drawing, Primitive, Tone } from '../math/primitives';
import type { Layer } from '../documents/piece';
import { CAVITY, findMaterial } from '../data/materials/materials';
import type { Material } from '../data/materials/material';
import { formatLengthShort } from '../words/units/length';
import type { UnitSystem } from '../data/unitSystem';

/** Height of the cut shown, over the wall's whole thickness. */
const HEIGHT_SHARE = 0.42;

/** A wall cut across, the outside to the left, every leaf to scale with its number and thickness above it. */
export function wallDrawing(
  layers: readonly Layer[],
  custom: readonly Material[],
  units: UnitSystem,
): Drawing {
  const total = layers.reduce((sum, layer) => sum + layer.thicknessMm, 0);
  const height = HEIGHT_SHARE * total;
  let x = 0;
  const primitives = layers.flatMap((layer, index): Primitive[] => {
    const from = x;
    x += layer.thicknessMm;
    const tone: Tone =
      layer.material === CAVITY
        ? 'void'
        : (findMaterial(layer.material, custom)?.class ?? 'masonry');
    // Words of neighbours stand at two heights, so that thin leaves keep theirs apart.
    const z = -0.09 * height - (index % 2) * 0.2 * height;
    return [
      { kind: 'area', x0: from, x1: x, z0: 0, z1: height, tone, outlined: true },
      {
        kind: 'dimension',
        x0: from,
        x1: x,
        z0: z,
        z1: z,
        text: `${index + 1} · ${formatLengthShort(layer.thicknessMm, units)}`,
      },
    ];
  });
  const names = layers
    .map(({ material }) => findMaterial(material, custom)?.name.toLowerCase() ?? 'cavity')
    .join(', ');
  return {
    primitives,
    x0: -0.03 * total,
    x1: 1.03 * total,
    z0: -0.55 * height,
    z1: 1.03 * height,
    description: `Cut through ${formatLengthShort(total, units)}, from the outside in: ${names}.`,
  };
}
