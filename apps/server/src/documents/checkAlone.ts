import type { JobFile } from '@nucleon/core/documents/jobFile';
import { checkJob } from '@nucleon/core/setup/checkJob';
import { faultsInWords } from '@nucleon/core/words/faults';
import { faultyProblem } from '../http/problem';

/** Refuses what clashes in itself: a piece before it has holes, a list of materials, a part of the kit. */
export function refuseClashes(
  things: Partial<Pick<JobFile, 'pieces' | 'kit' | 'customMaterials'>>,
  /** What of a pointer leads to the thing itself. */
  own = /^$/,
): void {
  const faults = faultsInWords(checkJob({ pieces: [], ...things }));
  if (faults.length > 0)
    throw faultyProblem(
      faults.map((fault) => ({ ...fault, pointer: fault.pointer.replace(own, '') })),
    );
}
