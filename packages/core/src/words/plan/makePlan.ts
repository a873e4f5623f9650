import type { Fault } from '../../documents/fault';
import type { Plan } from '../../documents/plan';
import { contextOf } from '../../plan/contextOf';
import { operationNumbers, planNumbers } from '../../plan/planNumbers';
import type { Bend } from '../../physics/plate/bender';
import type { DrillCase } from '../../setup/drillCase';
import { faultyInWords } from '../faults';
import { gateInWords } from '../hazards/gateInWords';
import { METRIC, type UnitSystem } from '../../data/unitSystem';
import { inUnits } from './planInUnits';
import { planReasons } from './planReasons';
import { operationSteps } from './planSteps';
import { planWarnings } from './planWarnings';
import { timelineInWords } from './timelineInWords';

export type PlanOutcome =
  | { readonly kind: 'planned'; readonly plan: Plan }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

/**
 * The plan of one hole as it is shown, stored and printed: the same on the phone, the server and the
 * command line.
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
  bend?: Bend,
): PlanOutcome {
  const worked = contextOf(drillCase, bend);
  if (worked.kind === 'faulty') return faultyInWords(worked);
  const context = inUnits(worked.context, units);
  const { gates, operations } = context;
  const steps = operations.map((one) => operationSteps(context, one));
  return {
    kind: 'planned',
    plan: {
      ...planNumbers(context),
      operations: operations.map((one, index) => ({
        ...operationNumbers(one),
        // Where its lifts and changes fall stands in the operation itself.
        steps: (steps[index] ?? []).map(({ depthsMm: _depths, ...step }) => step),
      })),
      fit: context.fit,
      timeline: timelineInWords(context),
      gates: gates.open.map((gate) => gateInWords(gate, units)),
      settledGates: gates.settled.map((gate) => gateInWords(gate, units)),
      warnings: planWarnings(context),
      steps: steps.flat(),
      reasons: planReasons(context),
    },
  };
}
