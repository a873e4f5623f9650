import { withSetup } from '@nucleon/core/setup/drillCase';
import type { AskedHole } from '../../workers/askedHole';
import type { WindowView } from '../../workers/windowView';

/** A speed and a force, as they are dragged to. */
export interface SpeedAndForce {
  readonly rpm: number;
  readonly forceN: number;
}

/** Where the map lies in its drawing, px. */
export interface MapBox {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

const LEFT_PX = 46;
const RIGHT_PX = 10;
const TOP_PX = 10;
const BOTTOM_PX = 40;

/** The map within its drawing, room left for axes and their words. */
export const mapBox = (width: number, height: number): MapBox => ({
  left: LEFT_PX,
  top: TOP_PX,
  width: width - LEFT_PX - RIGHT_PX,
  height: height - TOP_PX - BOTTOM_PX,
});

const along = (value: number, from: number, to: number): number =>
  Math.log(value / from) / Math.log(to / from);
const valueAt = (share: number, from: number, to: number): number => from * (to / from) ** share;
const held = (share: number): number => Math.min(1, Math.max(0, share));

/** Where a speed and force are drawn; off the map they stand at its edge. */
export function placeOf(
  view: WindowView,
  box: MapBox,
  { rpm, forceN }: SpeedAndForce,
): { readonly X: number; readonly Y: number } {
  return {
    X: box.left + held(along(rpm, view.fromRpm, view.toRpm)) * box.width,
    Y: box.top + (1 - held(along(forceN, view.fromForceN, view.toForceN))) * box.height,
  };
}

/** The speed and force under a finger. */
export function pointUnder(view: WindowView, box: MapBox, X: number, Y: number): SpeedAndForce {
  return {
    rpm: valueAt(held((X - box.left) / box.width), view.fromRpm, view.toRpm),
    forceN: valueAt(held(1 - (Y - box.top) / box.height), view.fromForceN, view.toForceN),
  };
}

/** The same question without a speed and pressure of the person's own. */
export function withoutOwnPoint(asked: AskedHole): AskedHole {
  const { rimSpeedMPerS: _v, contactPressureMpa: _p, ...setup } = asked.drillCase.hole.setup ?? {};
  return { ...asked, drillCase: withSetup(asked.drillCase, setup) };
}

/** A machine with fixed speeds goes to its next line; one that can be set goes by the ratio. */
export function nextSpeed({ machine }: WindowView, rpm: number, ratio: number): number {
  const fixed = machine.filter(({ fromRpm, toRpm }) => fromRpm === toRpm);
  if (fixed.length < machine.length) return rpm * ratio;
  const lines = fixed.map(({ fromRpm }) => fromRpm).sort((a, b) => a - b);
  const next =
    ratio > 1
      ? lines.find((line) => line > rpm * 1.001)
      : lines.findLast((line) => line < rpm * 0.999);
  return next ?? rpm;
}
