import { type DrillCase, resolveCase } from './drillCase';
import type { Bit, Machine } from '../documents/kit';
import type { Hole } from '../documents/hole';
import type { JobFile } from '../documents/jobFile';
import type { Piece } from '../documents/piece';
import type { Setup } from '../documents/setup';

/** A bench press that reaches any speed, so that a test sees the formulas and not the machine. */
const FREE_MACHINE: Machine = {
  id: 'free',
  name: 'Free machine',
  kind: 'small-drill-press',
  speeds: { kind: 'range', minRpm: 1, maxRpm: 40_000 },
  stallTorqueNm: 500,
  ratedPowerW: 5000,
};

const CUP_25: Bit = {
  id: 'cup25',
  name: 'Cup saw 25',
  family: 'plated-cup-saw',
  diameterMm: 25,
  rimWidthMm: 1,
};

export interface JobParts {
  readonly piece?: Partial<Piece>;
  readonly hole?: Partial<Hole>;
  readonly setup?: Partial<Setup>;
  readonly bits?: readonly Bit[];
  readonly machine?: Machine;
}

/** The same hole as a case. */
export function caseWith(parts: JobParts = {}): DrillCase {
  return caseIn(jobWith(parts));
}

/** A file's hole as a case; of its only one where none is named. */
export function caseIn(file: JobFile, holeId = file.pieces[0]?.holes[0]?.id ?? ''): DrillCase {
  const resolved = resolveCase(file, holeId);
  if (resolved.kind === 'faulty') throw new Error(JSON.stringify(resolved.faults));
  return resolved.drillCase;
}

/** A valid job with one annealed 6 mm pane and one hole of 25 mm, changed in the named parts. */
export function jobWith(parts: JobParts = {}): JobFile {
  return {
    format: 'nucleon-job',
    version: 1,
    job: { id: 'job', name: 'Test' },
    kit: { bits: parts.bits ?? [CUP_25], machines: [parts.machine ?? FREE_MACHINE] },
    pieces: [
      {
        id: 'pane',
        name: 'Pane',
        form: 'sheet',
        material: 'float-glass',
        thicknessMm: 6,
        outline: { kind: 'rectangle', widthMm: 400, heightMm: 300 },
        glassTreatment: 'annealed',
        ...parts.piece,
        holes: [
          {
            id: 'hole',
            xMm: 200,
            yMm: 150,
            diameterMm: 25,
            depth: { kind: 'through' },
            ...parts.hole,
            setup: {
              bit: (parts.bits ?? [CUP_25])[0]?.id ?? 'cup25',
              machine: 'free',
              hold: 'guided',
              support: { kind: 'foam' },
              water: { kind: 'still-bath' },
              ...parts.setup,
            },
          },
        ],
      },
    ],
  };
}
