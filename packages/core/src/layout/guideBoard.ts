import { guideLean, tanDeg } from './aim';

export interface GuideBoardInput {
  readonly boardThicknessMm: number;
  readonly bitDiameterMm: number;
  /** How much wider the guide's hole is than the bit. */
  readonly clearanceMm: number;
  readonly depthMm: number;
}

/** What a guide board of this make does, and how big it should be. */
export interface GuideBoard {
  readonly holeMm: number;
  readonly leanDeg: number;
  /** Drift at the far face. */
  readonly exitOffsetMm: number;
  /** How far the bit can sit off the mark at the entry face: half the play. */
  readonly entryOffsetMm: number;
  readonly minSideMm: number;
  readonly minThicknessMm: number;
}

/** Room each side for a hand or a clamp, mm. */
const GRIP_MM = 50;

/** A board guides well once it is as thick as the bit is wide, and no less than 12 mm. */
const minThickness = (D: number): number => Math.max(12, Math.min(D, 40));

export function guideBoard({
  boardThicknessMm,
  bitDiameterMm: D,
  clearanceMm: c,
  depthMm,
}: GuideBoardInput): GuideBoard {
  const leanDeg = guideLean(c, boardThicknessMm);
  return {
    holeMm: D + c,
    leanDeg,
    // Exit offset = depth × tan(angle), beside what the play shifts the entry by.
    exitOffsetMm: depthMm * tanDeg(leanDeg) + c / 2,
    entryOffsetMm: c / 2,
    minSideMm: D + 2 * GRIP_MM,
    minThicknessMm: minThickness(D),
  };
}

export interface DamInput {
  readonly bitDiameterMm: number;
  /** Inside of the ring of putty or gasket. */
  readonly innerDiameterMm: number;
  readonly wallMm: number;
  readonly heightMm: number;
}

export interface Dam {
  /** Water it holds with the bit standing in it, mL. */
  readonly waterMl: number;
  /** Putty for the ring, mL. */
  readonly puttyMl: number;
  readonly minInnerMm: number;
}

/** A finger's room round the bit, mm. */
const ROUND_BIT_MM = 12;
const ML = 1e-3;
/** A ring is made to the next whole of this, mm. */
const RING_STEP_MM = 5;
/** Room for hand and bit between the bit and the ring, mm a side. */
const DAM_MARGIN_MM = 40;
const PUTTY_WALL_MM = 10;

/** Inside of a ring with room for a hand round the bit, mm. */
export const usualDamInner = (D: number): number =>
  Math.ceil((D + 2 * DAM_MARGIN_MM) / RING_STEP_MM) * RING_STEP_MM;

/** The ring people lay round a bit of this size, but for how high. */
export const usualDam = (D: number): Omit<DamInput, 'heightMm'> => ({
  bitDiameterMm: D,
  innerDiameterMm: usualDamInner(D),
  wallMm: PUTTY_WALL_MM,
});

/** Ring volumes: π/4·(outer² − inner²)·h for the putty, π/4·(inner² − D²)·h for the water. */
export const dam = ({
  bitDiameterMm: D,
  innerDiameterMm: d,
  wallMm,
  heightMm: h,
}: DamInput): Dam => ({
  waterMl: Math.max(0, (Math.PI / 4) * (d ** 2 - D ** 2) * h * ML),
  puttyMl: (Math.PI / 4) * ((d + 2 * wallMm) ** 2 - d ** 2) * h * ML,
  minInnerMm: D + 2 * ROUND_BIT_MM,
});

/** A wedge under the guide that makes the fall: its angle, and how high the packer at its far end. */
export interface FallWedge {
  readonly angleDeg: number;
  readonly packerMm: number;
  /** The drop over the hole's depth. */
  readonly dropMm: number;
}

export const fallWedge = (oneIn: number, baseMm: number, depthMm: number): FallWedge => ({
  angleDeg: (Math.atan(1 / oneIn) * 180) / Math.PI,
  packerMm: baseMm / oneIn,
  dropMm: depthMm / oneIn,
});
