import type { UnitSystem } from '../../data/unitSystem';
import type { MarkCheck } from '../../layout/markCheck';
import { formatLengthShort } from '../units/length';

/** Off by less than this in one direction is not said, mm. */
const MIN_SAID_MM = 0.05;

function whereText({ offsetMm: { xMm, yMm } }: MarkCheck, show: (mm: number) => string): string {
  const way = [
    Math.abs(xMm) < MIN_SAID_MM ? '' : `${show(Math.abs(xMm))} ${xMm > 0 ? 'right' : 'left'}`,
    Math.abs(yMm) < MIN_SAID_MM ? '' : `${show(Math.abs(yMm))} ${yMm > 0 ? 'up' : 'down'}`,
  ].filter(Boolean);
  return way.length === 0 ? 'The mark is where it should be' : `The mark lies ${way.join(' and ')}`;
}

/** How far off the mark lies, and whether it matters. */
export function markCheckText(check: MarkCheck, units: UnitSystem): string {
  const { residualMm, errorMm, toleranceMm, partSays, verdict, broken } = check;
  const show = (mm: number): string => formatLengthShort(mm, units);
  const where = whereText(check, show);
  const allows = `${partSays ? 'for this part' : 'as a rule'} up to ${show(toleranceMm)} does not matter`;
  switch (verdict) {
    case 'misread':
      return `The three do not agree: the check reads ${show(Math.abs(residualMm ?? 0))} ${(residualMm ?? 0) > 0 ? 'more' : 'less'} than the other two give. One was misread, or the corner is not square: measure all three again.`;
    case 'too-near':
      return `${where}, and there it breaks a rule: ${broken?.label.toLowerCase() ?? ''}, ${show(broken?.actualMm ?? 0)} of the ${show(broken?.requiredMm ?? 0)} wanted. Mark it again.`;
    case 'good':
      return `${where}; ${allows}. Good.`;
    case 'off':
      return `${where}; ${allows}, and ${show(errorMm)} does. Mark it again.`;
  }
}
