import type { Bend } from '../physics/plate/bender';
import type { DrillCase } from '../setup/drillCase';
import { contextOf } from './contextOf';
import type { PlanContext } from './planContext';

/** A case worked out, not bent unless by `bend`. */
export function contextIn(drillCase: DrillCase, bend?: Bend): PlanContext {
  const outcome = contextOf(drillCase, bend);
  if (outcome.kind === 'faulty') throw new Error(JSON.stringify(outcome.faults));
  return outcome.context;
}
