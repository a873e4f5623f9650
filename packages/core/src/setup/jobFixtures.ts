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

/** A wall of these leaves, from the near face to the far one. */
export const wallOf = (
  ...leaves: readonly (readonly [material: string, thicknessMm: number])[]
): Partial<Piece> => ({
  form: 'wall',
  material: leaves[0]?.[0] ?? '',
  thicknessMm: leaves.reduce((sum, [, thicknessMm]) => sum + thicknessMm, 0),
  layers: leaves.map(([material, thicknessMm]) => ({ material, thicknessMm })),
  outline: { kind: 'rectangle', widthMm: 2000, heightMm: 2000 },
});

/** A basalt pebble 9 mm thick with a hole of 6 in its middle. */
export const PEBBLE: JobParts = {
  piece: {
    form: 'bead',
    material: 'basalt',
    thicknessMm: 9,
    outline: { kind: 'circle', diameterMm: 40 },
  },
  hole: { xMm: 20, yMm: 20, diameterMm: 6 },
  bits: [
    { id: 'p', name: 'Point 1.5', family: 'plated-point', diameterMm: 1.5 },
    { id: 'r3', name: 'Rod 3', family: 'sintered-rod', diameterMm: 3 },
    { id: 'r6', name: 'Rod 6', family: 'sintered-rod', diameterMm: 6 },
  ],
};
