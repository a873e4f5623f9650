import type { DataSource, EntityManager } from 'typeorm';
import { refuseIfLate } from '../http/admission';
import { isWorthRetrying } from './databaseErrors';

const TRIES = 3;

/**
 * Runs work in one transaction, again when it lost a race it may win next time. What was answered meanwhile
 * as too late is not written.
 */
export async function transact<T>(
  source: DataSource,
  work: (manager: EntityManager) => Promise<T>,
): Promise<T> {
  for (let attempt = 1; ; attempt++) {
    try {
      return await source.transaction('READ COMMITTED', async (manager) => {
        const done = await work(manager);
        refuseIfLate();
        return done;
      });
    } catch (error) {
      if (attempt >= TRIES || !isWorthRetrying(error)) throw error;
    }
  }
}
