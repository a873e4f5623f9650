import { isHeldByStand } from '../../data/holds';
import type { Hold, Start } from '../../data/choices';
import type { Setup } from '../../documents/setup';
import type { CoolantId } from '../../data/coolants';
import type { CoreBreak } from './passes';

/** Time at the hole that is not cutting: between first touch and through. */
export const PAUSES = {
  start: { name: 'Winning the groove' },
  seatCentre: { name: 'Seating the solid centre' },
  lifts: { name: 'Lifts' },
  waterChanges: { name: 'Water changes' },
  coreBreaks: { name: 'Breaking and fetching cores' },
  chiselling: { name: 'Chiselling clear' },
  bitSwaps: { name: 'Changing bits' },
  turnOver: { name: 'Turning it over' },
} as const satisfies Record<string, { readonly name: string }>;
export type Pause = keyof typeof PAUSES;
export const PAUSE_IDS = Object.keys(PAUSES) as readonly Pause[];

/** And what comes before and after. */
export const AROUND = {
  setUp: { name: 'Setting up' },
  lastCore: { name: 'Snapping or pushing out the last core' },
  takeDown: { name: 'Taking down' },
} as const satisfies Record<string, { readonly name: string }>;
export type Around = keyof typeof AROUND;
export const AROUND_IDS = Object.keys(AROUND) as readonly Around[];

/** Out of the groove and back, s. */
export const liftS = (hold: Hold): number => (isHeldByStand(hold) ? 1 : 1.5);

export const BIT_SWAP_S = 40;

/** Until the ring is full and the bit stays in it, s: a crescent cut and stood up, a pilot turned in. */
export const START_S = {
  guide: 2,
  seat: 3,
  tape: 6,
  tilt: 12,
  pilot: 20,
} as const satisfies Record<Start, number>;

/**
 * Breaking a core and fetching it out, s: with chisel and hook it goes by its diameter, and a long one
 * comes hard. A core that dropped free behind a leaf is only pushed out of the barrel.
 */
export const coreBreakS = (
  { why, lengthMm }: Pick<CoreBreak, 'why' | 'lengthMm'>,
  diameterMm: number,
): number => (why === 'cavity' ? 20 + 0.2 * diameterMm : 25 + 0.5 * diameterMm + 0.1 * lengthMm);

/** A blind core is wedged off and lifted out whole; a through one is pushed out of the barrel, s. */
export const lastCoreS = (solid: boolean, blind: boolean, diameterMm: number): number =>
  solid ? 0 : blind ? 40 + 0.8 * diameterMm : 5 + 0.2 * diameterMm;

/** Clearing what stands in the way with hammer and chisel, s. */
export const CHISEL_S = 120;

/** Turning a piece over, or walking round a wall, and finding the mark again, s. */
export const TURN_S = { 'turn-over': 60, 'go-round': 300 } as const;

/** Breaking the sharp edge of one rim with fine abrasive, wet, s. */
export const EASE_EDGE_S = 45;

/** Fixing a stand to what it drills, s; and off again. */
const STAND_S = {
  anchor: [900, 240],
  vacuum: [300, 60],
  prop: [420, 120],
} as const satisfies Record<NonNullable<Setup['standFixing']>, readonly [number, number]>;
const HOLD_S = { freehand: 10, guided: 40, press: 30, rig: 0 } as const satisfies Record<
  Hold,
  number
>;
/** Filling a tray, a ring of putty pressed down, a hose run; the rest stands ready, s. */
const WATER_S: { readonly [C in CoolantId]?: number } = {
  'still-bath': 60,
  'oil-bath': 60,
  pool: 90,
  'running-tap': 60,
  spindle: 120,
};

/** Setting up for one hole and taking down after it, s. */
export function aroundS(
  hold: Hold,
  standFixing: Setup['standFixing'],
  coolant: CoolantId,
): { readonly setUp: number; readonly takeDown: number } {
  const [up, down] = hold === 'rig' ? STAND_S[standFixing ?? 'anchor'] : [HOLD_S[hold], 10];
  return { setUp: up + (WATER_S[coolant] ?? 0), takeDown: down };
}
