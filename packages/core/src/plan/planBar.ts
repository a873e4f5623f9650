import type { PlannedBar } from '../documents/plan';
import { BIT_FAMILIES } from '../data/bits/bitFamilies';
import { MATERIALS } from '../data/materials/materials';
import { hasTrait } from '../data/materials/traits';
import { cutMaterial, type LayerCut } from '../setup/cutLayers';
import type { ResolvedSetup } from '../setup/resolvedSetup';

/** A usual reinforcing bar across the cut, mm: so long the arms have to last. */
const BAR_MM = 12;

const STEEL = Object.values(MATERIALS).find((material) => hasTrait(material, 'steel'));

/**
 * What this bit does in a reinforcing bar met on the way: the same relations with the numbers of the body at its
 * steel. null where nothing on the way may hold one, or the bit is not made for it.
 */
export function planBar(layers: readonly LayerCut[], setup: ResolvedSetup): PlannedBar | null {
  const { bit } = setup.finishing;
  const mayHold = layers.some(({ parts }) =>
    parts.some(
      ({ cut: { material } }) => material.class === 'masonry' && !hasTrait(material, 'steel'),
    ),
  );
  if (!mayHold || !STEEL || !BIT_FAMILIES[bit.family].suits(STEEL)) return null;
  const { speed, force, rateMmPerS, lifeDepthMm } = cutMaterial(
    STEEL,
    setup.finishing,
    { ...setup, hammer: false },
    0,
    BAR_MM,
  );
  return rateMmPerS > 0
    ? { rpm: speed.rpm, feedForceN: force.feedForceN, rateMmPerS, lifeDepthMm }
    : null;
}
