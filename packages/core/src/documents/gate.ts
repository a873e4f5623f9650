import type { HazardCheck } from './hazardCheck';

/** stop: not to be run until answered · confirm: a named check to tick · note: to know. */
export type GateLevel = 'stop' | 'confirm' | 'note';

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
