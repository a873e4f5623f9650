import { StepMigration } from '../stepMigration';

/** Each run as it is learned from, whether it is left out, and what all of them tell. */
export class Learned1764700000000 extends StepMigration {
  readonly name = 'Learned1764700000000';
  protected readonly steps = [
    `ALTER TABLE run ADD COLUMN IF NOT EXISTS logged JSON NULL,
       ADD COLUMN IF NOT EXISTS left_out TINYINT NULL`,
    `CREATE TABLE IF NOT EXISTS learned (
       id VARCHAR(80) NOT NULL PRIMARY KEY,
       hash VARCHAR(20) NOT NULL,
       learned_at DATETIME(3) NOT NULL,
       outcome JSON NOT NULL
     )`,
  ];
  protected readonly back = [
    'DROP TABLE IF EXISTS learned',
    'ALTER TABLE run DROP COLUMN IF EXISTS logged, DROP COLUMN IF EXISTS left_out',
  ];
}
