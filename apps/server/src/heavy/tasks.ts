import type { DrillCase } from '@nucleon/core/setup/drillCase';
import { assessHole, type HoleRisk } from '@nucleon/core/advice/risk/assessHole';
import { makePlan, type PlanOutcome } from '@nucleon/core/words/plan/makePlan';
import { rememberingBender } from '@nucleon/core/physics/plate/bender';
import {
  learnAll,
  type LearningInput,
  type LearningOutcome,
} from '@nucleon/core/run/learning/learningReport';
import { METRIC } from '@nucleon/core/data/unitSystem';

/** What takes longer than a request may hold up others: a tenth of a second and more. */
export interface HeavyTasks {
  readonly bentPlan: (drillCase: DrillCase) => PlanOutcome;
  readonly risk: (drillCase: DrillCase) => HoleRisk;
  readonly learn: (input: LearningInput) => LearningOutcome;
}
export type HeavyInput<K extends keyof HeavyTasks> = Parameters<HeavyTasks[K]>[0];

/** The tasks with a memory of the pieces bent last. */
export function heavyTasks(): HeavyTasks {
  const { bend } = rememberingBender();
  return {
    bentPlan: (drillCase) => makePlan(drillCase, METRIC, bend),
    risk: (drillCase) => assessHole(drillCase, { bend }),
    learn: learnAll,
  };
}
