import { readFile, stat } from 'node:fs/promises';
import { readJobFile } from '@nucleon/contract/readJobFile';
import type { Validated } from '@nucleon/contract/validator';
import type { JobFile } from '@nucleon/core/documents/jobFile';
import type { Console } from './console';
import { faultLine } from './faultLine';

const LARGEST_FILE_BYTES = 50 * 1024 * 1024;

const WHY: Record<string, string> = {
  ENOENT: 'there is no such file',
  EACCES: 'it may not be read',
  EISDIR: 'it is a folder',
};

/** A job from disk, or the faults that keep it from being one. */
export async function loadJobFile(path: string): Promise<Validated<JobFile>> {
  const fault = (message: string): Validated<JobFile> => ({
    kind: 'faulty',
    faults: [{ pointer: '', message }],
  });
  try {
    const { size } = await stat(path);
    if (size > LARGEST_FILE_BYTES)
      return fault(
        `“${path}” has ${Math.round(size / 1024 / 1024)} MB; at most ${LARGEST_FILE_BYTES / 1024 / 1024} MB is read.`,
      );
    return readJobFile(await readFile(path, 'utf8'));
  } catch (error) {
    const { code = '' } = (error ?? {}) as { code?: string };
    return fault(`Cannot read “${path}”: ${WHY[code] ?? code}.`);
  }
}

/** A job from disk, or null after saying on standard error what keeps it from being one. */
export async function loadOrSay(path: string, console: Console): Promise<JobFile | null> {
  const loaded = await loadJobFile(path);
  if (loaded.kind === 'valid') return loaded.value;
  loaded.faults.forEach((fault) => {
    console.err(faultLine(fault));
  });
  return null;
}
