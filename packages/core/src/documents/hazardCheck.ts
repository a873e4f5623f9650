import { object, text, time, type Document } from '../data/schema/schema';

/** An answer given to a gate, with when it was given. */
export const hazardCheckSchema = object(
  {
    /** A hazard’s code: docs/hazards.md. */
    hazard: text(80),
    answer: text(200),
    at: time,
  },
  {
    /** What was written with it: who scanned, with what, which survey. */
    note: text(500),
    /** What it was answered for; when the piece or the work changes, it no longer holds. */
    of: text(500),
  },
);
export interface HazardCheck extends Document<typeof hazardCheckSchema> {}
