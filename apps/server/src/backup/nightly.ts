import { readdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { backUp } from './backUp';

const LABEL = 'nightly';
/** A day, but for the hours between two looks. */
const DUE_AFTER_MS = 20 * 3600 * 1000;
/** So many are kept, the newest. */
const KEPT = 14;

/**
 * Copies the database once a day, and lets go of copies that are older than a fortnight of them.
 * @returns the new copy's path; null where none is due
 */
export async function backUpNightly(
  databaseUrl: string,
  folder: string,
  now: Date,
): Promise<string | null> {
  const newest = (await nightlies(folder)).at(-1);
  if (newest !== undefined && now.getTime() - takenAt(newest) < DUE_AFTER_MS) return null;
  const path = await backUp(databaseUrl, folder, LABEL, now);
  const all = await nightlies(folder);
  for (const name of all.slice(0, Math.max(0, all.length - KEPT))) await rm(join(folder, name));
  return path;
}

const NAME = /^nightly-(\d{4}-\d\d-\d\d)T(\d\d)-(\d\d)-(\d\d)-(\d{3})Z\.sql\.gz$/;

/** Their names, oldest first. */
const nightlies = async (folder: string): Promise<readonly string[]> =>
  (await readdir(folder).catch(() => [])).filter((name) => NAME.test(name)).sort();

const takenAt = (name: string): number => Date.parse(name.replace(NAME, '$1T$2:$3:$4.$5Z'));
