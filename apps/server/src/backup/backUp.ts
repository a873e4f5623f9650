import { createHash } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdir, open, rename, rm } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { createGzip } from 'node:zlib';
import { createDataSource } from '../database/dataSource';
import { stepsTaken } from '../database/migrate';
import { databaseClient } from './databaseClient';

/** First line of a backup, a comment to MariaDB. */
export const HEAD = '-- Nucleon backup ';
/** Last line, another: SHA-256 of all before it. */
export const SEAL = '-- sha256 ';
export const SEAL_BYTES = SEAL.length + 64 + 1;

/** What a backup says of itself. */
export interface BackupHead {
  readonly format: 1;
  readonly at: string;
  /** The last migration its database had been through. */
  readonly step: string;
}

/**
 * Copies a whole database, as it is at one moment, into `FOLDER/LABEL-TIME.sql.gz`.
 * @returns the file's path
 * @throws with a sentence when no copy could be made
 */
export async function backUp(
  databaseUrl: string,
  folder: string,
  label: string,
  at: Date,
): Promise<string> {
  const path = join(folder, `${label}-${at.toISOString().replaceAll(/[:.]/g, '-')}.sql.gz`);
  await writeBackup(databaseUrl, path, at);
  return path;
}

/**
 * The same into a file of one's own: gzip of SQL that `gunzip -c FILE | mariadb … DATABASE` reads, sealed. It is on the
 * disk, whole, when this returns; nothing of that name is there before.
 */
export async function writeBackup(databaseUrl: string, path: string, at: Date): Promise<void> {
  const part = `${path}.part`;
  try {
    await mkdir(dirname(path), { recursive: true });
    await pipeline(sealed(databaseUrl, at), createGzip(), createWriteStream(part, { mode: 0o600 }));
    const file = await open(part);
    await file.sync();
    await file.close();
    await rename(part, path);
  } catch (error) {
    await rm(part, { force: true });
    throw new Error(
      `no copy could be made: ${error instanceof Error ? error.message : String(error)}`,
      {
        cause: error,
      },
    );
  }
}

async function* sealed(databaseUrl: string, at: Date): AsyncGenerator<Buffer> {
  const hash = createHash('sha256');
  const counted = (bytes: Buffer): Buffer => {
    hash.update(bytes);
    return bytes;
  };
  const head: BackupHead = { format: 1, at: at.toISOString(), step: await lastStep(databaseUrl) };
  yield counted(Buffer.from(`${HEAD}${JSON.stringify(head)}\n`));
  const { child, ended } = await databaseClient('mariadb-dump', databaseUrl, [
    '--single-transaction',
    '--quick',
    '--hex-blob',
  ]);
  for await (const bytes of child.stdout ?? []) yield counted(bytes as Buffer);
  await ended;
  yield Buffer.from(`${SEAL}${hash.digest('hex')}\n`);
}

async function lastStep(databaseUrl: string): Promise<string> {
  const source = createDataSource(databaseUrl);
  await source.initialize();
  try {
    return (await stepsTaken(source)).at(-1) ?? '';
  } finally {
    await source.destroy();
  }
}
