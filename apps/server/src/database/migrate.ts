import type { DataSource } from 'typeorm';

/** Waits so long for another server that is preparing the same database, s. */
const WAIT_S = 120;

/**
 * Does work on the database that only one server may do at a time: several may start against one.
 * The lock is the node's own, so in a cluster the work must bear being done twice at once too.
 */
export async function oneAtATime<T>(source: DataSource, work: () => Promise<T>): Promise<T> {
  const runner = source.createQueryRunner();
  try {
    const [row] = (await runner.query(`SELECT GET_LOCK('nucleon-start', ${WAIT_S}) AS taken`)) as {
      taken: number | string | null;
    }[];
    if (Number(row?.taken) !== 1)
      throw new Error(
        `another server has been preparing this database for ${WAIT_S} s; start again when it is done`,
      );
    try {
      return await work();
    } finally {
      await runner.query("SELECT RELEASE_LOCK('nucleon-start')");
    }
  } finally {
    await runner.release();
  }
}

/** Names of the migrations a database has been through; none where it is new. */
export async function stepsTaken(source: DataSource): Promise<readonly string[]> {
  const tables: unknown[] = await source.query("SHOW TABLES LIKE 'migrations'");
  if (tables.length === 0) return [];
  const rows: { name: string }[] = await source.query(
    'SELECT name FROM migrations ORDER BY timestamp',
  );
  return rows.map(({ name }) => name);
}

/**
 * Brings the database to this version. One that a newer Nucleon has used is refused; one that holds
 * anything is copied first.
 * @param copy makes the copy and tells where it lies; the migration does not begin when it fails
 */
export async function migrate(
  source: DataSource,
  copy: () => Promise<void> = () => Promise.resolve(),
): Promise<void> {
  const taken = await stepsTaken(source);
  const known = new Set(source.migrations.map(({ name }) => name ?? ''));
  const newer = taken.find((name) => !known.has(name));
  if (newer !== undefined)
    throw new Error(
      `a newer Nucleon has used it (step ${newer}, which this one does not know); start that version, or give another database. Nothing was changed`,
    );
  if (taken.length === known.size) return;
  if (taken.length > 0) await copy();
  // Not in a transaction: MariaDB ends one at every change of a table. The steps record themselves.
  await source.runMigrations({ transaction: 'none' });
}
