import type { MarkReading } from '../documents/hole';
import type { JudgedRule } from './edgeRules';
import type { TapePlan } from './tapes';

/** A tape is read no finer than this, mm: what a check may differ by without meaning anything. */
export const TAPE_READING_MM = 1;
/** Where the part does not say how far off it may sit, mm. */
const USUAL_TOLERANCE_MM = 2;

export type MarkVerdict = 'good' | 'off' | 'misread' | 'too-near';

export interface MarkCheck {
  /** Where the mark lies against where it should: right and up positive, mm. */
  readonly offsetMm: { readonly xMm: number; readonly yMm: number };
  readonly errorMm: number;
  /** What the check tape read less what it should have, given the other two; null unread. */
  readonly residualMm: number | null;
  readonly toleranceMm: number;
  /** The part itself says how far off it may sit. */
  readonly partSays: boolean;
  readonly verdict: MarkVerdict;
  /** The rule that it breaks where it lies now, though not as planned. */
  readonly broken: JudgedRule | null;
}

interface CheckScene {
  /** How far off its mark the part allows, mm; null where it does not say. */
  readonly toleranceMm: number | null;
  /** The edge rules judged where the mark lies now. */
  readonly brokenThere: JudgedRule | undefined;
  readonly brokenAsPlanned: JudgedRule | undefined;
}

/** What the tape read after marking, against the plan: how far off, and whether it matters. */
export function checkMark(tapes: TapePlan, reading: MarkReading, scene: CheckScene): MarkCheck {
  const { firstMm, secondMm, checkMm } = reading;
  const offsetMm = tapes.offsetFor(firstMm, secondMm);
  const errorMm = Math.hypot(offsetMm.xMm, offsetMm.yMm);
  const residualMm = checkMm === undefined ? null : checkMm - tapes.checkFor(firstMm, secondMm);
  const toleranceMm = scene.toleranceMm ?? USUAL_TOLERANCE_MM;
  const broken = scene.brokenAsPlanned ? null : (scene.brokenThere ?? null);
  const misread = residualMm !== null && Math.abs(residualMm) > 2 * TAPE_READING_MM;
  return {
    offsetMm,
    errorMm,
    residualMm,
    toleranceMm,
    partSays: scene.toleranceMm !== null,
    broken,
    verdict: misread ? 'misread' : broken ? 'too-near' : errorMm <= toleranceMm ? 'good' : 'off',
  };
}

/** Holes whose heights follow each other this closely are marked as one row, mm. */
const ROW_MM = 5;

/** In which order to mark: from the datum upwards, row by row, every one from the datum itself. */
export function markingOrder<T extends { readonly xMm: number; readonly yMm: number }>(
  holes: readonly T[],
): readonly T[] {
  const rows: T[][] = [];
  for (const hole of [...holes].sort((a, b) => a.yMm - b.yMm)) {
    const row = rows.at(-1);
    const last = row?.at(-1);
    if (row && last && hole.yMm - last.yMm <= ROW_MM) row.push(hole);
    else rows.push([hole]);
  }
  return rows.flatMap((row) => row.sort((a, b) => a.xMm - b.xMm));
}
