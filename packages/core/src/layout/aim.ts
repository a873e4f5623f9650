import type { Setup } from '../documents/setup';
import { MACHINE_KINDS, type MachineKindId } from '../data/machines/machineKinds';

/** How far off true each way of steering leans, degrees. */
export const AIM_DEG = { freehand: 2, level: 1, laser: 0.4, press: 0.3, rig: 0.2 } as const;
export type Aim = keyof typeof AIM_DEG;

/** The two sides of a hole are marked this well against each other, mm. */
export const MARKING_MM = 0.5;

export const tanDeg = (deg: number): number => Math.tan((deg * Math.PI) / 180);

/** Drift at the far end, mm: depth × tan(angle). */
export const exitOffset = (depthMm: number, aim: Aim): number => depthMm * tanDeg(AIM_DEG[aim]);

/**
 * How far two cuts may miss each other where they meet, mm: each drifts by its depth × tan(lean) on its own, and
 * the second mark is only so well carried over.
 */
export const crossingError = (
  nearMm: number,
  farMm: number,
  leanDeg: number,
  markingMm = MARKING_MM,
): number => Math.hypot(nearMm, farMm) * tanDeg(leanDeg) + markingMm;

/** Step where a hole met from both sides comes together in the middle, mm: √2 × offset of each half + marking. */
export const twoSidedMismatch = (depthMm: number, aim: Aim): number =>
  crossingError(depthMm / 2, depthMm / 2, AIM_DEG[aim]);

/** Angle a bit can lean in its guide, degrees: clearance over the guide's thickness. */
export const guideLean = (clearanceMm: number, guideThicknessMm: number): number =>
  (Math.atan(clearanceMm / guideThicknessMm) * 180) / Math.PI;

/** What keeps a bit straight. */
export type SteeredBy = 'press' | 'rig' | 'laser' | 'level' | 'guide' | 'hand';

/** Lean of the bit along and across the face, degrees, and what it is steered by. */
export interface Lean {
  readonly alongDeg: number;
  readonly acrossDeg: number;
  readonly how: SteeredBy;
}

/** A guide whose thickness or clearance nobody has measured. */
export const USUAL_GUIDE = { thicknessMm: 18, clearanceMm: 0.3 } as const;

/** How far the bit may lean as the hole is set up; a guide by its own play, never worse than free hand. */
export function leanOf(setup: Pick<Setup, 'guide' | 'hold'>, machine?: MachineKindId): Lean {
  const one = (deg: number, how: SteeredBy): Lean => ({ alongDeg: deg, acrossDeg: deg, how });
  // As the plan presumes: a guide guides, else the machine holds itself or is held.
  const hold =
    setup.hold ?? (setup.guide ? 'guided' : machine ? MACHINE_KINDS[machine].hold : 'freehand');
  switch (hold) {
    case 'press':
      return one(AIM_DEG.press, 'press');
    case 'rig':
      return one(AIM_DEG.rig, 'rig');
    case 'guided': {
      if (setup.guide?.kind === 'laser') return one(AIM_DEG.laser, 'laser');
      // A level shows one direction only.
      if (setup.guide?.kind === 'level')
        return { alongDeg: AIM_DEG.level, acrossDeg: AIM_DEG.freehand, how: 'level' };
      const { thicknessMm, clearanceMm } = { ...USUAL_GUIDE, ...setup.guide };
      return one(Math.min(AIM_DEG.freehand, guideLean(clearanceMm, thicknessMm)), 'guide');
    }
    default:
      return one(AIM_DEG.freehand, 'hand');
  }
}
