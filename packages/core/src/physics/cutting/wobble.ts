import type { Hold } from '../../data/choices';
import type { Bit } from '../../documents/kit';
import type { BitGeometry } from './bitGeometry';

/** Run-out of a bit called out of true that nobody has measured, mm (full indicated). */
const OUT_OF_TRUE_MM = 0.5;

/** Full indicated run-out, mm: as measured, else as it was found. */
export const runOutOf = ({ runOutMm, state }: Pick<Bit, 'runOutMm' | 'state'>): number =>
  runOutMm ?? (state === 'out-of-true' ? OUT_OF_TRUE_MM : 0);

/** Of the play, what the groove does not take out: it comes only when the rim is through the guide. */
const PLAY_FELT = 0.25;

/**
 * How far the rim may stray from its circle, mm: run-out, and in a guide the play of a barrel narrower
 * than its rim: half the difference, a quarter of it felt, for the groove steers by then.
 */
export function wobbleOf(
  bit: Pick<Bit, 'runOutMm' | 'state' | 'barrelDiameterMm' | 'diameterMm'>,
  hold: Hold,
): number {
  const play =
    hold === 'guided' && bit.barrelDiameterMm !== undefined
      ? (PLAY_FELT * Math.max(0, bit.diameterMm - bit.barrelDiameterMm)) / 2
      : 0;
  return runOutOf(bit) + play;
}

/**
 * Share of the rate that is left when run-out widens the groove, 0 to 1: a ring of width w grinds
 * w + r of it, a disc of D grinds (D + r)².
 */
export const runOutRateShare = (
  { solid, rimWidthMm: w, diameterMm: D }: Pick<BitGeometry, 'solid' | 'rimWidthMm' | 'diameterMm'>,
  runOutMm: number,
): number => (solid ? (D / (D + runOutMm)) ** 2 : w / (w + runOutMm));
