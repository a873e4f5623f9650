import type { DataSource, EntityManager } from 'typeorm';
import { isWorthRetrying } from './databaseErrors';

const TRIES = 3;

/** Runs work in one transaction, again when it lost a race it may win next time. */
export async function transact<T>(
  source: DataSource,
  work: (manager: EntityManager) => Promise<T>,
): Promise<T> {
  for (let attempt = 1; ; attempt++) {
    try {
      return await source.transaction('READ COMMITTED', work);
    } catch (error) {
      if (attempt >= TRIES || !isWorthRetrying(error)) throw error;
    }
  }
}
