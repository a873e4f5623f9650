import type { DataSource } from 'typeorm';
import type { HeavyWork } from './heavy/heavyWork';

/** What the routes are given rather than reach for. */
export interface ServerContext {
  readonly source: DataSource;
  readonly now: () => Date;
  readonly newId: () => string;
  readonly heavy: HeavyWork;
  readonly log: (text: string) => void;
}
