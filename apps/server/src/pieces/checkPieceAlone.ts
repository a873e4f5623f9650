import { checkJob } from '@nucleon/core/job/checkJob';
import type { Piece } from '@nucleon/core/documents/piece';
import { faultyProblem } from '../http/problem';
import type { JobRow } from '../jobs/jobEntity';
import { jobHeader } from '../jobs/jobMapping';

/** Refuses a piece whose own fields clash, whether it has holes yet or not. */
export function checkPieceAlone(job: JobRow, id: string, body: Omit<Piece, 'id'>): void {
  const faults = checkJob({
    format: 'nucleon-job',
    version: 1,
    job: jobHeader(job),
    pieces: [{ ...body, id, holes: [] }],
    customMaterials: job.customMaterials ?? [],
  });
  if (faults.length > 0) {
    throw faultyProblem(
      faults.map((fault) => ({ ...fault, pointer: fault.pointer.replace(/^\/pieces\/0/, '') })),
    );
  }
}
