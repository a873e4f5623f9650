import { keys } from './keys';
import type { HoleDetail, Put, StoredHole } from '@nucleon/contract/wire';
import { queryOptions } from '@tanstack/react-query';
import { fetchJson } from './fetchJson';
import { putOnce } from './putOnce';

export const holeQuery = (holeId: string) =>
  queryOptions({
    queryKey: keys.hole(holeId),
    queryFn: ({ signal }) => fetchJson<HoleDetail>(`/holes/${holeId}`, { signal }),
  });

export const putHole = (pieceId: string, id: string, body: Put<StoredHole>): Promise<StoredHole> =>
  putOnce(`/pieces/${pieceId}/holes/${id}`, body);
export const deleteHole = (id: string): Promise<void> =>
  fetchJson(`/holes/${id}`, { method: 'DELETE' });
export const restoreHole = (id: string): Promise<void> =>
  fetchJson(`/holes/${id}/restore`, { method: 'POST' });
