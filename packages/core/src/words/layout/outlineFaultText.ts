import type { OutlineFault } from '../../layout/traceOutline';

/** Why points make no outline, in a sentence. */
export function outlineFaultText(fault: OutlineFault): string {
  switch (fault.code) {
    case 'too-few-points':
      return `An outline needs at least three points; ${fault.count} so far.`;
    case 'crosses-itself':
      return `The outline crosses itself near ${Math.round(fault.at.xMm)} × ${Math.round(fault.at.yMm)} mm; move a point so that its sides meet only at their ends.`;
    case 'encloses-nothing':
      return 'The outline encloses nothing.';
  }
}
