import type { BitFamilyId } from '../../data/bits/bitFamilies';
import type { Coolant, CoolantId } from '../../data/coolants';
import type { Hold } from '../../data/choices';
import type { GateScope, Judged } from '../../documents/gate';
import type { Hole } from '../../documents/hole';
import type { JobHeader } from '../../documents/job';
import type { Machine } from '../../documents/kit';
import type { Piece } from '../../documents/piece';
import type { Setup } from '../../documents/setup';
import type { MachineKindId } from '../../data/machines/machineKinds';
import type { Material } from '../../data/materials/material';
import type { UnitSystem } from '../../words/units/unitSystem';

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

export interface Hazard<Code extends string = string> {
  readonly code: Code;
  readonly title: string;
  readonly scope: GateScope;
  /** The gate it raises here, or null where it does not arise. */
  readonly judge: (scene: HazardScene) => Judged | null;
  /** What an answer was given for: when any of it changes, the gate opens again. */
  readonly facts: (scene: HazardScene) => readonly (string | number | boolean | undefined)[];
}
