/** Where the next thing that holds a piece goes by itself, mm: what a hand moves from there. General practice. */
import type { BoardSetup, ClampSetup, SupportPad } from '../documents/setup';
import type { Outline } from '../documents/outline';
import { boundingBox, type PointMm } from './outline';

/** Sides over the shorter span of the piece. */
const PAD_SHARE = 0.2;
const BOARD_SHARE = 0.5;
/** Of the shorter span: so far in from the left or right a clamp stands. */
const CLAMP_SHARE = 0.1;
/** A pad near a corner leaves this share of its side free. */
const CORNER_SHARE = 0.1;
const USUAL_BOARD_MM = 18;
const USUAL_CLAMP = { padDiameterMm: 20, forceN: 50 } as const;

/** Near one corner after the other, as a piece is usually propped, then under the hole. */
export function nextPad(outline: Outline, hole: PointMm, count: number): SupportPad {
  const { widthMm, heightMm } = boundingBox(outline);
  const side = Math.round(PAD_SHARE * Math.min(widthMm, heightMm));
  const near = CORNER_SHARE * side;
  const [farX, farY] = [widthMm - side - near, heightMm - side - near];
  const underHole = [hole.xMm - side / 2, hole.yMm - side / 2] as const;
  const corners = [
    [near, near],
    [farX, near],
    [farX, farY],
    [near, farY],
  ] as const;
  const [xMm, yMm] = corners[count] ?? underHole;
  return { xMm: Math.round(xMm), yMm: Math.round(yMm), widthMm: side, heightMm: side };
}

/** Half way up, at the left and the right by turns. */
export function nextClamp(outline: Outline, count: number): ClampSetup {
  const { widthMm, heightMm } = boundingBox(outline);
  const inwards = Math.round(CLAMP_SHARE * Math.min(widthMm, heightMm));
  const xMm = count % 2 === 0 ? inwards : widthMm - inwards;
  return { ...USUAL_CLAMP, xMm: Math.round(xMm), yMm: Math.round(heightMm / 2) };
}

/** A square board with the hole in its middle. */
export function boardOver(outline: Outline, hole: PointMm): BoardSetup {
  const { widthMm, heightMm } = boundingBox(outline);
  const side = Math.round(BOARD_SHARE * Math.min(widthMm, heightMm));
  return {
    xMm: Math.round(hole.xMm - side / 2),
    yMm: Math.round(hole.yMm - side / 2),
    widthMm: side,
    heightMm: side,
    thicknessMm: USUAL_BOARD_MM,
  };
}
