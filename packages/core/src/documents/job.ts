import { hazardCheckSchema } from './hazardCheck';
import { id, list, name, object, text, type Document } from '../data/schema/schema';

/** What is known of a job beside its pieces. */
export const jobSchema = object(
  { id, name },
  { notes: text(10_000), checks: list(hazardCheckSchema, 200) },
);
export interface JobHeader extends Document<typeof jobSchema> {}
