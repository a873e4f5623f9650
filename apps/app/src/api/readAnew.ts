import type { QueryClient, QueryFilters } from '@tanstack/react-query';

/**
 * What may have changed is read anew. A first reading still on its way may have begun before the change, and
 * `invalidateQueries` lets it be and keeps what it brings as fresh: such a one is read once more after it.
 */
export async function readAnew(client: QueryClient, filters: QueryFilters = {}): Promise<void> {
  const first = client
    .getQueryCache()
    .findAll({ ...filters, fetchStatus: 'fetching' })
    .filter(({ state }) => state.data === undefined);
  await client.invalidateQueries(filters);
  if (first.length > 0)
    await client.invalidateQueries({ predicate: (query) => first.includes(query) });
}
