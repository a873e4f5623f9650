import type { JobDetail, JobSummary, JobWithMaterials, Page } from '@nucleon/contract/wire';
import type { InfiniteData, QueryClient } from '@tanstack/react-query';
import { jobsQuery } from '../../api/jobs';
import { keys } from '../../api/keys';
import type { MadeHole } from './createHole';

/** Shows what was made here as the server will have it: it waits to be sent, and is worked on meanwhile. */
export function showMade(client: QueryClient, { job, pieces }: MadeHole): void {
  const known = client.getQueryData<JobDetail>(keys.job(job.id));
  const header: JobWithMaterials = known ?? { ...job, customMaterials: [] };
  const listed = pieces.map(({ piece, hole }) => ({
    ...piece,
    holes: [{ ...hole, headline: null, faults: [], lastRun: null }],
  }));
  const had = (known?.pieces ?? []).filter(({ id }) => !listed.some((one) => one.id === id));
  const detail: JobDetail = { ...header, pieces: [...had, ...listed] };
  client.setQueryData(keys.job(job.id), detail);
  for (const { piece, hole } of pieces) {
    client.setQueryData(keys.hole(hole.id), { job: header, piece, hole });
    client.setQueryData(keys.layout(piece.id), { job: header, piece, holes: [hole] });
  }
  if (!known) listFirst(client, detail);
}

/** The new job, first in the list. */
function listFirst(client: QueryClient, { id, name, version, updatedAt, pieces }: JobDetail): void {
  const summary: JobSummary = {
    id,
    name,
    version,
    updatedAt,
    pieceCount: pieces.length,
    holeCount: pieces.length,
    stoppedCount: 0,
    materials: [...new Set(pieces.map(({ material }) => material))],
  };
  client.setQueryData<InfiniteData<Page<JobSummary>>>(jobsQuery('').queryKey, (all) => {
    const [first, ...rest] = all?.pages ?? [];
    return all && first
      ? { ...all, pages: [{ ...first, items: [summary, ...first.items] }, ...rest] }
      : all;
  });
}
