import type { BitFamilyId } from '../../data/bits/bitFamilies';
import type { Coolant, CoolantId } from '../../data/coolants';
import type { Hold } from '../../data/choices';
import type { GateLevel, GateScope } from '../../documents/gate';
import type { Hole } from '../../documents/hole';
import type { JobHeader } from '../../documents/job';
import type { Machine } from '../../documents/kit';
import type { Piece } from '../../documents/piece';
import type { Setup } from '../../documents/setup';
import type { MachineKindId } from '../../data/machines/machineKinds';
import type { Material } from '../../data/materials/material';

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
}

/** An answer that settles a gate. */
export interface HazardAnswer {
  readonly code: string;
  /** Counts only with a line in writing. */
  readonly inWriting?: true;
}

/** What a hazard finds here: how grave it is, what it is, the values it names, what settles it. */
export interface Finding {
  readonly level: GateLevel;
  readonly found: string;
  /** Answers that settle it; a stop with none has no way round. */
  readonly answers: readonly HazardAnswer[];
  /** Getting to know the piece step by step leads to an answer. */
  readonly helpedByKnowing?: true;
}

export interface Hazard<Code extends string = string, Found extends Finding = Finding> {
  readonly code: Code;
  readonly scope: GateScope;
  /** The gate it raises here, or null where it does not arise. */
  readonly judge: (scene: HazardScene) => Found | null;
  /** What an answer was given for: when any of it changes, the gate opens again. */
  readonly facts: (scene: HazardScene) => readonly (string | number | boolean | undefined)[];
}

/** Keeps what a hazard can find, and its answers, for the words to be complete. */
export const defineHazard = <const Code extends string, const Found extends Finding>(
  hazard: Hazard<Code, Found>,
): Hazard<Code, Found> => hazard;
