import type { RunEvent } from '@nucleon/core/documents/runEvent';

/** The event with job, piece, hole and bit called by other ids; only the opening names them. */
export function renameRun(event: RunEvent, renamed: (id: string) => string): RunEvent {
  const { act } = event;
  if (act.kind !== 'open') return event;
  const { plan, subject } = act;
  return {
    ...event,
    act: {
      ...act,
      plan: {
        ...plan,
        holeId: renamed(plan.holeId),
        pieceId: renamed(plan.pieceId),
        setup: {
          ...plan.setup,
          bitId: plan.setup.bitId === null ? null : renamed(plan.setup.bitId),
        },
      },
      subject: {
        ...subject,
        jobId: renamed(subject.jobId),
        pieceId: renamed(subject.pieceId),
        holeId: renamed(subject.holeId),
      },
    },
  };
}
