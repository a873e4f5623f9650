import type { LearningOutcome } from '@nucleon/core/run/learning/learningReport';
import { EntitySchema } from 'typeorm';
import { idColumn, json, text } from '../database/columns';

/** What a workshop's log tells, as it was worked out last. */
export interface LearnedRow {
  /** The workshop's. */
  id: string;
  hash: string;
  learnedAt: Date;
  outcome: LearningOutcome;
}

export const learnedEntity = new EntitySchema<LearnedRow>({
  name: 'learned',
  columns: {
    id: idColumn,
    hash: text('hash', 20),
    learnedAt: { type: 'datetime', precision: 3, name: 'learned_at' },
    outcome: json('outcome'),
  },
});
