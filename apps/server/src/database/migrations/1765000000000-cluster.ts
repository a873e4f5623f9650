import { StepMigration } from '../stepMigration';

/** What is counted up where one writer at a time is wanted: nodes of a cluster see writes of each other, and no locks. */
export class Cluster1765000000000 extends StepMigration {
  readonly name = 'Cluster1765000000000';
  protected readonly steps = [
    'ALTER TABLE workshop ADD COLUMN IF NOT EXISTS locks BIGINT UNSIGNED NOT NULL DEFAULT 0',
  ];
  protected readonly back = ['ALTER TABLE workshop DROP COLUMN IF EXISTS locks'];
}
