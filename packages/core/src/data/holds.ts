import type { Hold } from './choices';

/** Hands hold the machine, in a guide or not. */
export const isByHand = (hold: Hold): boolean => hold === 'freehand' || hold === 'guided';

/** A press or stand holds it. */
export const isHeldByStand = (hold: Hold): boolean => hold === 'press' || hold === 'rig';
