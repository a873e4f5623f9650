import type { BitFamilyId } from '../bits/bitFamilies';
import type { Coolant, CoolantId } from '../coolants/coolants';
import type { Hold } from '../documents/choices';
import type { HazardCheck } from '../documents/hazardCheck';
import type { Hole } from '../documents/hole';
import type { JobHeader } from '../documents/job';
import type { Machine } from '../documents/kit';
import type { Piece } from '../documents/piece';
import type { Setup } from '../documents/setup';
import type { MachineKindId } from '../machines/machineKinds';
import type { Material } from '../documents/material';
import type { UnitSystem } from '../units/unitSystem';

/** stop: not to be run until answered · confirm: a named check to tick · note: to know. */
export type GateLevel = 'stop' | 'confirm' | 'note';

/** The work as planned, as far as a hazard cares. */
export interface HazardWork {
  readonly machineKind: MachineKindId;
  readonly power: NonNullable<Machine['power']>;
  readonly hold: Hold;
  readonly standFixing: Setup['standFixing'];
  readonly coolantId: CoolantId;
  readonly coolantKind: Coolant['kind'];
  readonly bitFamily: BitFamilyId;
  readonly bitDiameterMm: number;
  readonly rpm: number;
  /** The bit's own limit, where it is known. */
  readonly bitMaxRpm: number | undefined;
  readonly solidBit: boolean;
  /** What the drill twists with when the bit jams, N·m: the least of stall and slip clutch. */
  readonly jamTorqueNm: number;
  readonly hasClutch: boolean;
  readonly feedForceN: number;
  readonly cuttingMinutes: number;
  /** Mass of the core or plug that comes free, kg. */
  readonly coreMassKg: number;
}

/** What a hazard looks at. */
export interface HazardScene {
  readonly job: Pick<JobHeader, 'checks'>;
  readonly piece: Piece;
  readonly hole: Hole;
  /** What the bit meets first. */
  readonly material: Material;
  /** Every leaf's, and everything the piece may turn out to be. */
  readonly materials: readonly Material[];
  readonly work: HazardWork;
  /** What its sentences are written in. */
  readonly units: UnitSystem;
}

export interface GateAnswer {
  readonly code: string;
  readonly label: string;
  /** Counts only with a line in writing: what to write. */
  readonly asks?: string;
}

export interface Judged {
  readonly level: GateLevel;
  readonly message: string;
  /** Answers that settle it; a stop with none has no way round. */
  readonly answers: readonly GateAnswer[];
  /** Getting to know the piece step by step leads to an answer. */
  readonly helpedByKnowing?: true;
}

/** Whether an answer holds for the whole job, this piece with all its holes, or this hole alone. */
export type GateScope = 'job' | 'piece' | 'hole';

export interface Hazard<Code extends string = string> {
  readonly code: Code;
  readonly title: string;
  readonly scope: GateScope;
  /** The gate it raises here, or null where it does not arise. */
  readonly judge: (scene: HazardScene) => Judged | null;
  /** What an answer was given for: when any of it changes, the gate opens again. */
  readonly facts: (scene: HazardScene) => readonly (string | number | boolean | undefined)[];
}

/** A hazard that arises in this plan. */
export interface Gate extends Judged {
  readonly code: string;
  readonly title: string;
  readonly scope: GateScope;
  /** Stored with an answer, so that a changed piece opens the gate again. */
  readonly of: string;
  /** The recorded answer that settles it. */
  readonly settledBy?: HazardCheck;
  /** An answer given before the facts changed. */
  readonly outdated?: HazardCheck;
}
