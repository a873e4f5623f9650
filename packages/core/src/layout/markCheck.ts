import type { MarkReading } from '../documents/hole';
import { formatLengthShort } from '../words/units/length';
import type { UnitSystem } from '../words/units/unitSystem';
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
  readonly verdict: MarkVerdict;
  readonly text: string;
}

interface CheckScene {
  /** How far off its mark the part allows, mm; null where it does not say. */
  readonly toleranceMm: number | null;
  /** The edge rules judged where the mark lies now. */
  readonly brokenThere: JudgedRule | undefined;
  readonly brokenAsPlanned: JudgedRule | undefined;
  readonly units: UnitSystem;
}

/** What the tape read after marking, against the plan: how far off, and whether it matters. */
export function checkMark(tapes: TapePlan, reading: MarkReading, scene: CheckScene): MarkCheck {
  const { firstMm, secondMm, checkMm } = reading;
  const offsetMm = tapes.offsetFor(firstMm, secondMm);
  const errorMm = Math.hypot(offsetMm.xMm, offsetMm.yMm);
  const residualMm = checkMm === undefined ? null : checkMm - tapes.checkFor(firstMm, secondMm);
  const toleranceMm = scene.toleranceMm ?? USUAL_TOLERANCE_MM;
  const show = (mm: number): string => formatLengthShort(mm, scene.units);
  const base = { offsetMm, errorMm, residualMm, toleranceMm };
  if (residualMm !== null && Math.abs(residualMm) > 2 * TAPE_READING_MM) {
    return {
      ...base,
      verdict: 'misread',
      text: `The three do not agree: the check reads ${show(Math.abs(residualMm))} ${residualMm > 0 ? 'more' : 'less'} than the other two give. One was misread, or the corner is not square: measure all three again.`,
    };
  }
  const way = [
    Math.abs(offsetMm.xMm) < 0.05
      ? ''
      : `${show(Math.abs(offsetMm.xMm))} ${offsetMm.xMm > 0 ? 'right' : 'left'}`,
    Math.abs(offsetMm.yMm) < 0.05
      ? ''
      : `${show(Math.abs(offsetMm.yMm))} ${offsetMm.yMm > 0 ? 'up' : 'down'}`,
  ].filter(Boolean);
  const where =
    way.length === 0 ? 'The mark is where it should be' : `The mark lies ${way.join(' and ')}`;
  if (scene.brokenThere && !scene.brokenAsPlanned) {
    return {
      ...base,
      verdict: 'too-near',
      text: `${where}, and there it breaks a rule: ${scene.brokenThere.label.toLowerCase()}, ${show(scene.brokenThere.actualMm)} of the ${show(scene.brokenThere.requiredMm)} wanted. Mark it again.`,
    };
  }
  const allows = `${scene.toleranceMm === null ? 'as a rule' : 'for this part'} up to ${show(toleranceMm)} does not matter`;
  return errorMm <= toleranceMm
    ? { ...base, verdict: 'good', text: `${where}; ${allows}. Good.` }
    : {
        ...base,
        verdict: 'off',
        text: `${where}; ${allows}, and ${show(errorMm)} does. Mark it again.`,
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
