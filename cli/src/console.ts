import type { ReadOutcome } from '@nucleon/files/drawnFile';

/** Where a command writes its lines, and what it is given beside them. */
export interface Console {
  readonly out: (text: string) => void;
  readonly err: (text: string) => void;
  /** Reads a drawing with an end to its time and memory; in this thread where none is given. */
  readonly readDrawing?: (bytes: Uint8Array, name: string) => Promise<ReadOutcome>;
}
