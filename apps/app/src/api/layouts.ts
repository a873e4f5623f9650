import type { PieceLayout, PutLayout } from '@nucleon/contract/wire';
import { queryOptions } from '@tanstack/react-query';
import { fetchJson } from './fetchJson';
import { ApiProblem, Unreachable } from './problem';
import { noteAnswered, noteUnanswered, wasSentHere } from './putOnce';

const layoutPath = (pieceId: string): string => `/pieces/${pieceId}/layout`;

export const layoutQuery = (pieceId: string) =>
  queryOptions({
    queryKey: ['layout', pieceId],
    queryFn: ({ signal }) => fetchJson<PieceLayout>(layoutPath(pieceId), { signal }),
  });

/** Where one thing of a layout stands in what is remembered as sent. */
const partOf = (pieceId: string, id: string): string => `${layoutPath(pieceId)}#${id}`;

/**
 * Writes what was moved. As with one thing, what of it the server kept without answering is known again: it is
 * sent once more, over the versions that made.
 */
export async function putLayout(pieceId: string, body: PutLayout): Promise<PieceLayout> {
  const parts = [...body.holes, ...(body.piece ? [{ ...body.piece, id: pieceId }] : [])];
  try {
    const layout = await fetchJson<PieceLayout>(layoutPath(pieceId), { method: 'PUT', body });
    for (const { id } of parts) noteAnswered(partOf(pieceId, id));
    return layout;
  } catch (error) {
    if (error instanceof Unreachable)
      for (const part of parts) noteUnanswered(partOf(pieceId, part.id), part);
    if (!(error instanceof ApiProblem) || error.body.code !== 'conflict') throw error;
    const { piece, holes } = await fetchJson<PieceLayout>(layoutPath(pieceId));
    const now = new Map([piece, ...holes].map((thing) => [thing.id, thing]));
    const isMine = parts.every(({ id, version }) => {
      const thing = now.get(id);
      return (
        thing === undefined || thing.version === version || wasSentHere(partOf(pieceId, id), thing)
      );
    });
    const moved = parts.some(({ id, version }) => (now.get(id)?.version ?? version) !== version);
    if (!isMine || !moved) throw error;
    const over = <T extends { readonly version: number }>(thing: T, id: string): T => ({
      ...thing,
      version: now.get(id)?.version ?? thing.version,
    });
    for (const { id } of parts) noteAnswered(partOf(pieceId, id));
    return putLayout(pieceId, {
      ...body,
      holes: body.holes.map((hole) => over(hole, hole.id)),
      ...(body.piece ? { piece: over(body.piece, pieceId) } : {}),
    });
  }
}
