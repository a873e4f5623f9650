import type { HoleDetail } from '@nucleon/contract/wire';
import type { Fault } from '@nucleon/core/documents/fault';
import type { DrillCase } from '@nucleon/core/setup/drillCase';
import type { Plan } from '@nucleon/core/documents/plan';
import { useMemo } from 'react';
import type { AskedHole } from '../../workers/askedHole';
import { useTask } from '../../workers/useTask';
import { useUnits } from '../display/displayStore';
import type { Workshop } from '../kit/useWorkshop';
import type { Content } from './holeDraft';

export interface LivePlan {
  /** null where none can be made: a plan of other values is not shown beside what clashes. */
  readonly plan: Plan | null;
  /** The last that could be made: what is edited by it keeps its place while a clash is mended. */
  readonly lastPlan: Plan | null;
  readonly faults: readonly Fault[];
  /** What the plan was asked from: other rooms ask the worker the same. */
  readonly asked: AskedHole;
}

/** The hole as it stands on the screen, with the kit in use and the house's habits. */
export const caseOf = (
  job: Pick<HoleDetail['job'], 'checks' | 'customMaterials'>,
  { piece, hole }: Pick<DrillCase, 'piece' | 'hole'>,
  { bits, machines, parts, house, experience }: Workshop,
): DrillCase => ({
  job: job.checks ? { checks: job.checks } : {},
  piece,
  hole,
  kit: { bits, machines, ...parts },
  materials: job.customMaterials,
  habits: house,
  experience,
});

/**
 * The plan as it follows the draft, made by the worker; late answers lose. The bending takes longer
 * and joins it a moment later.
 */
export function useLivePlan(detail: HoleDetail, content: Content, workshop: Workshop): LivePlan {
  const units = useUnits();
  const asked = useMemo(
    () => ({ drillCase: caseOf(detail.job, content, workshop), units }),
    [detail.job, content, workshop, units],
  );
  const { outcome, faults } = useTask('plan', asked);
  const bent = useTask('bentPlan', asked);
  const latest = bent.of === asked ? bent.outcome : outcome;
  const lastPlan = latest?.kind === 'planned' ? latest.plan : null;
  return { plan: faults.length === 0 ? lastPlan : null, lastPlan, faults, asked };
}
