import { keys } from './keys';
import type {
  Bench,
  JobDetail,
  JobImported,
  JobSummary,
  JobWithMaterials,
  Page,
  Put,
  StoredJob,
} from '@nucleon/contract/wire';
import type { JobFile } from '@nucleon/core/documents/jobFile';
import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query';
import { fetchBlob, fetchJson } from './fetchJson';
import { putOnce } from './putOnce';

const PAGE_SIZE = 20;
const PLANNING_MS = 1000;

const isBeingPlanned = ({ pieces }: JobDetail): boolean =>
  pieces.some(({ holes }) =>
    holes.some(({ headline, faults }) => headline === null && faults.length === 0),
  );

export const jobsQuery = (search: string) =>
  infiniteQueryOptions({
    queryKey: keys.jobs(search),
    queryFn: ({ pageParam, signal }) =>
      fetchJson<Page<JobSummary>>(
        `/jobs?page=${pageParam}&pageSize=${PAGE_SIZE}&search=${encodeURIComponent(search)}`,
        { signal },
      ),
    initialPageParam: 1,
    getNextPageParam: (last) =>
      last.page * last.pageSize < last.total ? last.page + 1 : undefined,
  });

export const benchQuery = () =>
  queryOptions({
    queryKey: keys.bench(),
    queryFn: ({ signal }) => fetchJson<Bench>('/bench', { signal }),
  });

export const jobQuery = (jobId: string) =>
  queryOptions({
    queryKey: keys.job(jobId),
    queryFn: ({ signal }) => fetchJson<JobDetail>(`/jobs/${jobId}`, { signal }),
    // A long job is answered before all its holes are planned: the rest comes by and by.
    refetchInterval: ({ state: { data } }) => (data && isBeingPlanned(data) ? PLANNING_MS : false),
  });

export const putJob = (id: string, body: Put<StoredJob>): Promise<StoredJob> =>
  putOnce(`/jobs/${id}`, body);
export const putMaterials = (
  id: string,
  body: Pick<JobWithMaterials, 'version' | 'customMaterials'>,
): Promise<JobWithMaterials> => putOnce(`/jobs/${id}/materials`, body);
export const deleteJob = (id: string): Promise<void> =>
  fetchJson(`/jobs/${id}`, { method: 'DELETE' });
export const restoreJob = (id: string): Promise<void> =>
  fetchJson(`/jobs/${id}/restore`, { method: 'POST' });
export const exportJob = (id: string): Promise<JobFile> => fetchJson(`/jobs/${id}/export`);
/** Large jobs are checked, planned and stored whole. */
const WITHIN_MS = 60_000;

/**
 * Opens a job file or an archive as a new job.
 * @param id of the new job, made here: sent again after a lost answer it makes no second
 * @param signal gives up waiting; what has come in by then is a job of that id
 */
export const importJob = (file: Blob, id: string, signal: AbortSignal): Promise<JobImported> =>
  fetchJson(`/import?id=${id}`, { method: 'POST', body: file, signal, withinMs: WITHIN_MS });
/** The job with every picture, its log and its bin, as a ZIP. */
export const exportArchive = (id: string): Promise<Blob> =>
  fetchBlob(`/jobs/${id}/archive`, WITHIN_MS);
