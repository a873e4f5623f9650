import { HOLDS, PACES, STARTS } from '../data/choices';
import { FEED_AID_IDS } from '../data/machines/feedAids';
import { FACES, HELPS, OPERATION_KIND_IDS } from '../data/operations';
import { LIMITS } from '../data/schema/limits';
import {
  id,
  list,
  number,
  object,
  oneOf,
  text,
  wholeNumber,
  yesNo,
  type Document,
} from '../data/schema/schema';
import { guideSchema, waterSchema } from './setup';

/** A leaf of a wall may be named instead of its depths. */
const MAX_LEAVES = 100;
const depth = number({ min: 0, max: LIMITS.thicknessMm.max, unit: 'mm' });

/**
 * One thing done to a hole. What is left out comes from the hole’s setup, and what that leaves out from the
 * planner. Depths are counted from the operation’s own face.
 */
export const operationSchema = object(
  { id, does: oneOf(OPERATION_KIND_IDS) },
  {
    /** An owned bit; left out, the planner takes one. */
    bitId: id,
    machineId: id,
    /** Adapters and extensions between them, machine first. */
    couplingIds: list(id, 5),
    guide: guideSchema,
    feedAid: oneOf(FEED_AID_IDS),
    face: oneOf(FACES),
    fromMm: depth,
    toMm: depth,
    /** The leaf it goes through, counted from 1 at its own face, in place of its depths. */
    leaf: wholeNumber(1, MAX_LEAVES),
    /** What it opens the hole to, where no bit is named. */
    diameterMm: number(LIMITS.diameterMm),
    wet: yesNo,
    water: waterSchema,
    /** The machine’s hammer, for this operation alone. */
    hammer: yesNo,
    hold: oneOf(HOLDS),
    start: oneOf(STARTS),
    pace: oneOf(PACES),
    rimSpeedMPerS: number(LIMITS.rimSpeedMPerS),
    contactPressureMpa: number(LIMITS.contactPressureMpa),
    /** What a second person does meanwhile. */
    helper: oneOf(HELPS),
    notes: text(500),
  },
);
export interface Operation extends Document<typeof operationSchema> {}
