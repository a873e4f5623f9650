import type {
  JobDetail,
  JobSummary,
  JobWithMaterials,
  Page,
  Put,
  StoredJob,
} from '@nucleon/contract/wire';
import type { JobFile } from '@nucleon/core/job/job';
import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query';
import { fetchJson } from './fetchJson';

const PAGE_SIZE = 20;

export const jobsQuery = (search: string) =>
  infiniteQueryOptions({
    queryKey: ['jobs', search],
    queryFn: ({ pageParam, signal }) =>
      fetchJson<Page<JobSummary>>(
        `/jobs?page=${pageParam}&pageSize=${PAGE_SIZE}&search=${encodeURIComponent(search)}`,
        { signal },
      ),
    initialPageParam: 1,
    getNextPageParam: (last) =>
      last.page * last.pageSize < last.total ? last.page + 1 : undefined,
  });

export const jobQuery = (jobId: string) =>
  queryOptions({
    queryKey: ['job', jobId],
    queryFn: ({ signal }) => fetchJson<JobDetail>(`/jobs/${jobId}`, { signal }),
  });

export const putJob = (id: string, body: Put<StoredJob>): Promise<StoredJob> =>
  fetchJson(`/jobs/${id}`, { method: 'PUT', body });
export const putMaterials = (
  id: string,
  body: Pick<JobWithMaterials, 'version' | 'customMaterials'>,
): Promise<JobWithMaterials> => fetchJson(`/jobs/${id}/materials`, { method: 'PUT', body });
export const deleteJob = (id: string): Promise<void> =>
  fetchJson(`/jobs/${id}`, { method: 'DELETE' });
export const restoreJob = (id: string): Promise<void> =>
  fetchJson(`/jobs/${id}/restore`, { method: 'POST' });
export const exportJob = (id: string): Promise<JobFile> => fetchJson(`/jobs/${id}/export`);
export const importJob = (file: unknown): Promise<{ jobId: string }> =>
  fetchJson('/import', { method: 'POST', body: file });
