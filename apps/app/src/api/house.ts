import { keys } from './keys';
import type { StoredHouse } from '@nucleon/contract/wire';
import { queryOptions } from '@tanstack/react-query';
import { fetchJson } from './fetchJson';
import { putOnce } from './putOnce';

/** As the server has it now, past any cache: a habit is written over the latest. */
export const getHouse = (signal?: AbortSignal): Promise<StoredHouse> =>
  fetchJson('/house', signal ? { signal } : {});

/** The workshop's habits, the same for every job. */
export const houseQuery = queryOptions({
  queryKey: keys.house(),
  queryFn: ({ signal }) => getHouse(signal),
});

export const putHouse = (body: StoredHouse): Promise<StoredHouse> => putOnce('/house', body);
