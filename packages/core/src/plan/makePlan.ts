import { checkCase, type DrillCase } from '../setup/drillCase';
import type { Fault } from '../documents/fault';
import { bendLater, type Bend } from '../physics/plate/bender';
import { METRIC, type UnitSystem } from '../words/units/unitSystem';
import type { Plan } from '../documents/plan';
import type { PlanContext } from './planContext';
import { planOutput } from './planOutput';
import { workOut } from './workOut';

export type PlanOutcome =
  | { readonly kind: 'planned'; readonly plan: Plan }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

/**
 * The plan of one hole: the same function on the phone, the server and the command line.
 *
 * @param drillCase of the right shape; it is checked here, and faults point into a job of just that
 *   piece and hole
 * @param units what the sentences are written in; the numbers are always SI-mm
 * @param bend works out how the piece bends, which takes a tenth of a second or two; left out, the
 *   plan is made without it and says so
 */
export function makePlan(
  drillCase: DrillCase,
  units: UnitSystem = METRIC,
  bend: Bend = bendLater,
): PlanOutcome {
  const worked = contextOf(drillCase, units, bend);
  return worked.kind === 'faulty' ? worked : { kind: 'planned', plan: planOutput(worked.context) };
}

export type ContextOutcome =
  | { readonly kind: 'worked-out'; readonly context: PlanContext }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

/** What makePlan puts into words, for those who reckon on with it: choice, window, risk. */
export function contextOf(
  drillCase: DrillCase,
  units: UnitSystem,
  bend: Bend = bendLater,
): ContextOutcome {
  const faults = checkCase(drillCase);
  return faults.length > 0
    ? { kind: 'faulty', faults }
    : { kind: 'worked-out', context: workOut(drillCase, units, bend) };
}
