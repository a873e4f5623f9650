import type { Bin, BinItem } from '@nucleon/contract/wire';
import { queryOptions } from '@tanstack/react-query';
import { fetchJson } from './fetchJson';
import { keys } from './keys';
import { useWrite } from './useWrite';

/** What was deleted from a job and may come back; without one, the jobs that were deleted. */
export const binQuery = (jobId?: string) =>
  queryOptions({
    queryKey: keys.bin(jobId),
    queryFn: ({ signal }) =>
      fetchJson<Bin>(jobId === undefined ? '/bin' : `/jobs/${jobId}/bin`, { signal }),
    // It changes with every deletion, wherever that is done.
    staleTime: 0,
  });

const PATHS = { job: 'jobs', piece: 'pieces', hole: 'holes' } as const;

/** Brings a thing back, with what it stands in. */
export const useRestore = () =>
  useWrite(({ kind, id }: Pick<BinItem, 'kind' | 'id'>) =>
    fetchJson<null>(`/${PATHS[kind]}/${id}/restore`, { method: 'POST' }),
  );
