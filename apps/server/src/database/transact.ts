import type { DataSource, EntityManager } from 'typeorm';
import { refuseIfLate } from '../http/admission';
import { askingNow } from '../people/asking';
import { writeDownRequest } from '../people/audit';
import { isWorthRetrying } from './databaseErrors';

const TRIES = 3;

/** Told after each commit: something may have changed. */
const listeners = new WeakMap<DataSource, () => void>();
export const afterCommits = (source: DataSource, tell: () => void): void => {
  listeners.set(source, tell);
};

/**
 * Runs work in one transaction, again when it lost a race it may win next time; who did it is written down with
 * it. What was answered meanwhile as too late is not written.
 */
export async function transact<T>(
  source: DataSource,
  work: (manager: EntityManager) => Promise<T>,
): Promise<T> {
  const asking = askingNow();
  const noted = asking?.noted ?? false;
  for (let attempt = 1; ; attempt++) {
    try {
      const done = await source.transaction('READ COMMITTED', async (manager) => {
        const made = await work(manager);
        await writeDownRequest(manager);
        refuseIfLate();
        return made;
      });
      listeners.get(source)?.();
      return done;
    } catch (error) {
      // What was written down of it went with it.
      if (asking) asking.noted = noted;
      if (attempt >= TRIES || !isWorthRetrying(error)) throw error;
    }
  }
}
