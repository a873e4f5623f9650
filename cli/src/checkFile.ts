import type { Console } from './console';
import { faultLine } from './faultLine';
import { loadJobFile } from './loadJobFile';

/** One line a fault on standard output and 1, or one line of praise and 0. */
export async function checkFile(path: string, console: Console): Promise<number> {
  const loaded = await loadJobFile(path);
  if (loaded.kind === 'faulty') {
    loaded.faults.forEach((fault) => {
      console.out(faultLine(fault));
    });
    return 1;
  }
  const { job, pieces } = loaded.value;
  const holes = pieces.reduce((sum, piece) => sum + piece.holes.length, 0);
  console.out(`“${job.name}” is sound: ${pieces.length} pieces, ${holes} holes.`);
  return 0;
}
