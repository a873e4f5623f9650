import type { Possibility, Piece } from '../documents/piece';
import type { Material } from '../data/materials/material';
import { findMaterial } from '../data/materials/materials';
import type { BitGeometry } from '../physics/cutting/bitGeometry';
import { cuttingWindow } from '../physics/cutting/pace';
import { MIN_CUTTING_SHARE } from '../physics/cutting/pressedTime';
import { rateAt, type MaterialCut } from './cutLayers';
import type { SetupCaps } from './resolvedSetup';

/** Less likely than this a thing is not planned for. */
const MIN_SHARE = 0.05;

export interface PossibleMaterial {
  readonly material: Material;
  readonly share: number;
}

/** What the piece may be, the likeliest first, shares adding up to one; none where it is known. */
export function possibleMaterials(
  materials: readonly Material[],
  piece: Piece,
): readonly PossibleMaterial[] {
  if (piece.layers?.length) return [];
  const known = (piece.couldBe ?? []).flatMap(({ material: id, share }: Possibility) => {
    const material = findMaterial(id, materials);
    return material && share >= MIN_SHARE ? [{ material, share }] : [];
  });
  if (known.length < 2) return [];
  const total = known.reduce((sum, one) => sum + one.share, 0);
  return known
    .map(({ material, share }) => ({ material, share: share / total }))
    .sort((a, b) => b.share - a.share);
}

/** No more force or speed than the tenderest of them stands. */
export function capsOf(
  possible: readonly PossibleMaterial[],
  bit: BitGeometry,
): SetupCaps | undefined {
  if (possible.length === 0) return undefined;
  const windows = possible.map(({ material }) => cuttingWindow(material, bit));
  return {
    pressureMpa: Math.min(...windows.map((window) => window.pressureMpa.high)),
    rimSpeedMPerS: Math.min(...windows.map((window) => window.rimSpeedMPerS.high)),
  };
}

/**
 * The same cut if the piece turns out to be something else: at the planned force and speed, or at
 * that material's own least pressure where the planned one would only polish it, and never past what
 * machine and arms give.
 */
export function cutIfOther(cut: MaterialCut, other: Material): MaterialCut {
  const window = cuttingWindow(other, cut.bit);
  const { contactPressureMpa: planned, maxN } = cut.force;
  const A_c = cut.contact.contactAreaMm2;
  // More friction takes more torque for the same force.
  const maxMpa = (maxN / A_c) * Math.min(1, cut.material.friction / other.friction);
  const p = Math.min(Math.max(planned, window.pressureMpa.low), maxMpa);
  const same = {
    ...cut,
    material: other,
    window,
    force: { ...cut.force, contactPressureMpa: p, feedForceN: p * A_c },
  };
  // What it would hardly bite at all it is pressed and lifted until it does, at a tenth of the force.
  const bitingN = (window.pressureMpa.glaze / 2 / (1 - MIN_CUTTING_SHARE)) * A_c;
  const rateMmPerS = rateAt(same, Math.max(same.force.feedForceN, bitingN), cut.speed.rpm);
  return { ...same, rateMmPerS };
}
