import { BIT_FAMILIES } from '../data/bits/bitFamilies';
import { faceMaterial } from './faceMaterial';
import type { Bit } from '../documents/kit';
import type { Hole, MarkReading } from '../documents/hole';
import type { Piece } from '../documents/piece';
import type { House } from '../documents/house';
import type { MarkKind } from '../data/choices';
import { type Material } from '../data/materials/material';
import { hasTrait } from '../data/materials/traits';
import { sceneOf, sizeFor } from './purposes/purposes';
import { brokenRule, judgeEdges } from './edgeRules';
import { checkMark, markingOrder, type MarkCheck } from './markCheck';
import { isRound } from './wrap';
import { usualMark, type MarkScene } from './markKind';
import { tapePlan, type TapePlan } from './tapes';

/** Holes narrower than this are drilled with solid bits unless the kit says otherwise, mm. */
const SOLID_BELOW_MM = 3;

/** Everything about marking one hole. */
export interface MarkRow {
  readonly hole: Hole;
  readonly name: string;
  readonly usual: MarkKind;
  /** How it is marked: as chosen, else as usual. */
  readonly kind: MarkKind;
  readonly scene: MarkScene;
  readonly tapes: TapePlan;
  /** Radius to set compasses or ticks to, mm. */
  readonly radiusMm: number;
  readonly check: MarkCheck | null;
}

/** How to go about marking a piece. */
export type MarkNote =
  | { readonly code: 'from-the-seam' | 'from-two-edges' | 'degrease' | 'strike-a-level' }
  | { readonly code: 'check-the-third'; readonly smallestMm: number };

export interface MarkSheet {
  readonly rows: readonly MarkRow[];
  /** How to go about the whole piece. */
  readonly notes: readonly MarkNote[];
}

/** Whether pencil fails and a bit skates on this face. */
const isGlossy = (material: Material): boolean =>
  material.class === 'glass' ||
  (material.class === 'ceramic' && !hasTrait(material, 'unglazed')) ||
  hasTrait(material, 'polished');

export interface MarkSheetInput {
  readonly piece: Piece;
  readonly holes: readonly Hole[];
  readonly custom: readonly Material[];
  readonly bits: readonly Bit[];
  readonly house?: House | undefined;
}

/** How each hole is marked, where the tape goes, in which order; and what was measured after. */
export function markSheet(given: MarkSheetInput): MarkSheet {
  const { piece, holes, custom, bits } = given;
  const material = faceMaterial(piece, custom);
  const rows = markingOrder(holes).map((hole, index): MarkRow => {
    const bit = bits.find(({ id }) => id === hole.setup?.bit);
    const scene: MarkScene = {
      materialClass: material.class,
      glossy: isGlossy(material),
      diameterMm: hole.diameterMm,
      solidBit: bit ? BIT_FAMILIES[bit.family].solid : hole.diameterMm < SOLID_BELOW_MM,
      ...(hole.setup?.start ? { start: hole.setup.start } : {}),
    };
    const usual = usualMark(scene);
    const tapes = tapePlan(piece.outline, hole, piece.datum);
    return {
      hole,
      name: hole.label?.trim() || `Hole ${index + 1}`,
      usual,
      kind: hole.mark?.kind ?? usual,
      scene,
      tapes,
      radiusMm: hole.diameterMm / 2,
      check: hole.mark?.measured
        ? checkReading(given, material, hole, tapes, hole.mark.measured)
        : null,
    };
  });
  return { rows, notes: notesFor(given, material) };
}

function checkReading(
  { piece, holes, house }: MarkSheetInput,
  material: Material,
  hole: Hole,
  tapes: TapePlan,
  reading: MarkReading,
): MarkCheck {
  const off = tapes.offsetFor(reading.firstMm, reading.secondMm);
  const there = { ...hole, xMm: hole.xMm + off.xMm, yMm: hole.yMm + off.yMm };
  const judge = (at: Hole) => brokenRule(judgeEdges({ piece, material, hole: at, house }, holes));
  const sizing = hole.purpose ? sizeFor(hole.purpose, sceneOf(piece, material)) : null;
  return checkMark(tapes, reading, {
    toleranceMm: sizing?.kind === 'sized' ? sizing.numbers.toleranceMm : null,
    brokenThere: judge(there),
    brokenAsPlanned: judge(hole),
  });
}

function notesFor({ piece, holes }: MarkSheetInput, material: Material): readonly MarkNote[] {
  return [
    { code: isRound(piece.outline) ? 'from-the-seam' : 'from-two-edges' },
    ...(isGlossy(material) ? [{ code: 'degrease' } as const] : []),
    ...(piece.form === 'wall' ? [{ code: 'strike-a-level' } as const] : []),
    ...(holes.length > 0
      ? [
          {
            code: 'check-the-third',
            smallestMm: Math.min(...holes.map(({ diameterMm }) => diameterMm)),
          } as const,
        ]
      : []),
  ];
}
