import type { DataSource } from 'typeorm';
import type { Annex } from './annex/annex';
import type { HeavyWork } from './heavy/heavyWork';
import type { Doors } from './http/doors';
import type { Newsroom } from './news/newsroom';

/** Works out anew what the log tells as runs arrive. */
export interface Learning {
  /** The log, the kit, or what is left out of it is another now: asked again while it works, it works once more. */
  readonly changed: () => void;
  /** When what was asked so far is worked out. */
  readonly settled: () => Promise<void>;
}

/** What the routes are given rather than reach for. */
export interface ServerContext {
  readonly source: DataSource;
  readonly now: () => Date;
  readonly newId: () => string;
  readonly heavy: HeavyWork;
  readonly learning: Learning;
  readonly doors: Doors;
  readonly newsroom: Newsroom;
  /** The process that does what takes long. */
  readonly annex: Pick<Annex, 'socket'>;
  /** Where copies of the data go, on the disk the data is on; none in tests. */
  readonly backupFolder?: string | undefined;
  readonly log: (text: string) => void;
}
