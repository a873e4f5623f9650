import type { JobFile } from '@nucleon/core/documents/jobFile';
import { assessHole, type HoleRisk } from '@nucleon/core/plan/assessHole';
import { makePlan, type PlanOutcome } from '@nucleon/core/plan/makePlan';
import { rememberingBender } from '@nucleon/core/plate/bender';
import { METRIC } from '@nucleon/core/units/unitSystem';

/** What takes longer than a request may hold up others: a tenth of a second and more. */
export interface HeavyTasks {
  readonly bentPlan: (file: JobFile, holeId: string) => PlanOutcome;
  readonly risk: (file: JobFile, holeId: string) => HoleRisk;
}

/** The tasks with a memory of the pieces bent last. */
export function heavyTasks(): HeavyTasks {
  const { bend } = rememberingBender();
  return {
    bentPlan: (file, holeId) => makePlan(file, holeId, METRIC, bend),
    risk: (file, holeId) => assessHole(file, holeId, { bend }),
  };
}
