import type { Put, StoredPiece } from '@nucleon/contract/wire';
import { fetchJson } from './fetchJson';

export const putPiece = (jobId: string, id: string, body: Put<StoredPiece>): Promise<StoredPiece> =>
  fetchJson(`/jobs/${jobId}/pieces/${id}`, { method: 'PUT', body });
export const deletePiece = (id: string): Promise<void> =>
  fetchJson(`/pieces/${id}`, { method: 'DELETE' });
export const restorePiece = (id: string): Promise<void> =>
  fetchJson(`/pieces/${id}/restore`, { method: 'POST' });
