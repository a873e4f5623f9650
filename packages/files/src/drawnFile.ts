import type { Side } from '@nucleon/core/math/arc';

/** A closed boundary as it stands in a file, in the file's own units, y up. */
export interface Loop {
  readonly layer: string;
  readonly sides: readonly Side[];
}

/** A count of one kind of thing, and why it was taken or left. */
export interface Entry {
  readonly what: string;
  readonly count: number;
}

/** What a drawn file holds that a piece can be made from. */
export interface DrawnFile {
  /** Length of the file's unit, mm; null where it does not say. */
  readonly mmPerUnit: number | null;
  readonly loops: readonly Loop[];
  readonly layers: readonly string[];
  readonly left: readonly Entry[];
}

export type ReadOutcome =
  | { readonly kind: 'read'; readonly drawn: DrawnFile }
  | { readonly kind: 'refused'; readonly message: string };

/** Layers that Nucleon's own files carry beside edges and holes: read past. */
export const HELPER_LAYERS: readonly string[] = ['MARKS', 'KEEP_OFF'];
export const OUTLINE_LAYER = 'OUTLINE';
export const HOLE_LAYER = 'HOLES';

/** No outline or drawing needs more points than this. */
export const MAX_POINTS = 20_000;

/** Adds up what was left, by its words. */
export class Tally {
  readonly #counts = new Map<string, number>();
  add(what: string, count = 1): void {
    this.#counts.set(what, (this.#counts.get(what) ?? 0) + count);
  }
  entries(): readonly Entry[] {
    return [...this.#counts].map(([what, count]) => ({ what, count }));
  }
}

/** Adds sides to a layer's list in place: a list of thousands is not copied for each. */
export function addTo(byLayer: Map<string, Side[]>, layer: string, sides: readonly Side[]): void {
  const list = byLayer.get(layer) ?? [];
  for (const side of sides) list.push(side);
  byLayer.set(layer, list);
}
