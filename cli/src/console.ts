import type { ReadOutcome } from '@nucleon/files/drawnFile';

/** What keeps the database of a folder safe: the start’s own where none is given. */
export interface Keeper {
  /** @throws a sentence where no backup could be made */
  readonly backUp: (path: string, data: string | undefined) => Promise<void>;
  readonly restore: (path: string, data: string | undefined) => Promise<Restored>;
}

export type Restored =
  | { readonly kind: 'restored'; readonly head: { readonly at: string }; readonly copiedTo: string }
  | { readonly kind: 'refused'; readonly why: string };

/** Where a command writes its lines, and what it is given beside them. */
export interface Console {
  readonly out: (text: string) => void;
  readonly err: (text: string) => void;
  /** Backups of the workshop’s database; none where no database is within reach. */
  readonly keeper?: Keeper;
  /** Reads a drawing with an end to its time and memory; in this thread where none is given. */
  readonly readDrawing?: (bytes: Uint8Array, name: string) => Promise<ReadOutcome>;
}
