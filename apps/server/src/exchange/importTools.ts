import type { EntityManager } from 'typeorm';

/** What storing a file is given: its transaction, the time, and ids for what has none that is free. */
export interface ImportTools {
  readonly manager: EntityManager;
  readonly now: Date;
  readonly newId: () => string;
}
