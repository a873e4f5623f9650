import { keys } from './keys';
import type {
  AnswersTaken,
  Coverage,
  HoleDetail,
  PostCoverage,
  Put,
  StoredHole,
} from '@nucleon/contract/wire';
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

/** Which answers hold at other holes too, and which of theirs hold here. */
export const coverageQuery = (holeId: string) =>
  queryOptions({
    queryKey: keys.coverage(holeId),
    queryFn: ({ signal }) => fetchJson<Coverage>(`/holes/${holeId}/coverage`, { signal }),
  });
export const postCoverage = (holeId: string, body: PostCoverage): Promise<AnswersTaken> =>
  fetchJson(`/holes/${holeId}/coverage`, { method: 'POST', body });
