/** One start a data folder. */
import { mkdir, readFile, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { livesWith } from './run.mjs';

/**
 * Takes the folder, or throws when another start has it. A lock left by a killed start is taken
 * over, and what it started is stopped.
 * @returns {Promise<{ note: (more: object) => Promise<void>, release: () => Promise<void> }>}
 */
export async function takeFolder(folder) {
  await mkdir(folder, { recursive: true });
  const path = join(folder, 'start.lock');
  const mine = { pid: process.pid };
  const write = (flag) => writeFile(path, JSON.stringify(mine), { flag });
  try {
    await write('wx');
  } catch (error) {
    if (error.code !== 'EEXIST') throw error;
    const other = JSON.parse((await readFile(path, 'utf8').catch(() => '')) || '{}');
    if (other.pid && (await livesWith(other.pid, 'start.mjs', readFile))) {
      throw new Error(
        `Nucleon is already running on ${folder}${other.address ? ` at ${other.address}` : ''} (process ${other.pid}). Stop it first, or give another folder with --data DIR.`,
      );
    }
    if (other.serverPid && (await livesWith(other.serverPid, 'src/main.ts', readFile)))
      process.kill(other.serverPid, 'SIGTERM');
    await write('w');
  }
  return {
    note: async (more) => {
      Object.assign(mine, more);
      await write('w');
    },
    release: () => rm(path, { force: true }),
  };
}
