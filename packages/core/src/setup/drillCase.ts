import type { Hole } from '../documents/hole';
import type { Experience } from '../documents/experience';
import type { House } from '../documents/house';
import type { JobHeader } from '../documents/job';
import type { JobFile } from '../documents/jobFile';
import type { Kit } from '../documents/kit';
import type { Material } from '../data/materials/material';
import type { Piece } from '../documents/piece';
import type { Setup } from '../documents/setup';
import type { JobFault } from './jobFault';

/** All that one hole is worked out from. */
export interface DrillCase {
  /** Answers given for the whole job settle gates of this hole too. */
  readonly job: Pick<JobHeader, 'checks'>;
  readonly piece: Piece;
  readonly hole: Hole;
  readonly kit: Kit;
  /** Of one's own, beside the reference table. */
  readonly materials: readonly Material[];
  readonly habits: House;
  /** What the log tells; absent for a plan as of a new workshop. */
  readonly experience?: Experience | null;
}

export type CaseOutcome =
  | { readonly kind: 'resolved'; readonly drillCase: DrillCase }
  | { readonly kind: 'faulty'; readonly faults: readonly JobFault[] };

/** One hole of a job file with everything it is worked out from; a fault where no hole, or more than one, has this id. */
export function resolveCase(file: JobFile, holeId: string): CaseOutcome {
  const found = casesOf(file).filter(({ hole }) => hole.id === holeId);
  const [drillCase, another] = found;
  if (drillCase && !another) return { kind: 'resolved', drillCase };
  return {
    kind: 'faulty',
    faults: [
      another
        ? {
            pointer: '',
            code: 'hole-in-many-pieces',
            id: holeId,
            pieces: found.map(({ piece }) => piece.name),
          }
        : { pointer: '', code: 'no-such-hole', id: holeId, job: file.job.name },
    ],
  };
}

/** Every hole of a job file, each with what it is worked out from, in the file’s order. */
export const casesOf = ({
  job,
  pieces,
  kit = {},
  customMaterials: materials = [],
  house: habits = {},
}: JobFile): readonly DrillCase[] =>
  pieces.flatMap(({ holes, ...piece }) =>
    holes.map((hole) => ({ job, piece, hole, kit, materials, habits })),
  );

/** The same case with another setup, place or size of its hole. */
export const withHole = (drillCase: DrillCase, change: Partial<Hole>): DrillCase => ({
  ...drillCase,
  hole: { ...drillCase.hole, ...change },
});

/** The same hole set up otherwise: its operations are derived anew. */
export function withSetup(drillCase: DrillCase, setup: Setup): DrillCase {
  const { operations: _listed, ...hole } = drillCase.hole;
  return { ...drillCase, hole: { ...hole, setup } };
}
