import { checkJob } from '@nucleon/core/job/checkJob';
import { faultyProblem } from '../http/problem';
import { pieceOf } from '../pieces/pieceMapping';
import type { LoadedJob } from '../plans/loadJob';
import { jobHeader } from './jobMapping';

/** Refuses materials that cannot be, and a list that lacks one a piece still names. */
export function checkMaterials({ job, pieces }: LoadedJob): void {
  const faults = checkJob({
    format: 'nucleon-job',
    version: 1,
    job: jobHeader(job),
    pieces: pieces.map((row) => ({ ...pieceOf(row), holes: [] })),
    customMaterials: job.customMaterials ?? [],
  });
  if (faults.length > 0) throw faultyProblem(faults);
}
