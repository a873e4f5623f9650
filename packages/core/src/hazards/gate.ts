import type { HazardCheck, Hole, JobHeader, Piece } from '../job/job';
import type { Material } from '../materials/material';

/** stop: not to be run until answered · confirm: a named check to tick · note: to know. */
export type GateLevel = 'stop' | 'confirm' | 'note';

/** What a hazard looks at. */
export interface HazardScene {
  readonly job: JobHeader;
  readonly piece: Piece;
  readonly hole: Hole;
  readonly material: Material;
}

export interface GateAnswer {
  readonly code: string;
  readonly label: string;
}

export interface Hazard<Code extends string = string> {
  readonly code: Code;
  readonly title: string;
  /** The gate it raises here, or null where it does not arise. */
  readonly judge: (scene: HazardScene) => {
    readonly level: GateLevel;
    readonly message: string;
    /** Answers that settle it; none means there is no way round. */
    readonly answers: readonly GateAnswer[];
  } | null;
}

/** A hazard that arises in this plan. */
export interface Gate {
  readonly code: string;
  readonly level: GateLevel;
  readonly title: string;
  readonly message: string;
  readonly answers: readonly GateAnswer[];
  /** The recorded answer that settles it. */
  readonly settledBy?: HazardCheck;
}
