import type { Moment, Plan } from '../documents/plan';
import { formatDuration } from '../words/units/formatQuantity';
import { formatLengthShort } from '../words/units/length';
import type { UnitSystem } from '../data/unitSystem';

/** A stretch of the way down, as it is drawn: depth against time, both from 0 to 1. */
export interface TimelineStep {
  readonly fromDepth: number;
  readonly toDepth: number;
  readonly fromTime: number;
  readonly toTime: number;
  /** Standing still: a core comes out, water is changed. */
  readonly halt: boolean;
}

export interface TimelineMark {
  readonly kind: Moment['kind'];
  readonly depth: number;
  readonly time: number;
  readonly title: string;
  /** `102 mm, about 6.2 min`. */
  readonly when: string;
  readonly detail: string;
}

/** The depth line beside the section, and what happens along it. */
export interface TimelineDrawing {
  readonly steps: readonly TimelineStep[];
  readonly marks: readonly TimelineMark[];
  /** What happens from the far face, where the hole is finished from there; not drawn. */
  readonly farMarks: readonly TimelineMark[];
  readonly totalS: number;
  readonly depthMm: number;
  readonly description: string;
}

/** Depth over time of the near side; null where the bit would not cut all the way. */
export function timelineDrawing(plan: Plan, units: UnitSystem): TimelineDrawing | null {
  const moments = plan.timeline.filter((moment) => moment.side === 1);
  const last = moments.at(-1);
  const totalS = last?.atS ?? null;
  const farSide = plan.timeline.filter((moment) => moment.side === 2);
  if (!last || totalS === null || totalS <= 0) return null;
  const depthMm = plan.depthPerSideMm;
  const steps: TimelineStep[] = [];
  moments.forEach((moment, index) => {
    const at = moment.atS ?? 0;
    const next = moments[index + 1];
    if (moment.haltS > 0)
      steps.push({
        fromDepth: moment.depthMm / depthMm,
        toDepth: moment.depthMm / depthMm,
        fromTime: at / totalS,
        toTime: (at + moment.haltS) / totalS,
        halt: true,
      });
    if (next && next.depthMm > moment.depthMm)
      steps.push({
        fromDepth: moment.depthMm / depthMm,
        toDepth: next.depthMm / depthMm,
        fromTime: (at + moment.haltS) / totalS,
        toTime: (next.atS ?? totalS) / totalS,
        halt: false,
      });
  });
  const when = ({ depthMm: z, atS }: Moment): string =>
    `${formatLengthShort(z, units)}, ${z === 0 ? 'at the start' : `after about ${formatDuration(atS ?? 0)}`}`;
  const markOf = (moment: Moment): TimelineMark => ({
    kind: moment.kind,
    depth: moment.depthMm / depthMm,
    time: (moment.atS ?? 0) / totalS,
    title: moment.title,
    when: when(moment),
    detail: moment.detail,
  });
  const marks = moments.map(markOf);
  return {
    steps,
    marks,
    farMarks: farSide.map(markOf),
    totalS,
    depthMm,
    description: `Depth over time: ${marks.map(({ title, when: at }) => `${title} at ${at}`).join('; ')}.`,
  };
}
