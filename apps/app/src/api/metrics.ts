import type { Metrics } from '@nucleon/contract/wire';
import { queryOptions } from '@tanstack/react-query';
import { fetchJson } from './fetchJson';
import { keys } from './keys';

const LOOK_MS = 10 * 60 * 1000;

/** How the server fares: looked at now and then by whoever keeps it. */
export const metricsQuery = queryOptions({
  queryKey: keys.metrics(),
  queryFn: ({ signal }) => fetchJson<Metrics>('/metrics', { signal }),
  staleTime: LOOK_MS,
  refetchInterval: LOOK_MS,
  retry: false,
});
