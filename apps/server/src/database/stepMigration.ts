import type { MigrationInterface, QueryRunner } from 'typeorm';

const RECORD = `CREATE TABLE IF NOT EXISTS migration_step (
  migration VARCHAR(120) NOT NULL,
  step INT NOT NULL,
  done_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (migration, step)) ENGINE=InnoDB`;

/** One statement, with its values where it has any. */
export type Statement = string | readonly [sql: string, values: readonly unknown[]];

/**
 * A migration that survives its own death. MariaDB ends a transaction at every change of a table, so a
 * migration is no unit: each statement is recorded once it is done, and those recorded are passed over the
 * next time. A statement whose record was lost with the process is run again, so each must bear that:
 * `IF NOT EXISTS`, `IF EXISTS`, `INSERT IGNORE`.
 */
export abstract class StepMigration implements MigrationInterface {
  abstract readonly name: string;
  protected abstract readonly steps: readonly Statement[];
  protected abstract readonly back: readonly string[];

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(RECORD);
    const rows = (await runner.query('SELECT step FROM migration_step WHERE migration = ?', [
      this.name,
    ])) as { step: number }[];
    const done = new Set(rows.map(({ step }) => step));
    for (const [step, statement] of this.steps.entries()) {
      if (done.has(step)) continue;
      const [sql, values] = typeof statement === 'string' ? [statement, []] : statement;
      await runner.query(sql, [...values]);
      await runner.query('INSERT IGNORE INTO migration_step (migration, step) VALUES (?, ?)', [
        this.name,
        step,
      ]);
    }
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const statement of this.back) await runner.query(statement);
    await runner.query('DELETE FROM migration_step WHERE migration = ?', [this.name]);
  }
}
