import type { MigrationInterface, QueryRunner } from 'typeorm';

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
export class KnowThePiece1764100000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    const added = Object.entries(COLUMNS).map(([name, type]) => `ADD COLUMN ${name} ${type} NULL`);
    await runner.query(`ALTER TABLE piece ${added.join(', ')}`);
  }

  async down(runner: QueryRunner): Promise<void> {
    const dropped = Object.keys(COLUMNS).map((name) => `DROP COLUMN ${name}`);
    await runner.query(`ALTER TABLE piece ${dropped.join(', ')}`);
  }
}
