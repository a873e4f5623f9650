import { SIGN_IDS } from '../data/signs/signs';
import { HELP_ANSWERS } from '../data/choices';
import { LIMITS } from '../data/schema/limits';
import { runPlanSchema } from './runPlan';
import { runResultSchema } from './runResult';
import {
  id,
  kinds,
  list,
  number,
  object,
  oneOf,
  text,
  time,
  wholeNumber,
  withFields,
  yesNo,
  type Document,
} from '../data/schema/schema';

export type { RunPlan } from './runPlan';

/** What the run is of, in words, so that the record reads without the job. */
const subject = object(
  {
    jobId: id,
    jobName: text(200),
    pieceId: id,
    pieceName: text(200),
    holeId: id,
    holeName: text(200),
    material: text(80),
    thicknessMm: number(LIMITS.thicknessMm),
    diameterMm: number(LIMITS.diameterMm),
  },
  {
    /** To practise on, rather than a piece that counts. */
    practice: yesNo,
    /** Who drills. */
    person: text(80),
    /** What it was cut from: pieces of one sheet are alike. */
    sheet: text(80),
  },
);
export interface RunSubject extends Document<typeof subject> {}

/** What a person does; everything else follows from the plan and the clock. */
const act = kinds({
  /** `ready`: ids of the checks that were ticked. */
  open: object({ plan: runPlanSchema, subject, ready: list(text(80), 100) }),
  start: object({}),
  pause: object({}),
  resume: object({}),
  /** The rim is this deep: measured, or moved on the drawing by eye. */
  measure: object({
    depthMm: number({ min: 0, max: 5000, unit: 'mm' }),
    by: oneOf(['rule', 'eye']),
  }),
  /** The stop or step that is due is done. */
  next: object({}),
  /** The far face has given way; on a blind hole: at depth. */
  through: object({}),
  sign: object({ sign: oneOf(SIGN_IDS) }),
  helped: object({ of: id, answer: oneOf(HELP_ANSWERS) }),
  crack: object({}),
  abort: object({ why: text(500) }),
  /** Takes an earlier act back: it stays in the record and counts no more. */
  undo: object({ of: id }),
  /** From here on this device drives. */
  drive: object({}),
  result: object({ result: runResultSchema }),
});
export type RunAct = Document<typeof act>;
export type RunActKind = RunAct['kind'];

/** When something happened, by the wall clock and by one that is never set. */
const stamp = object({
  at: time,
  /** Steady clock since this session began. */
  tickMs: number({ min: 0, max: 1e12, unit: 'ms' }),
  /** One load of the page. */
  session: id,
});
export interface Stamp extends Document<typeof stamp> {}

/** One line of a run's record: written once, never changed. */
export const runEventSchema = withFields(stamp, {
  id,
  /** One more than the greatest the device knew: what orders the record. */
  n: wholeNumber(1, 1_000_000),
  device: id,
  act,
});
export interface RunEvent extends Document<typeof runEventSchema> {}
