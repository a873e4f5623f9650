import { checkCase } from '../setup/checkCase';
import type { DrillCase } from '../setup/drillCase';
import type { JobFault } from '../setup/jobFault';
import { bendLater, type Bend } from '../physics/plate/bender';
import type { PlanContext } from './planContext';
import { workOut } from './workOut';

export type ContextOutcome =
  | { readonly kind: 'worked-out'; readonly context: PlanContext }
  | { readonly kind: 'faulty'; readonly faults: readonly JobFault[] };

/**
 * One hole worked out, numbers and codes only: for the plan in words, and for those who calculate on
 * with it.
 *
 * @param drillCase of the right shape; it is checked here, and faults point into a job of just that
 *   piece and hole
 * @param bend works out how the piece bends, which takes a tenth of a second or two; left out, the
 *   plan is made without it and says so
 */
export function contextOf(drillCase: DrillCase, bend: Bend = bendLater): ContextOutcome {
  const faults = checkCase(drillCase);
  return faults.length > 0
    ? { kind: 'faulty', faults }
    : { kind: 'worked-out', context: workOut(drillCase, bend) };
}
