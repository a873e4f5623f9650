import { type Material } from '../../data/materials/material';
import { hasTrait } from '../../data/materials/traits';
import { isFlat } from '../../data/pieceForms';
import type { GlassTreatment, PieceForm } from '../../data/choices';

/** Odds that glass bursts under the bit because of how it was treated, whatever the drilling. */
const BURSTS = {
  annealed: 0,
  tempered: 0.98,
  'heat-strengthened': 0.95,
  'chemically-strengthened': 0.8,
  'toughened-tableware': 0.95,
  'glass-ceramic': 0.5,
  wired: 0.2,
  'sealed-unit': 0.2,
  laminated: 0.03,
} as const satisfies Record<Exclude<GlassTreatment, 'unknown'>, number>;

/** A flat pane nobody vouches for is a strengthened one so often; a tested one hardly ever. */
const UNKNOWN_PANE = 0.15;
const TESTED_PANE = 0.01;
/** Bottles and studio work are presumed annealed, and now and then are not. */
const UNKNOWN_HOLLOW = 0.01;

/**
 * @param tested a label, its maker or the polariser vouched for it
 */
export function treatmentOdds(
  piece: { readonly form: PieceForm; readonly glassTreatment?: GlassTreatment },
  material: Pick<Material, 'class' | 'traits'>,
  tested: boolean,
): number {
  if (material.class !== 'glass') return 0;
  const treatment = piece.glassTreatment ?? 'unknown';
  if (treatment !== 'unknown') return BURSTS[treatment];
  const isPane = isFlat(piece) && !hasTrait(material, 'studio-fired');
  return isPane ? (tested ? TESTED_PANE : UNKNOWN_PANE) : UNKNOWN_HOLLOW;
}
