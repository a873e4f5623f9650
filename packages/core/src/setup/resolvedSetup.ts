import type { BitGeometry } from '../physics/cutting/bitGeometry';
import type { Coolant, CoolantId } from '../data/coolants';
import type { Hold, Pace, Start } from '../data/choices';
import type { Bit, Machine } from '../documents/kit';
import type { LoggedFactors } from '../documents/experience';
import type { Setup, SupportSetup } from '../documents/setup';
import type { FeedAidId } from '../data/machines/feedAids';
import type { WindowArea } from './windowAreas';
import type { SpeedSetting } from '../physics/cutting/speedSettings';
import type { Support, SupportId } from '../data/supports';

/** A bit farther than this off the hole's size does not make that hole, mm. */
export const SIZE_TOLERANCE_MM = 0.5;

export interface ResolvedBit {
  readonly bit: Bit;
  readonly owned: boolean;
  readonly geometry: BitGeometry;
}

/** Bounds on what the pace asks for, where the material is not sure. */
export interface SetupCaps {
  readonly pressureMpa: number;
  readonly rimSpeedMPerS: number;
}

/** The setup with nothing left open; `assumed` names what the planner chose. */
export interface ResolvedSetup {
  readonly caps?: SetupCaps | undefined;
  readonly bits: readonly ResolvedBit[];
  readonly finishing: ResolvedBit;
  readonly machine: Machine;
  readonly machineOwned: boolean;
  readonly settings: readonly SpeedSetting[];
  readonly support: Support & {
    readonly id: SupportId;
    readonly atThicknessMm: number;
  } & Required<
      Pick<SupportSetup, 'contactFraction' | 'edgesHeld' | 'pads' | 'twistMm' | 'clamps' | 'boards'>
    >;
  readonly coolant: Coolant & {
    readonly id: CoolantId;
    readonly rimWPerM2K: number;
    readonly atCoverMm: number;
  };
  readonly hold: Hold;
  /** The machine’s hammer is on. */
  readonly hammer: boolean;
  readonly feedAid: FeedAidId;
  readonly start: Start;
  readonly pace: Pace;
  readonly sides: 'one' | 'two';
  readonly wanted: Pick<
    Setup,
    'rimSpeedMPerS' | 'contactPressureMpa' | 'water' | 'standFixing' | 'exit'
  >;
  /** What the log tells of this stone and bit; null where it tells nothing. */
  readonly logged: LoggedFactors | null;
  /** So many times as long as calculated it cuts for the whole to take what the log tells. */
  readonly cuttingTimes: number;
  /** What the usual pace would have run into, where it was moved inside the working window. */
  readonly movedFrom?: WindowArea;
  readonly assumed: readonly string[];
  /** Which of those are the house's habit rather than the planner's. */
  readonly byHabit: readonly string[];
}
