import type { Face } from '../../data/operations';
import { layersFromFarFace, type DepthLayer } from '../cutLayers';

/** Lengths closer than this are one, mm. */
export const SAME_MM = 0.001;

/** How wide the hole is open over a stretch of depth, mm; a cavity is as wide as can be. */
export interface OpenStretch {
  readonly fromMm: number;
  readonly toMm: number;
  readonly diameterMm: number;
}

/** The hole as far as it is cut: contiguous stretches from one face to the other. */
export type HoleProfile = readonly OpenStretch[];

/** Nothing cut yet. */
export const uncutProfile = (leaves: readonly DepthLayer[]): HoleProfile =>
  leaves.map(({ fromMm, toMm, parts }) => ({
    fromMm,
    toMm,
    diameterMm: parts.length === 0 ? Infinity : 0,
  }));

/** The same hole with depths counted from a face. */
export function seenFrom(face: Face, profile: HoleProfile): HoleProfile {
  if (face === 'near') return profile;
  const totalMm = profile.at(-1)?.toMm ?? 0;
  return [...profile].reverse().map(({ fromMm, toMm, diameterMm }) => ({
    fromMm: totalMm - toMm,
    toMm: totalMm - fromMm,
    diameterMm,
  }));
}

/** Leaves as a face meets them. */
export const leavesFrom = (
  face: Face,
  leaves: readonly DepthLayer[],
  totalMm: number,
): readonly DepthLayer[] =>
  face === 'near' ? leaves : layersFromFarFace(leaves, totalMm, totalMm);

/** The hole after a bit of this diameter went down between two depths of a face. */
export const widenedFrom = (
  face: Face,
  profile: HoleProfile,
  fromMm: number,
  toMm: number,
  diameterMm: number,
): HoleProfile => seenFrom(face, widened(seenFrom(face, profile), fromMm, toMm, diameterMm));

/** After a bit of this diameter went down between two depths. */
export const widened = (
  profile: HoleProfile,
  fromMm: number,
  toMm: number,
  diameterMm: number,
): HoleProfile =>
  profile
    .flatMap((stretch) => {
      const cuts = [fromMm, toMm].filter(
        (z) => z > stretch.fromMm + SAME_MM && z < stretch.toMm - SAME_MM,
      );
      const ends = [stretch.fromMm, ...cuts, stretch.toMm];
      return ends.slice(1).map((end, index) => ({
        fromMm: ends[index] ?? end,
        toMm: end,
        diameterMm: stretch.diameterMm,
      }));
    })
    .map((stretch) => {
      const middle = (stretch.fromMm + stretch.toMm) / 2;
      return middle > fromMm && middle < toMm
        ? { ...stretch, diameterMm: Math.max(stretch.diameterMm, diameterMm) }
        : stretch;
    });

/** The stretches that lie between two depths. */
export const stretchesIn = (profile: HoleProfile, fromMm: number, toMm: number): HoleProfile =>
  profile
    .map((one) => ({
      ...one,
      fromMm: Math.max(one.fromMm, fromMm),
      toMm: Math.min(one.toMm, toMm),
    }))
    .filter((one) => one.toMm - one.fromMm > SAME_MM);

/** The narrowest the hole is between two depths, mm; as wide as can be where nothing lies between. */
export const narrowest = (profile: HoleProfile, fromMm: number, toMm: number): number =>
  Math.min(...stretchesIn(profile, fromMm, toMm).map(({ diameterMm }) => diameterMm));

/** The longest solid stretch between two depths, mm: the core a ring leaves, which a cavity lets go. */
export function longestSolid(profile: HoleProfile, fromMm: number, toMm: number): number {
  let lengthMm = 0;
  let longestMm = 0;
  for (const one of stretchesIn(profile, fromMm, toMm)) {
    lengthMm = Number.isFinite(one.diameterMm) ? lengthMm + one.toMm - one.fromMm : 0;
    longestMm = Math.max(longestMm, lengthMm);
  }
  return longestMm;
}

/** How deep from the face it is open to at least this diameter, mm: the next thing a bit would cut. */
export const openTo = (profile: HoleProfile, diameterMm: number): number =>
  profile.find((one) => one.diameterMm < diameterMm)?.fromMm ?? profile.at(-1)?.toMm ?? 0;
