import type { FromLog, Plan } from '../../documents/plan';
import { counted } from '../sentence';
import { formatDuration } from '../units/formatQuantity';
import { formatSignificant } from '../units/roundNumber';

/** Nearer to what is calculated than this is as calculated. */
const SAME = 0.05;

const timesOf = (times: number): string =>
  Math.abs(times - 1) < SAME ? 'about' : `${formatSignificant(times, 2)} times`;

const whose = ({ alike, holes }: FromLog): string =>
  alike > 0
    ? `By ${counted(alike, 'hole')} of yours like this`
    : `None like this in your log; by ${counted(holes, 'other hole')}`;

/** What a plan took from the log, beside what is calculated; null where it took nothing. */
export function fromLogText({ fromLog }: Pick<Plan, 'fromLog'>): string | null {
  if (!fromLog) return null;
  const { times, asNew } = fromLog;
  if (!asNew.drillTimeS) return `${whose(fromLog)}.`;
  const calculated = formatDuration(asNew.drillTimeS.p50);
  return `${whose(fromLog)}: ${timesOf(times)} the ${calculated} that are calculated.`;
}
