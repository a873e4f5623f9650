import type { LearnedLog } from '@nucleon/contract/wire';
import { queryOptions } from '@tanstack/react-query';
import { fetchJson } from './fetchJson';
import { keys } from './keys';

const ASK_AGAIN_MS = 2000;

/** What the log tells, for every plan and for the page about it. */
export const learningQuery = queryOptions({
  queryKey: keys.learning(),
  queryFn: ({ signal }): Promise<LearnedLog> => fetchJson('/learning', { signal }),
  refetchInterval: ({ state }) => (state.data?.isBehind ? ASK_AGAIN_MS : false),
});

export type Belief = 'usual' | 'left-out' | 'put-back';

export const putBelief = (runId: string, belief: Belief): Promise<LearnedLog> =>
  fetchJson(`/learning/runs/${runId}`, { method: 'PUT', body: { belief } });
