import { StepMigration } from '../stepMigration';

const COLUMNS = {
  thickness_readings_mm: 'JSON',
  damage: 'VARCHAR(20)',
  spare_available: 'TINYINT',
  year_made: 'DOUBLE',
  practice: 'TINYINT',
  could_be: 'JSON',
  knowing: 'JSON',
} as const;

/** What is found out of a piece: readings, damage, age, what it may be, and the answers so far. */
export class KnowThePiece1764100000000 extends StepMigration {
  readonly name = 'KnowThePiece1764100000000';
  protected readonly steps = [
    `ALTER TABLE piece ${Object.entries(COLUMNS)
      .map(([name, type]) => `ADD COLUMN IF NOT EXISTS ${name} ${type} NULL`)
      .join(', ')}`,
  ];
  protected readonly back = [
    `ALTER TABLE piece ${Object.keys(COLUMNS)
      .map((name) => `DROP COLUMN IF EXISTS ${name}`)
      .join(', ')}`,
  ];
}
