import { casesOf, type DrillCase } from '@nucleon/core/setup/drillCase';
import type { Console } from './console';
import { loadOrSay } from './loadJobFile';

/**
 * The hole a command is about: by its id or label, in the piece named where several have it.
 * @returns null after saying what is wrong
 */
export async function oneHole(
  path: string,
  wanted: string,
  pieceWanted: string | undefined,
  console: Console,
): Promise<DrillCase | null> {
  const job = await loadOrSay(path, console);
  if (!job) return null;
  const all = casesOf(job);
  const found = all
    .filter(({ hole }) => hole.id === wanted || hole.label === wanted)
    .filter(
      ({ piece }) =>
        pieceWanted === undefined || piece.id === pieceWanted || piece.name === pieceWanted,
    );
  const [first, second] = found;
  if (!first) {
    console.err(
      `No hole “${wanted}”; the file has ${all.map(({ hole }) => hole.label ?? hole.id).join(', ') || 'none'}.`,
    );
    return null;
  }
  if (second) {
    console.err(
      `Hole “${wanted}” is in ${found.map(({ piece }) => `“${piece.name}”`).join(' and ')}; say which with --piece.`,
    );
    return null;
  }
  return first;
}
