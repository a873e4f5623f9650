import { access, stat } from 'node:fs/promises';
import type { Console } from './console';

const MB = 1e6;

/** Writes the whole workshop into one file, while it is in use. 0 done, 1 it could not be. */
export async function backUpFile(
  path: string,
  data: string | undefined,
  console: Console,
): Promise<number> {
  const isThere = await access(path).then(
    () => true,
    () => false,
  );
  if (isThere) {
    console.err(`“${path}” is there already; give another name. Nothing was written.`);
    return 1;
  }
  return tried(console, async ({ backUp }) => {
    await backUp(path, data);
    const { size } = await stat(path);
    console.out(`${path}: ${(size / MB).toFixed(1)} MB, read back and sound.`);
    return 0;
  });
}

/** Puts a backup in the place of what stands there, which is copied first. 0 done, 1 refused: nothing was changed. */
export const restoreFile = (
  path: string,
  data: string | undefined,
  console: Console,
): Promise<number> =>
  tried(console, async ({ restore }) => {
    const outcome = await restore(path, data);
    if (outcome.kind === 'refused') {
      console.err(outcome.why);
      return 1;
    }
    const { head, copiedTo } = outcome;
    console.out(`All is as it was at ${head.at}. What stood there is in ${copiedTo}.`);
    return 0;
  });

async function tried(
  console: Console,
  work: (keeper: NonNullable<Console['keeper']>) => Promise<number>,
): Promise<number> {
  try {
    if (!console.keeper) throw new Error('No database is within reach here.');
    return await work(console.keeper);
  } catch (error) {
    console.err(error instanceof Error ? error.message : String(error));
    return 1;
  }
}
