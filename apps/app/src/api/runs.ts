import { keys } from './keys';
import type {
  EventsTaken,
  Page,
  PostEvents,
  RunDetail,
  RunPhoto,
  StoredRun,
} from '@nucleon/contract/wire';
import type { RunEvent } from '@nucleon/core/documents/runEvent';
import type { RunOutcome } from '@nucleon/core/run/runOutcome';
import { infiniteQueryOptions, keepPreviousData } from '@tanstack/react-query';
import { BASE, fetchJson } from './fetchJson';
import { sendPicture } from './photos';

const PAGE_SIZE = 50;

/** What the logbook is narrowed to. */
export interface LogFilter {
  readonly search?: string;
  readonly outcome?: RunOutcome;
  readonly material?: string;
  readonly bitId?: string;
  readonly pieceId?: string;
  readonly holeId?: string;
}

const queryOf = (filter: LogFilter): string =>
  Object.entries(filter as Record<string, string | undefined>)
    .flatMap(([name, value]) => (value ? [`&${name}=${encodeURIComponent(value)}`] : []))
    .join('');

export const runsQuery = (filter: LogFilter) =>
  infiniteQueryOptions({
    queryKey: keys.runs(filter),
    queryFn: ({ pageParam, signal }) =>
      fetchJson<Page<StoredRun>>(
        `/runs?page=${pageParam}&pageSize=${PAGE_SIZE}${queryOf(filter)}`,
        { signal },
      ),
    // What was found stays in sight until the next is here.
    placeholderData: keepPreviousData,
    initialPageParam: 1,
    getNextPageParam: (last) =>
      last.page * last.pageSize < last.total ? last.page + 1 : undefined,
  });

/** Every run that fits, page by page: what a spreadsheet is made from. */
export async function allRuns(filter: LogFilter): Promise<readonly StoredRun[]> {
  const MOST = 200;
  const items: StoredRun[] = [];
  for (let page = 1; ; page++) {
    const got = await fetchJson<Page<StoredRun>>(
      `/runs?page=${page}&pageSize=${MOST}${queryOf(filter)}`,
    );
    items.push(...got.items);
    if (page * got.pageSize >= got.total) return items;
  }
}

/** An open log: each run with all that happened in it. */
export interface LogFile {
  readonly format: 'nucleon-log';
  readonly version: 1;
  readonly runs: readonly { readonly runId: string; readonly events: readonly RunEvent[] }[];
}
export const exportLog = (filter: LogFilter): Promise<LogFile> =>
  fetchJson(`/runs/export?${queryOf(filter).slice(1)}`);

export const fetchRun = (runId: string, after = 0): Promise<RunDetail> =>
  fetchJson(`/runs/${runId}?after=${after}`);
export const postEvents = (runId: string, body: PostEvents): Promise<EventsTaken> =>
  fetchJson(`/runs/${runId}/events`, { method: 'POST', body });

const photoPath = (runId: string, photoId: string): string => `/runs/${runId}/photos/${photoId}`;
export const runPhotoAddress = (runId: string, photoId: string): string =>
  `${BASE}${photoPath(runId, photoId)}`;
export const putRunPhoto = (runId: string, photoId: string, picture: Blob): Promise<RunPhoto> =>
  sendPicture(photoPath(runId, photoId), picture);
