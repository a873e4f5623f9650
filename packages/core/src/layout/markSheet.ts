import { BIT_FAMILIES } from '../data/bits/bitFamilies';
import { faceMaterial } from './faceMaterial';
import type { Bit } from '../documents/kit';
import type { Hole, MarkReading } from '../documents/hole';
import type { Piece } from '../documents/piece';
import type { House } from '../documents/house';
import type { MarkKind } from '../data/choices';
import type { Material } from '../data/materials/material';
import { fitOf, sceneOf } from './purposes/purposes';
import { formatLengthShort } from '../words/units/length';
import type { UnitSystem } from '../words/units/unitSystem';
import { brokenRule, judgeEdges } from './edgeRules';
import { checkMark, markingOrder, type MarkCheck } from './markCheck';
import { markAdvice, usualMark, type MarkAdvice, type MarkScene } from './markKind';
import { tapePlan, type TapePlan } from './tapes';

/** Holes narrower than this are drilled with solid bits unless the kit says otherwise, mm. */
const SOLID_BELOW_MM = 3;
const MASONRY_GLOSS: ReadonlySet<string> = new Set(['terrazzo']);

/** Everything about marking one hole. */
export interface MarkRow {
  readonly hole: Hole;
  readonly name: string;
  readonly usual: MarkKind;
  readonly advice: MarkAdvice;
  readonly tapes: TapePlan;
  /** Radius to set compasses or ticks to, mm. */
  readonly radiusMm: number;
  readonly check: MarkCheck | null;
}

export interface MarkSheet {
  readonly rows: readonly MarkRow[];
  /** How to go about the whole piece, a sentence each. */
  readonly notes: readonly string[];
}

/** Whether pencil fails and a bit skates on this face. */
const isGlossy = ({ id, class: kind }: Material): boolean =>
  kind === 'glass' || (kind === 'ceramic' && id !== 'terracotta') || MASONRY_GLOSS.has(id);

export interface MarkSheetInput {
  readonly piece: Piece;
  readonly holes: readonly Hole[];
  readonly custom: readonly Material[];
  readonly bits: readonly Bit[];
  readonly house?: House | undefined;
  readonly units: UnitSystem;
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
      advice: markAdvice(hole.mark?.kind ?? usual, scene),
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
  { piece, holes, house, units }: MarkSheetInput,
  material: Material,
  hole: Hole,
  tapes: TapePlan,
  reading: MarkReading,
): MarkCheck {
  const off = tapes.offsetFor(reading.firstMm, reading.secondMm);
  const there = { ...hole, xMm: hole.xMm + off.xMm, yMm: hole.yMm + off.yMm };
  const judge = (at: Hole) => brokenRule(judgeEdges({ piece, material, hole: at, house }, holes));
  const fit = hole.purpose ? fitOf(hole.purpose, sceneOf(piece, material)) : null;
  return checkMark(tapes, reading, {
    toleranceMm: fit?.kind === 'fits' ? fit.fit.toleranceMm : null,
    brokenThere: judge(there),
    brokenAsPlanned: judge(hole),
    units,
  });
}

function notesFor({ piece, holes, units }: MarkSheetInput, material: Material): readonly string[] {
  const { outline } = piece;
  const round = outline.kind === 'cylinder' || outline.kind === 'cone';
  const smallest = Math.min(...holes.map(({ diameterMm }) => diameterMm));
  return [
    round
      ? 'Make a seam mark first, upright from base to rim, and measure every hole from it: one error is not carried to the next.'
      : 'Measure every hole from the same two edges or points, not from hole to hole: one error is not carried to the next.',
    ...(isGlossy(material)
      ? ['Dry and degrease the face first. Where you tape, measure again on the tape.']
      : []),
    ...(piece.form === 'wall'
      ? [
          'Strike the level line with a spirit level, not from floor or ceiling: they seldom are level.',
        ]
      : []),
    ...(holes.length > 0
      ? [
          `Check the third distance of each before you drill: the smallest hole is ${formatLengthShort(smallest, units)}.`,
        ]
      : []),
  ];
}
