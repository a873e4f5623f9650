import type { BarePlan } from '../plan/plan';
import type { SignId } from '../signs/signs';
import type { RunResult } from './runResult';

/** The plan a run follows, as it stood when the run was opened. */
export type RunPlan = BarePlan;

/** What the run is of, in words, so that the record reads without the job. */
export interface RunSubject {
  readonly jobId: string;
  readonly jobName: string;
  readonly pieceId: string;
  readonly pieceName: string;
  readonly holeId: string;
  readonly holeName: string;
  readonly material: string;
  readonly thicknessMm: number;
  readonly diameterMm: number;
}

export const HELP_ANSWERS = ['yes', 'no', 'not-sure'] as const;
export type HelpAnswer = (typeof HELP_ANSWERS)[number];

/** What a person does; everything else follows from the plan and the clock. */
export type RunAct =
  | {
      readonly kind: 'open';
      readonly plan: RunPlan;
      readonly subject: RunSubject;
      /** Ids of the checks that were ticked. */
      readonly ready: readonly string[];
    }
  | { readonly kind: 'start' }
  | { readonly kind: 'pause' }
  | { readonly kind: 'resume' }
  /** The rim is this deep: measured, or moved on the drawing by eye. */
  | { readonly kind: 'measure'; readonly depthMm: number; readonly by: 'rule' | 'eye' }
  /** The stop or step that is due is done. */
  | { readonly kind: 'next' }
  /** The far face has given way; on a blind hole: at depth. */
  | { readonly kind: 'through' }
  | { readonly kind: 'sign'; readonly sign: SignId }
  | { readonly kind: 'helped'; readonly of: string; readonly answer: HelpAnswer }
  | { readonly kind: 'crack' }
  | { readonly kind: 'abort'; readonly why: string }
  /** Takes an earlier act back: it stays in the record and counts no more. */
  | { readonly kind: 'undo'; readonly of: string }
  /** From here on this device drives. */
  | { readonly kind: 'drive' }
  | { readonly kind: 'result'; readonly result: RunResult };

export type RunActKind = RunAct['kind'];

/** When something happened, by the wall clock and by one that is never set. */
export interface Stamp {
  /** Wall clock, ISO 8601. */
  readonly at: string;
  /** Steady clock since this session began, ms. */
  readonly tickMs: number;
  /** One load of the page. */
  readonly session: string;
}

/** One line of a run's record: written once, never changed. */
export interface RunEvent extends Stamp {
  readonly id: string;
  /** One more than the greatest the device knew: what orders the record. */
  readonly n: number;
  readonly device: string;
  readonly act: RunAct;
}
