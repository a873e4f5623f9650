import type { Put, StoredPiece } from '@nucleon/contract/wire';
import { fetchJson } from './fetchJson';
import { putOnce } from './putOnce';

export const putPiece = (jobId: string, id: string, body: Put<StoredPiece>): Promise<StoredPiece> =>
  putOnce(`/jobs/${jobId}/pieces/${id}`, body);
export const deletePiece = (id: string): Promise<void> =>
  fetchJson(`/pieces/${id}`, { method: 'DELETE' });
export const restorePiece = (id: string): Promise<void> =>
  fetchJson(`/pieces/${id}/restore`, { method: 'POST' });
