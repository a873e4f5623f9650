import type { Hold } from '../choices';
import type { Holder } from '../couplings/shank';
import type { MachineSpeeds } from './machineSpeeds';

/** What a hammer strikes with. */
export interface Blows {
  readonly energyJ: number;
  readonly perS: number;
}

/** What machines of one kind have in common, where the person has not said otherwise. */
export interface MachineKind {
  readonly name: string;
  readonly speeds: MachineSpeeds;
  readonly stallTorqueNm: number;
  /** What it gives at the spindle for as long as a cut takes, W. */
  readonly ratedPowerW: number;
  /** Its speed sags under load as a series or battery motor's does; else gear or governor hold it. */
  readonly sags: boolean;
  /** Slip clutch as it comes, N·m; null where there is none. */
  readonly clutchTorqueNm: number | null;
  /** How it is steered unless a guide or stand is added. */
  readonly hold: Hold;
  readonly power: 'mains' | 'mains-protected' | 'battery';
  /** What its spindle takes. */
  readonly holders: readonly Holder[];
  /** Made to work in spray. */
  readonly waterRated: boolean;
  readonly spindleWater: boolean;
  /** Hits as it turns: never, when switched to it, or unless switched off. */
  readonly hammer: 'none' | 'switched' | 'always';
  /** Its blows with the hammer on. */
  readonly blows: Blows;
  /** What it can be brought to. */
  readonly goesTo: 'any-piece' | 'press-table' | 'grinder-table' | 'broad-face' | 'standing-room';
}

const chuck = (leastMm: number, mostMm: number): Holder => ({ kind: 'round', leastMm, mostMm });

// prettier-ignore
export const MACHINE_KINDS = {
  'rotary-tool': { name: 'Rotary tool', speeds: { kind: 'range', minRpm: 5000, maxRpm: 33000 }, stallTorqueNm: 0.1, ratedPowerW: 60, sags: true, clutchTorqueNm: null, hold: 'freehand', power: 'mains', holders: [chuck(0.5, 3.2)], waterRated: false, spindleWater: false, hammer: 'none', blows: { energyJ: 0, perS: 0 }, goesTo: 'any-piece' },
  'flex-shaft': { name: 'Flex shaft', speeds: { kind: 'range', minRpm: 500, maxRpm: 18000 }, stallTorqueNm: 0.25, ratedPowerW: 120, sags: true, clutchTorqueNm: null, hold: 'freehand', power: 'mains', holders: [chuck(0.5, 4)], waterRated: false, spindleWater: false, hammer: 'none', blows: { energyJ: 0, perS: 0 }, goesTo: 'any-piece' },
  'pen-tool': { name: 'Pen-grip tool', speeds: { kind: 'range', minRpm: 5000, maxRpm: 25000 }, stallTorqueNm: 0.05, ratedPowerW: 12, sags: true, clutchTorqueNm: null, hold: 'freehand', power: 'battery', holders: [{ kind: 'round', sizesMm: [2.35] }], waterRated: false, spindleWater: false, hammer: 'none', blows: { energyJ: 0, perS: 0 }, goesTo: 'any-piece' },
  'small-drill-press': { name: 'Small drill press', speeds: { kind: 'range', minRpm: 600, maxRpm: 8500 }, stallTorqueNm: 1, ratedPowerW: 120, sags: true, clutchTorqueNm: null, hold: 'press', power: 'mains', holders: [chuck(0.5, 6.5)], waterRated: false, spindleWater: false, hammer: 'none', blows: { energyJ: 0, perS: 0 }, goesTo: 'press-table' },
  'bench-drill-press': { name: 'Bench drill press', speeds: { kind: 'steps', rpm: [280, 480, 750, 1100, 1650, 2600, 3100] }, stallTorqueNm: 12, ratedPowerW: 350, sags: false, clutchTorqueNm: null, hold: 'press', power: 'mains', holders: [chuck(1, 16)], waterRated: false, spindleWater: false, hammer: 'none', blows: { energyJ: 0, perS: 0 }, goesTo: 'press-table' },
  'glass-grinder': { name: 'Glass grinder with drill tip', speeds: { kind: 'steps', rpm: [3450] }, stallTorqueNm: 0.3, ratedPowerW: 60, sags: false, clutchTorqueNm: null, hold: 'guided', power: 'mains', holders: [chuck(6, 6.5)], waterRated: true, spindleWater: false, hammer: 'none', blows: { energyJ: 0, perS: 0 }, goesTo: 'grinder-table' },
  'cordless-drill': { name: 'Cordless drill', speeds: { kind: 'gears', gears: [{ minRpm: 0, maxRpm: 500, stallTorqueNm: 55 }, { minRpm: 0, maxRpm: 1900, stallTorqueNm: 25 }] }, stallTorqueNm: 55, ratedPowerW: 300, sags: true, clutchTorqueNm: 6, hold: 'guided', power: 'battery', holders: [chuck(1, 13)], waterRated: false, spindleWater: false, hammer: 'switched', blows: { energyJ: 0.08, perS: 450 }, goesTo: 'any-piece' },
  'corded-drill': { name: 'Corded drill', speeds: { kind: 'range', minRpm: 0, maxRpm: 2800 }, stallTorqueNm: 20, ratedPowerW: 350, sags: true, clutchTorqueNm: null, hold: 'guided', power: 'mains', holders: [chuck(1.5, 13)], waterRated: false, spindleWater: false, hammer: 'switched', blows: { energyJ: 0.1, perS: 600 }, goesTo: 'any-piece' },
  'rotary-hammer': { name: 'Rotary hammer, hammer off', speeds: { kind: 'range', minRpm: 0, maxRpm: 900 }, stallTorqueNm: 40, ratedPowerW: 450, sags: true, clutchTorqueNm: 20, hold: 'guided', power: 'mains', holders: [{ kind: 'hammer-slot' }], waterRated: false, spindleWater: false, hammer: 'always', blows: { energyJ: 2.4, perS: 75 }, goesTo: 'any-piece' },
  'hand-core-drill': { name: 'Hand-held wet core drill', speeds: { kind: 'gears', gears: [{ minRpm: 520, maxRpm: 520, stallTorqueNm: 45 }, { minRpm: 1250, maxRpm: 1250, stallTorqueNm: 19 }, { minRpm: 2600, maxRpm: 2600, stallTorqueNm: 9 }] }, stallTorqueNm: 45, ratedPowerW: 1100, sags: false, clutchTorqueNm: 18, hold: 'guided', power: 'mains-protected', holders: [{ kind: 'thread-g-half' }], waterRated: true, spindleWater: true, hammer: 'none', blows: { energyJ: 0, perS: 0 }, goesTo: 'any-piece' },
  'stand-core-drill': { name: 'Core drill on a stand', speeds: { kind: 'range', minRpm: 300, maxRpm: 1300 }, stallTorqueNm: 120, ratedPowerW: 1600, sags: false, clutchTorqueNm: 60, hold: 'rig', power: 'mains-protected', holders: [{ kind: 'thread-1-1-4' }], waterRated: true, spindleWater: true, hammer: 'none', blows: { energyJ: 0, perS: 0 }, goesTo: 'standing-room' },
  'angle-grinder': { name: 'Angle grinder with adapter', speeds: { kind: 'range', minRpm: 8000, maxRpm: 11000 }, stallTorqueNm: 8, ratedPowerW: 450, sags: true, clutchTorqueNm: null, hold: 'freehand', power: 'mains', holders: [{ kind: 'thread-m14' }], waterRated: false, spindleWater: false, hammer: 'none', blows: { energyJ: 0, perS: 0 }, goesTo: 'broad-face' },
} as const satisfies Record<string, MachineKind>;

export type MachineKindId = keyof typeof MACHINE_KINDS;
export const MACHINE_KIND_IDS = Object.keys(MACHINE_KINDS) as readonly MachineKindId[];

/** Slip clutch of a machine as set, else as its kind comes, N·m; null where there is none. */
export const clutchOf = (machine: {
  readonly kind: MachineKindId;
  readonly clutchTorqueNm?: number | null;
}): number | null =>
  machine.clutchTorqueNm === undefined
    ? MACHINE_KINDS[machine.kind].clutchTorqueNm
    : machine.clutchTorqueNm;
