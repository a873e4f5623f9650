import type { PieceLayout, PutLayout } from '@nucleon/contract/wire';
import { queryOptions } from '@tanstack/react-query';
import { fetchJson } from './fetchJson';

export const layoutQuery = (pieceId: string) =>
  queryOptions({
    queryKey: ['layout', pieceId],
    queryFn: ({ signal }) => fetchJson<PieceLayout>(`/pieces/${pieceId}/layout`, { signal }),
  });

export const putLayout = (pieceId: string, body: PutLayout): Promise<PieceLayout> =>
  fetchJson(`/pieces/${pieceId}/layout`, { method: 'PUT', body });
