import type { BitFamilyId } from '../bits/bitFamilies';
import type { CoolantId } from '../coolants/coolants';
import type { ApartWay } from '../couplings/apart';
import type { Holder, Shank } from '../couplings/connections';
import type { MachineKindId } from '../machines/machineKinds';
import type { MachineSpeeds } from '../machines/machineSpeeds';
import type { SupportId } from '../supports/supports';

/** What a workshop owns; all of it travels in the job file. Lengths mm. */
export interface Kit {
  readonly bits?: readonly Bit[];
  readonly machines?: readonly Machine[];
  readonly couplings?: readonly Coupling[];
  readonly supports?: readonly OwnedSupport[];
  readonly guides?: readonly OwnedGuide[];
  readonly water?: readonly OwnedWater[];
}

export const BIT_STATES = ['new', 'good', 'tired', 'bald', 'out-of-true'] as const;
export type BitState = (typeof BIT_STATES)[number];

/** One entry of a bit's life: how sharp it was found or made. */
export interface SharpnessNote {
  readonly at: string;
  readonly sharpness: number;
  readonly how: 'checked' | 'dressed' | 'set' | 'drilled';
}

export interface Bit {
  readonly id: string;
  readonly name: string;
  readonly family: BitFamilyId;
  readonly diameterMm: number;
  readonly rimWidthMm?: number;
  readonly coverage?: number;
  readonly usableDepthMm?: number;
  readonly sharpness?: number;
  readonly runOutMm?: number;
  readonly depthCutMm?: number;
  readonly holesCut?: number;
  readonly price?: number;
  readonly maxRpm?: number;
  readonly supplier?: string;
  readonly batch?: string;
  readonly shank?: Shank;
  /** A barrel narrower than its rim: play in a guide grows once the rim is through. */
  readonly barrelDiameterMm?: number;
  /** Slots in the barrel: cores come out easily, spindle water leaks away. */
  readonly slotted?: boolean;
  readonly state?: BitState;
  readonly sharpnessLog?: readonly SharpnessNote[];
  /** No longer used, kept for its history. */
  readonly retired?: boolean;
}

export interface Machine {
  readonly id: string;
  readonly name: string;
  readonly kind: MachineKindId;
  readonly speeds?: MachineSpeeds;
  readonly stallTorqueNm?: number;
  readonly clutchTorqueNm?: number | null;
  readonly power?: 'mains' | 'mains-protected' | 'battery' | 'low-voltage';
  readonly holders?: readonly Holder[];
  /** A press: how far the quill comes down, most room under the chuck, spindle to column. */
  readonly travelMm?: number;
  readonly chuckToTableMm?: number;
  readonly throatMm?: number;
  /** May stand in spray. */
  readonly waterRated?: boolean;
  /** Brings water through its own spindle. */
  readonly spindleWater?: boolean;
  /** A press: length of the feed lever, and radius of the pinion it turns. */
  readonly leverArmMm?: number;
  readonly pinionRadiusMm?: number;
  readonly retired?: boolean;
}

export const COUPLING_KINDS = ['adapter', 'extension', 'swivel'] as const;
export type CouplingKind = (typeof COUPLING_KINDS)[number];

/** Something between machine and bit. */
export interface Coupling {
  readonly id: string;
  readonly name: string;
  readonly kind: CouplingKind;
  /** The end that goes into the machine. */
  readonly into: Shank;
  /** The end that takes the bit. */
  readonly takes: Holder;
  /** How much farther it carries the bit. */
  readonly lengthMm?: number;
  /** Brings water into the barrel. */
  readonly carriesWater?: boolean;
  readonly apart?: ApartWay;
  readonly retired?: boolean;
}

export interface OwnedSupport {
  readonly id: string;
  readonly name: string;
  readonly kind: SupportId;
  readonly thicknessMm?: number;
  readonly widthMm?: number;
  readonly lengthMm?: number;
  readonly retired?: boolean;
}

export interface OwnedGuide {
  readonly id: string;
  readonly name: string;
  readonly kind: string;
  readonly thicknessMm?: number;
  /** The hole that steers the bit. */
  readonly boreMm?: number;
  readonly retired?: boolean;
}

export interface OwnedWater {
  readonly id: string;
  readonly name: string;
  readonly kind: CoolantId;
  readonly trayLengthMm?: number;
  readonly trayWidthMm?: number;
  readonly trayDepthMm?: number;
  readonly retired?: boolean;
}
