/** One start a data folder. */
import { link, lstat, mkdir, readFile, rename, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { endProcess, livesWith } from './run.mjs';

/** A lock is a line or two: what is larger was written by something else. */
const LARGEST_LOCK_BYTES = 4096;

/** When a process began, in clock ticks since boot: a process that bears its number later began later. */
async function beganAt(pid) {
  const stat = await readFile(`/proc/${pid}/stat`, 'utf8').catch(() => '');
  // The program's name stands in brackets and may hold blanks; the 22nd field is the 20th after it.
  return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19] ?? null;
}

const isPid = (value) => Number.isSafeInteger(value) && value > 1;

/** What a lock file says; an empty object where it was cut short, null where it is none of ours. */
function noteOf(text) {
  if (text.length > LARGEST_LOCK_BYTES) return null;
  if (text.trim() === '') return {};
  try {
    const note = JSON.parse(text);
    return typeof note === 'object' && note !== null && isPid(note.pid) ? note : null;
  } catch {
    return '{"pid":'.startsWith(text.slice(0, 7)) ? {} : null;
  }
}

/** Whether the start that wrote a lock still runs. */
async function isHeld({ pid, began }) {
  if (!isPid(pid)) return false;
  return began ? (await beganAt(pid)) === began : livesWith(pid, 'start.mjs');
}

/** @returns what stands at the path, read as a lock; undefined where nothing does */
async function readLock(path) {
  const found = await lstat(path).catch(() => undefined);
  if (!found) return undefined;
  if (!found.isFile() || found.size > LARGEST_LOCK_BYTES) return null;
  return noteOf(await readFile(path, 'utf8'));
}

/** What the start that runs on a folder noted of itself; null where none does. */
export async function readStart(folder) {
  const note = await readLock(join(folder, 'start.lock'));
  return note && (await isHeld(note)) ? note : null;
}

function cannotWrite(folder, error) {
  const why = {
    EACCES: 'this user may not write there',
    ENOSPC: 'its disk is full; make room',
    ENOTDIR: 'part of it is a file',
    EEXIST: 'it is a file',
    EROFS: 'its disk is read-only',
  }[error.code];
  return why
    ? new Error(`${folder} cannot be used: ${why}, or give another folder with --data DIR.`)
    : error;
}

/**
 * Takes the folder, or throws when another start has it. A lock left by a killed start is taken
 * over, and what it started is stopped; a file of that name which is no lock is set aside, not lost.
 * @returns {Promise<{ note: (more: object) => Promise<void>, release: () => Promise<void> }>}
 */
export async function takeFolder(folder) {
  const path = join(folder, 'start.lock');
  const own = `${path}.${process.pid}`;
  const mine = { pid: process.pid, began: await beganAt(process.pid) };
  const writeOwn = () => writeFile(own, JSON.stringify(mine));
  try {
    await mkdir(folder, { recursive: true });
    await writeOwn();
    // A link appears whole or not at all: nobody reads half a lock.
    for (;;) {
      const taken = await link(own, path).then(
        () => true,
        (error) => {
          if (error.code !== 'EEXIST') throw error;
          return false;
        },
      );
      if (taken) break;
      await clear(path, folder);
    }
  } catch (error) {
    throw cannotWrite(folder, error);
  } finally {
    await rm(own, { force: true });
  }
  return {
    note: async (more) => {
      Object.assign(mine, more);
      await writeOwn();
      await rename(own, path);
    },
    release: () => rm(path, { force: true }),
  };
}

/** Moves out of the way what stands where the lock goes; throws when a living start holds it. */
async function clear(path, folder) {
  const other = await readLock(path);
  if (other === undefined) return;
  if (other && (await isHeld(other))) {
    throw new Error(
      `Nucleon is already running on ${folder}${other.address ? ` at ${other.address}` : ''} (process ${other.pid}). Stop it first, or give another folder with --data DIR.`,
    );
  }
  if (other === null) {
    const aside = `${path}.set-aside-${Date.now()}`;
    await rename(path, aside);
    console.log(`${path} was no lock of Nucleon’s; it is now ${aside}.`);
    return;
  }
  if (isPid(other.serverPid)) await endProcess(other.serverPid, 'server/dist/main.js');
  // Another start may have taken over meanwhile: what is moved away must be what was read.
  const old = `${path}.${process.pid}.old`;
  await rename(path, old);
  if (JSON.stringify(await readLock(old)) !== JSON.stringify(other)) await link(old, path);
  await rm(old);
}
