import { Type } from '@sinclair/typebox';
import { holeSchema } from './hole';
import { houseSchema, type House } from './house';
import { jobSchema, type JobHeader } from './job';
import {
  bitSchema,
  couplingSchema,
  machineSchema,
  ownedGuideSchema,
  ownedSupportSchema,
  ownedWaterSchema,
  type Kit,
} from './kit';
import { materialSchema, type Material } from '../data/materials/material';
import { pieceWithHolesSchema, type PieceWithHoles } from './piece';
import { loggedRunSchema, type LoggedRun } from './log';
import { id, list, loose, object, withFields, type Document } from '../data/schema/schema';

const MAX_PIECES = 1000;
const MAX_HOLES = 10_000;

const binnedHole = withFields(holeSchema, { pieceId: id });
/** What was deleted and may come back. */
const bin = object(
  {},
  { pieces: list(pieceWithHolesSchema, MAX_PIECES), holes: list(binnedHole, MAX_HOLES) },
);

/** The open job file, version 1; see docs/job-file.md. */
export const jobFileSchema = object(
  {
    format: Type.Literal('nucleon-job', { description: '"nucleon-job"' }),
    version: Type.Literal(1, { description: 'the number 1' }),
    job: jobSchema,
    pieces: list(pieceWithHolesSchema, MAX_PIECES),
  },
  {
    kit: object(
      {},
      {
        bits: list(bitSchema, 5000),
        machines: list(machineSchema, 1000),
        couplings: list(couplingSchema, 1000),
        // Early files had these in any shape: what has no name or kind is kept as it is.
        supports: list(loose(ownedSupportSchema), 1000),
        guides: list(loose(ownedGuideSchema), 1000),
        water: list(ownedWaterSchema, 1000),
      },
    ),
    customMaterials: list(materialSchema, 200),
    house: houseSchema,
    bin,
    // Early files had entries of any shape: what is no run goes through unread.
    log: list(loose(loggedRunSchema), 10_000),
  },
);

export interface JobFile {
  readonly format: 'nucleon-job';
  readonly version: 1;
  readonly job: JobHeader;
  readonly pieces: readonly PieceWithHoles[];
  readonly kit?: Kit;
  readonly customMaterials?: readonly Material[];
  readonly house?: House;
  readonly bin?: Document<typeof bin>;
  /** What was drilled: each run with everything that happened in it. */
  readonly log?: readonly LoggedRun[];
}
