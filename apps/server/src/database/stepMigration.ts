import type { MigrationInterface, QueryRunner } from 'typeorm';

const RECORD = `CREATE TABLE IF NOT EXISTS migration_step (
  migration VARCHAR(120) NOT NULL,
  step INT NOT NULL,
  done_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (migration, step)) ENGINE=InnoDB`;

/** One statement, with its values where it has any, or work that goes on where it was left. */
export type Statement =
  | string
  | readonly [sql: string, values: readonly unknown[]]
  | ((runner: QueryRunner) => Promise<void>);

/**
 * A migration that survives its own death. MariaDB ends a transaction at every change of a table, so a
 * migration is no unit: each statement is recorded once it is done, and those recorded are passed over the
 * next time. A statement whose record was lost with the process is run again, so each must bear that:
 * `IF NOT EXISTS`, `IF EXISTS`, `INSERT IGNORE`.
 */
export abstract class StepMigration implements MigrationInterface {
  abstract readonly name: string;
  protected abstract readonly steps: readonly Statement[];
  /** null where what was before cannot be made again: the copy made before the update holds it. */
  protected abstract readonly back: readonly string[] | null;

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(RECORD);
    const rows = (await runner.query('SELECT step FROM migration_step WHERE migration = ?', [
      this.name,
    ])) as { step: number }[];
    const done = new Set(rows.map(({ step }) => step));
    for (const [step, statement] of this.steps.entries()) {
      if (done.has(step)) continue;
      if (typeof statement === 'function') await statement(runner);
      else if (typeof statement === 'string') await runner.query(statement);
      else await runner.query(statement[0], [...statement[1]]);
      await runner.query('INSERT IGNORE INTO migration_step (migration, step) VALUES (?, ?)', [
        this.name,
        step,
      ]);
    }
  }

  async down(runner: QueryRunner): Promise<void> {
    if (this.back === null)
      throw new Error(`${this.name} cannot be undone; start from the copy made before it.`);
    for (const statement of this.back) await runner.query(statement);
    await runner.query('DELETE FROM migration_step WHERE migration = ?', [this.name]);
  }
}
