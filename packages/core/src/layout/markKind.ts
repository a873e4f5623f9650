import type { Setup } from '../documents/setup';
import type { MarkKind, MaterialClass } from '../data/choices';

export interface MarkScene {
  readonly materialClass: MaterialClass;
  /** The face is glass, glazed or polished: a pencil will not take, and a bit skates. */
  readonly glossy: boolean;
  readonly diameterMm: number;
  /** A solid bit keeps its centre under it; a core's is gone with the first turn. */
  readonly solidBit: boolean;
  readonly start?: Setup['start'];
}

/** A dot still shows beside a bit no wider than this, mm. */
const DOT_MM = 6;
/** Wider circles are quicker set out as four ticks, mm. */
const CIRCLE_MM = 40;

/** The way of marking that this hole asks for; the person may choose another. */
export function usualMark({ glossy, diameterMm, solidBit, start }: MarkScene): MarkKind {
  if (start === 'tape') return 'tape-cross';
  if (solidBit || diameterMm <= DOT_MM) return glossy ? 'tape-cross' : 'dot';
  return diameterMm <= CIRCLE_MM ? 'circle' : 'ticks';
}
