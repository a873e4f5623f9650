import type { RunEvent } from '@nucleon/core/documents/runEvent';

/** The event with job, piece, hole, bits and machines called by other ids; only the opening names them. */
export function renameRun(event: RunEvent, renamed: (id: string) => string): RunEvent {
  const { act } = event;
  if (act.kind !== 'open') return event;
  const { plan, subject } = act;
  const orNull = (id: string | null): string | null => (id === null ? null : renamed(id));
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
          bitId: orNull(plan.setup.bitId),
        },
        pilots: plan.pilots.map((one) =>
          one.bitId === undefined ? one : { ...one, bitId: orNull(one.bitId) },
        ),
        ...(plan.operations
          ? {
              operations: plan.operations.map((one) => ({
                ...one,
                bitId: orNull(one.bitId),
                machineId: orNull(one.machineId),
              })),
            }
          : {}),
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
