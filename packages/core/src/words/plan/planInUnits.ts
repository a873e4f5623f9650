import type { PlanContext } from '../../plan/planContext';
import { planPurpose } from '../../plan/planPurpose';
import type { UnitSystem } from '../../data/unitSystem';

/** What was worked out, and the units its sentences are written in. */
export interface PlanInUnits extends PlanContext {
  readonly units: UnitSystem;
}

/** Its part is read again, for a part's own lines stand in units. */
export const inUnits = (context: PlanContext, units: UnitSystem): PlanInUnits => ({
  ...context,
  ...planPurpose(context.piece, context.hole, context.face, units),
  units,
});
