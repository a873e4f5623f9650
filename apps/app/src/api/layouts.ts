import type { PieceLayout, PutLayout } from '@nucleon/contract/wire';
import { queryOptions } from '@tanstack/react-query';
import { fetchJson } from './fetchJson';
import { keys } from './keys';

const layoutPath = (pieceId: string): string => `/pieces/${pieceId}/layout`;

export const layoutQuery = (pieceId: string) =>
  queryOptions({
    queryKey: keys.layout(pieceId),
    queryFn: ({ signal }) => fetchJson<PieceLayout>(layoutPath(pieceId), { signal }),
  });

/** Writes what was moved, in one go. */
export const putLayout = (pieceId: string, body: PutLayout): Promise<PieceLayout> =>
  fetchJson<PieceLayout>(layoutPath(pieceId), { method: 'PUT', body });
