import { BIT_FAMILIES } from '../data/bits/bitFamilies';
import { rimSpeedAt } from '../physics/cutting/contact';
import type { SpeedSetting } from '../physics/cutting/speedSettings';
import type { Piece } from '../documents/piece';
import { cutLayer, type DepthLayer, type MaterialCut } from './cutLayers';
import type { ResolvedSetup } from './resolvedSetup';
import { areaAt, marginsAt, windowCase, type WindowScene } from './windowMargins';
import { WINDOW_AREAS, type WindowArea } from './windowAreas';

/** Forces and speeds tried, evenly on logarithms. */
const FORCES = 20;
const SPEEDS = 10;
/** Inside, and not just on the border; in standard deviations of what is unsure. */
const INSIDE_SD = 0.05;

/** What hangs on the speed alone. */
const BY_SPEED = ['too-slow', 'too-fast', 'throws-water'] as const satisfies readonly WindowArea[];

/** A speed and force that cut clean, as what the plan is wanted with. */
type SettledWish = Pick<ResolvedSetup['wanted'], 'rimSpeedMPerS' | 'contactPressureMpa'>;

/**
 * Where nobody chose pace, speed or pressure and the usual point lies outside the working window: the
 * nearest force that cuts clean at its speed, else the clean point with most room at another speed of
 * the machine; null where the usual one is inside, or none is.
 */
function settleInWindow(
  scene: WindowScene,
): { readonly wish: SettledWish; readonly movedFrom: WindowArea } | null {
  const { headline, setup } = scene;
  const one = windowCase(scene);
  const min = (areas: readonly WindowArea[], rpm: number, forceN: number): number => {
    const margins = marginsAt(one, rpm, forceN);
    let room = Infinity;
    for (const area of areas) room = Math.min(room, margins[area]);
    return room;
  };
  const room = (rpm: number, forceN: number): number => min(WINDOW_AREAS, rpm, forceN);
  const { rpm } = headline.speed;
  const planned = headline.force.feedForceN;
  if (room(rpm, planned) >= -INSIDE_SD) return null;
  const forces = forcesOf(headline);
  const canCut = min(BY_SPEED, rpm, planned) >= 0;
  const near = (canCut ? forces : [])
    .filter((forceN) => room(rpm, forceN) >= INSIDE_SD)
    .sort((a, b) => Math.abs(Math.log(a / planned)) - Math.abs(Math.log(b / planned)))[0];
  const from = areaAt(marginsAt(one, rpm, planned));
  if (from === 'clean') return null;
  if (near !== undefined) return { wish: wish(headline, rpm, near), movedFrom: from };
  const best = setup.settings
    .flatMap(speedsOf)
    // Most speeds are out whatever the force.
    .filter((other) => min(BY_SPEED, other, planned) >= INSIDE_SD)
    .flatMap((other) => forces.map((forceN) => ({ other, forceN, room: room(other, forceN) })))
    .reduce<{ other: number; forceN: number; room: number } | null>(
      (max, point) => (max && max.room >= point.room ? max : point),
      null,
    );
  return best && best.room >= INSIDE_SD
    ? { wish: wish(headline, best.other, best.forceN), movedFrom: from }
    : null;
}

const wish = ({ bit, contact }: MaterialCut, rpm: number, forceN: number): SettledWish => ({
  rimSpeedMPerS: rimSpeedAt(rpm, bit.diameterMm),
  contactPressureMpa: forceN / contact.contactAreaMm2,
});

/** From the glaze pressure to the highest, and no more than machine and arms give. */
function forcesOf({ window, contact, force }: MaterialCut): readonly number[] {
  const from = window.pressureMpa.glaze * contact.contactAreaMm2;
  const to = Math.min(window.pressureMpa.high * contact.contactAreaMm2, force.maxN);
  return to <= from ? [] : steps(from, to, FORCES);
}

const speedsOf = ({ minRpm, maxRpm }: SpeedSetting): readonly number[] =>
  minRpm === maxRpm ? [minRpm] : steps(Math.max(minRpm, maxRpm / 100), maxRpm, SPEEDS);

const steps = (from: number, to: number, count: number): readonly number[] =>
  Array.from({ length: count }, (_, i) => from * (to / from) ** (i / (count - 1)));

/** The planner's own pace is moved inside the working window where one leaf lets it; nobody's choice is. */
export function settledSetup(
  setup: ResolvedSetup,
  piece: Piece,
  depthLayers: readonly DepthLayer[],
  pilotMm: number,
  depthMm: number,
): ResolvedSetup {
  const [layer, ...more] = depthLayers;
  const { rimSpeedMPerS, contactPressureMpa } = setup.wanted;
  const chosen = rimSpeedMPerS !== undefined || contactPressureMpa !== undefined;
  if (!layer || more.length > 0 || chosen || !setup.assumed.includes('pace')) return setup;
  const headline = cutLayer(layer, setup.finishing, setup, pilotMm).slowest;
  // A diamond rim that must not run dry is not made to by going gently.
  if (headline?.dry && !BIT_FAMILIES[headline.bit.family].mayRunDry) return setup;
  const moved = headline && settleInWindow({ headline, piece, setup, depthMm });
  return moved
    ? { ...setup, wanted: { ...setup.wanted, ...moved.wish }, movedFrom: moved.movedFrom }
    : setup;
}
