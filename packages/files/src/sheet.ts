import { faceOutline } from '@nucleon/core/layout/outline';
import type { Outline } from '@nucleon/core/documents/outline';
import type { Hole } from '@nucleon/core/documents/hole';
import type { Piece, KeepOff } from '@nucleon/core/documents/piece';
import { middleOf } from '@nucleon/core/layout/clearDistances';

export type SheetFace = 'face' | 'base';

export interface SheetHole {
  readonly label: string;
  readonly xMm: number;
  readonly yMm: number;
  readonly diameterMm: number;
}

/** One face of a piece, flat: what every drawn format is written from. Origin lower left, y up, mm. */
export interface Sheet {
  readonly name: string;
  readonly outline: Outline;
  readonly holes: readonly SheetHole[];
  readonly keepOff: readonly KeepOff[];
}

/** The face that has holes, or the one asked for. */
export function sheetOf(piece: Piece, holes: readonly Hole[], face?: SheetFace): Sheet {
  const onBase = (hole: Hole): boolean => hole.face === 'base';
  const base = face === undefined ? holes.length > 0 && holes.every(onBase) : face === 'base';
  return {
    name: piece.name,
    outline: faceOutline(piece.outline, base ? 'base' : 'top'),
    holes: holes
      .filter((hole) => onBase(hole) === base)
      .map((hole, index) => ({
        label: hole.label?.trim() || `Hole ${index + 1}`,
        ...middleOf(piece.outline, hole),
        diameterMm: hole.diameterMm,
      })),
    keepOff: base ? [] : (piece.keepOff ?? []),
  };
}
