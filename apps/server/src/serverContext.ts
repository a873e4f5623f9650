import type { DataSource } from 'typeorm';

/** What the routes are given rather than reach for. */
export interface ServerContext {
  readonly source: DataSource;
  readonly now: () => Date;
  readonly newId: () => string;
  readonly log: (text: string) => void;
}
