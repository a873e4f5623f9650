import { formatDuration, formatDurationSpan } from '../units/formatQuantity';
import { formatLengthShort } from '../units/length';
import type { UnitSystem } from '../../data/unitSystem';
import type { RunRecord } from '../../run/runRecord';

/** `6 mm in 2.1 min, planned 1.6–3.2 min; chip 0.3 mm, planned under 0.9 mm`: a run beside its plan. */
export function runLine(
  run: Pick<
    RunRecord,
    | 'startedAt'
    | 'depthMm'
    | 'wholeDepthMm'
    | 'tookS'
    | 'plannedS'
    | 'exitChipMm'
    | 'plannedChipP90Mm'
  >,
  units: UnitSystem,
): string {
  if (run.startedAt === null) return 'Opened, not started.';
  const L = (mm: number): string => formatLengthShort(Math.round(mm * 10) / 10, units);
  const whole = run.depthMm >= run.wholeDepthMm - 0.05;
  const depth = whole ? L(run.depthMm) : `${L(run.depthMm)} of ${L(run.wholeDepthMm)}`;
  const planned = run.plannedS
    ? `, planned ${formatDurationSpan(run.plannedS.p10, run.plannedS.p90)}`
    : '';
  const chip =
    run.exitChipMm === null
      ? ''
      : `; exit chip ${L(run.exitChipMm)}${run.plannedChipP90Mm === null ? '' : `, planned ${run.plannedChipP90Mm > 0 ? `under ${L(run.plannedChipP90Mm)}` : 'none'}`}`;
  return `${depth} in ${formatDuration(run.tookS)}${planned}${chip}`;
}
