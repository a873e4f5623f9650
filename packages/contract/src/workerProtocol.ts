import type { JobFile } from '@nucleon/core/job/job';
import type { PlanOutcome } from '@nucleon/core/plan/makePlan';
import type { UnitSystem } from '@nucleon/core/units/unitSystem';

/** Asks the plan worker for one hole's plan; the newest id wins. */
export interface PlanRequest {
  readonly id: number;
  readonly file: JobFile;
  readonly holeId: string;
  readonly units: UnitSystem;
}

export type PlanReply =
  | { readonly id: number; readonly kind: 'answered'; readonly outcome: PlanOutcome }
  | { readonly id: number; readonly kind: 'broken'; readonly message: string };
