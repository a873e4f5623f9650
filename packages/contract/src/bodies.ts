import { holeSchema } from '@nucleon/core/documents/hole';
import { houseSchema } from '@nucleon/core/documents/house';
import { jobSchema } from '@nucleon/core/documents/job';
import { bitSchema, KIT_PART_SCHEMAS, machineSchema } from '@nucleon/core/documents/kit';
import { materialSchema } from '@nucleon/core/data/materials/material';
import { pieceSchema } from '@nucleon/core/documents/piece';
import { runEventSchema } from '@nucleon/core/documents/runEvent';
import {
  id,
  list,
  object,
  oneOf,
  someOf,
  text,
  wholeNumber,
  withFields,
  withoutFields,
  type ObjectSchema,
  type Schema,
} from '@nucleon/core/data/schema/schema';
import { MAX_EVENTS } from './runLimits';

/*
 * What requests carry: documents, and the version each was read at. Nothing of a document is described here.
 */

const version = wholeNumber(0, 2_147_483_647, 'the version it was read at, 0 when new');

/** A PUT: the document without the id its address has, and the version it was read at. */
const put = <T extends Record<string, Schema> & { id: Schema }>(schema: ObjectSchema<T>) =>
  withFields(withoutFields(schema, 'id'), { version });

export const putJob = put(jobSchema);
export const putPiece = put(pieceSchema);
export const putHole = put(holeSchema);
export const putBit = put(bitSchema);
export const putMachine = put(machineSchema);
export const putPart = {
  couplings: put(KIT_PART_SCHEMAS.couplings),
  supports: put(KIT_PART_SCHEMAS.supports),
  guides: put(KIT_PART_SCHEMAS.guides),
  water: put(KIT_PART_SCHEMAS.water),
};
export const putHouse = withFields(houseSchema, { version });
/** A job's own materials, written together with the job's version. */
export const putMaterials = object({ customMaterials: list(materialSchema, 200), version });

/** So many holes are laid out at once. */
const MAX_HOLES = 10_000;
/** A layout's PUT: the piece where it changed, the holes that did, those taken away and those brought back. */
export const putLayout = object(
  { holes: list(withFields(holeSchema, { version }), MAX_HOLES) },
  { piece: putPiece, removed: list(id, MAX_HOLES), restored: list(id, MAX_HOLES) },
);

const targets = list(object({ hazard: text(80), holeId: id }), MAX_HOLES);
/** Answers of a hole to take to others, and to take back from them. */
export const postCoverage = object({}, { take: targets, takeBack: targets });

/** Whether a run is learned from: as it is judged, or as a person says. */
export const putBelief = object({ belief: oneOf(['usual', 'left-out', 'put-back']) });

/** Several new bits at once: all of them are stored, or none. */
export const newBits = object({ bits: list(bitSchema, 2000) });

export const postEvents = object({ events: someOf(runEventSchema, MAX_EVENTS) });
