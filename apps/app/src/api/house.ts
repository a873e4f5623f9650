import type { StoredHouse } from '@nucleon/contract/wire';
import { queryOptions } from '@tanstack/react-query';
import { fetchJson } from './fetchJson';

/** The workshop's habits, the same for every job. */
export const houseQuery = queryOptions({
  queryKey: ['house'],
  queryFn: ({ signal }) => fetchJson<StoredHouse>('/house', { signal }),
});

export const putHouse = (body: StoredHouse): Promise<StoredHouse> =>
  fetchJson('/house', { method: 'PUT', body });
