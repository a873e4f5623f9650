import { keys } from './keys';
import type { KitPartSort } from '@nucleon/core/documents/kit';
import type {
  NewBits,
  Page,
  Put,
  StoredBit,
  StoredMachine,
  StoredParts,
} from '@nucleon/contract/wire';
import { queryOptions, type QueryClient } from '@tanstack/react-query';
import { fetchJson } from './fetchJson';
import { putOnce } from './putOnce';

const PAGE_SIZE = 200;

/** Every page of a kit list: the planner chooses from all that is owned. */
async function everyPage<T>(path: string, signal: AbortSignal): Promise<readonly T[]> {
  const items: T[] = [];
  for (let page = 1; ; page++) {
    const got = await fetchJson<Page<T>>(`${path}?page=${page}&pageSize=${PAGE_SIZE}`, { signal });
    items.push(...got.items);
    if (page * got.pageSize >= got.total) return items;
  }
}

export const bitsQuery = queryOptions({
  queryKey: keys.bits(),
  queryFn: ({ signal }) => everyPage<StoredBit>('/bits', signal),
});
export const machinesQuery = queryOptions({
  queryKey: keys.machines(),
  queryFn: ({ signal }) => everyPage<StoredMachine>('/machines', signal),
});

export const partsQuery = queryOptions({
  queryKey: keys.parts(),
  queryFn: ({ signal }) => fetchJson<StoredParts>('/kit/parts', { signal }),
});

export type StoredPart = StoredParts[KitPartSort][number];
export const putPart = (
  sort: KitPartSort,
  id: string,
  body: { readonly version: number; readonly [field: string]: unknown },
): Promise<StoredPart> => putOnce(`/kit/${sort}/${id}`, body);
export const deletePart = (sort: KitPartSort, id: string): Promise<void> =>
  fetchJson(`/kit/${sort}/${id}`, { method: 'DELETE' });
export const restorePart = (sort: KitPartSort, id: string): Promise<void> =>
  fetchJson(`/kit/${sort}/${id}/restore`, { method: 'POST' });

/** Several new bits at once: all of them, or none. */
export const addBits = (body: NewBits): Promise<Pick<Page<StoredBit>, 'items'>> =>
  fetchJson('/bits/batch', { method: 'POST', body });
export const putBit = (id: string, body: Put<StoredBit>): Promise<StoredBit> =>
  putOnce(`/bits/${id}`, body);
export const deleteBit = (id: string): Promise<void> =>
  fetchJson(`/bits/${id}`, { method: 'DELETE' });
export const restoreBit = (id: string): Promise<void> =>
  fetchJson(`/bits/${id}/restore`, { method: 'POST' });
export const putMachine = (id: string, body: Put<StoredMachine>): Promise<StoredMachine> =>
  putOnce(`/machines/${id}`, body);
export const deleteMachine = (id: string): Promise<void> =>
  fetchJson(`/machines/${id}`, { method: 'DELETE' });
export const restoreMachine = (id: string): Promise<void> =>
  fetchJson(`/machines/${id}/restore`, { method: 'POST' });

/** A new one in its list, until the server has it. */
export const showNewBit = (client: QueryClient, bit: StoredBit): void => {
  client.setQueryData(bitsQuery.queryKey, (all) => [...(all ?? []), bit]);
};
export const showNewMachine = (client: QueryClient, machine: StoredMachine): void => {
  client.setQueryData(machinesQuery.queryKey, (all) => [...(all ?? []), machine]);
};
export const showNewPart = (client: QueryClient, sort: KitPartSort, part: StoredPart): void => {
  client.setQueryData(partsQuery.queryKey, (all) =>
    all ? { ...all, [sort]: [...all[sort], part] } : all,
  );
};
