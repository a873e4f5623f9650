import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { createWriteStream } from 'node:fs';
import { mkdir, open, rename } from 'node:fs/promises';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { createGzip } from 'node:zlib';

/**
 * Copies a whole database into `FOLDER/before-VERSION-TIME.sql.gz`, on the disk when it returns. Put back with
 * `gunzip -c FILE | mariadb … DATABASE`.
 * @returns the file's path
 * @throws with a sentence when no copy could be made
 */
export async function backUp(
  databaseUrl: string,
  folder: string,
  label: string,
  at: Date,
): Promise<string> {
  await mkdir(folder, { recursive: true });
  const path = join(folder, `${label}-${at.toISOString().replaceAll(/[:.]/g, '-')}.sql.gz`);
  const part = `${path}.part`;
  const url = new URL(databaseUrl);
  const dump = spawn(
    'mariadb-dump',
    [
      '--no-defaults',
      `--host=${url.hostname}`,
      `--port=${url.port || '3306'}`,
      `--user=${decodeURIComponent(url.username)}`,
      '--single-transaction',
      '--quick',
      '--hex-blob',
      '--default-character-set=utf8mb4',
      url.pathname.slice(1),
    ],
    {
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, MYSQL_PWD: decodeURIComponent(url.password) },
    },
  );
  let said = '';
  dump.stderr.on('data', (text: Buffer) => (said += text.toString()));
  const ended = once(dump, 'close') as Promise<[number | null]>;
  try {
    await pipeline(dump.stdout, createGzip(), createWriteStream(part, { mode: 0o600 }));
    const [code] = await ended;
    if (code !== 0) throw new Error(said.trim().slice(0, 500) || `mariadb-dump ended with ${code}`);
  } catch (error) {
    const why =
      (error as NodeJS.ErrnoException).code === 'ENOENT'
        ? 'mariadb-dump is not installed (Debian’s mariadb-client)'
        : String(error);
    throw new Error(`it must be copied before it is changed, and could not be: ${why}`, {
      cause: error,
    });
  }
  const file = await open(part);
  await file.sync();
  await file.close();
  await rename(part, path);
  return path;
}
