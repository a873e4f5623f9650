import { createReadStream } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';
import type { DataSource } from 'typeorm';
import { besideUrl, databaseAddress } from '../database/databaseAddress';
import { createDataSource } from '../database/dataSource';
import { migrate, oneAtATime } from '../database/migrate';
import { backUp, type BackupHead } from './backUp';
import { databaseClient } from './databaseClient';
import { readBackup } from './readBackup';

export type RestoreOutcome =
  /** `copiedTo`: what stood there before. */
  | { readonly kind: 'restored'; readonly head: BackupHead; readonly copiedTo: string }
  | { readonly kind: 'refused'; readonly why: string };

/**
 * Puts a backup in the place of a database that is in use. It is checked, loaded beside, and brought to this version
 * first; then all tables change place in one statement, and what stood there is copied. Servers keep nothing of the old but
 * what they remember: they are to be started anew.
 * @param copies folder for the copy of what stands there
 */
export async function restore(
  databaseUrl: string,
  path: string,
  copies: string,
  at: Date,
): Promise<RestoreOutcome> {
  const check = await readBackup(path);
  if (check.kind === 'unsound')
    return { kind: 'refused', why: `“${path}” cannot be put back: ${check.why}.` };
  const source = createDataSource(databaseUrl, { longestStatementMs: Infinity });
  try {
    await source.initialize();
    const copiedTo = await oneAtATime(source, () =>
      change(source, { databaseUrl, path, copies, at }),
    );
    return { kind: 'restored', head: check.head, copiedTo };
  } catch (error) {
    return {
      kind: 'refused',
      why: `“${path}” could not be put back: ${error instanceof Error ? error.message : String(error)}. Nothing was changed.`,
    };
  } finally {
    if (source.isInitialized) await source.destroy();
  }
}

interface Restoring {
  readonly databaseUrl: string;
  readonly path: string;
  readonly copies: string;
  readonly at: Date;
}

/** @returns where the copy of what stood there lies */
async function change(
  source: DataSource,
  { databaseUrl, path, copies, at }: Restoring,
): Promise<string> {
  const live = databaseAddress(databaseUrl).database;
  const [beside, before] = [`${live}_restore`, `${live}_before`];
  try {
    await source.query(`CREATE DATABASE IF NOT EXISTS \`${before}\``);
    // One that was killed left here what stood before: it is kept.
    if ((await tablesOf(source, before)).length > 0)
      await backUp(besideUrl(databaseUrl, before), copies, 'left-over', at);
    for (const name of [beside, before]) await makeAnew(source, name);
    await load(besideUrl(databaseUrl, beside), path);
    await settle(source, { live, next: beside }, at);
    await swap(source, { live, next: beside, out: before });
    try {
      // Copied when it is out of use: whatever was written to the last moment is in it.
      return await backUp(besideUrl(databaseUrl, before), copies, 'before-restore', at);
    } catch (error) {
      await swap(source, { live, next: before, out: beside });
      throw error;
    }
  } finally {
    for (const name of [beside, before]) await source.query(`DROP DATABASE IF EXISTS \`${name}\``);
  }
}

async function makeAnew(source: DataSource, name: string): Promise<void> {
  await source.query(`DROP DATABASE IF EXISTS \`${name}\``);
  await source.query(
    `CREATE DATABASE \`${name}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`,
  );
}

/** Into an empty database, and up to this version. */
async function load(databaseUrl: string, path: string): Promise<void> {
  const { child, ended } = await databaseClient('mariadb', databaseUrl);
  if (child.stdin) await pipeline(createReadStream(path), createGunzip(), child.stdin);
  await ended;
  const source = createDataSource(databaseUrl, { longestStatementMs: Infinity });
  await source.initialize();
  try {
    await migrate(source);
  } finally {
    await source.destroy();
  }
}

/**
 * What must not come back with it. A server that goes on for a moment has read the kit at some version: the restored kit is
 * a later one. Devices signed out since, links used or ended since would open again: all of them end, and people sign in anew;
 * passkeys taken off since stay off.
 */
async function settle(
  source: DataSource,
  { live, next }: Readonly<Record<'live' | 'next', string>>,
  at: Date,
): Promise<void> {
  if ((await tablesOf(source, live)).includes('workshop'))
    await source.query(
      `UPDATE \`${next}\`.workshop
         SET kit_version = kit_version + 1 + (SELECT COALESCE(MAX(kit_version), 0) FROM \`${live}\`.workshop)`,
    );
  if ((await tablesOf(source, live)).includes('passkey'))
    await source.query(
      `DELETE FROM \`${next}\`.passkey WHERE id NOT IN (SELECT id FROM \`${live}\`.passkey)`,
    );
  for (const table of ['device', 'invitation', 'share'])
    await source.query(`UPDATE \`${next}\`.${table} SET ended_at = ? WHERE ended_at IS NULL`, [at]);
}

/** All tables of `live` out of use and all of `next` in, at once. */
async function swap(
  source: DataSource,
  { live, next, out }: Readonly<Record<'live' | 'next' | 'out', string>>,
): Promise<void> {
  const moves = [...(await movesOf(source, live, out)), ...(await movesOf(source, next, live))];
  await source.query(`RENAME TABLE ${moves.join(', ')}`);
}

async function tablesOf(source: DataSource, name: string): Promise<readonly string[]> {
  const rows: readonly Record<string, string>[] = await source.query(
    `SHOW TABLES FROM \`${name}\``,
  );
  return rows.flatMap((row) => Object.values(row));
}

const movesOf = async (source: DataSource, from: string, to: string): Promise<readonly string[]> =>
  (await tablesOf(source, from)).map(
    (table) => `\`${from}\`.\`${table}\` TO \`${to}\`.\`${table}\``,
  );
