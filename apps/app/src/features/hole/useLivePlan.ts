import type { HoleDetail } from '@nucleon/contract/wire';
import type { Fault } from '@nucleon/core/job/fault';
import type { JobFile } from '@nucleon/core/documents/jobFile';
import type { Plan } from '@nucleon/core/plan/plan';
import { useMemo } from 'react';
import type { AskedHole } from '../../workers/askedHole';
import { useTask } from '../../workers/useTask';
import { useUnits } from '../display/displayStore';
import type { Workshop } from '../kit/useWorkshop';
import type { Content } from './holeDraft';

export interface LivePlan {
  /** The last plan that could be made; stays while a faulty value is mended. */
  readonly plan: Plan | null;
  readonly faults: readonly Fault[];
  /** What the plan was asked from: other rooms ask the worker the same. */
  readonly asked: AskedHole;
}

/** A job of the one hole as it stands on the screen, with the kit in use and the house's habits. */
export function fileOf(
  job: HoleDetail['job'],
  { piece, hole }: Content,
  { bits, machines, parts, house }: Workshop,
): JobFile {
  return {
    format: 'nucleon-job',
    version: 1,
    job: { id: job.id, name: job.name, ...(job.checks ? { checks: job.checks } : {}) },
    pieces: [{ ...piece, holes: [hole] }],
    kit: { bits, machines, ...parts },
    customMaterials: job.customMaterials,
    house,
  };
}

/**
 * The plan as it follows the draft, made by the worker; late answers lose. The bending takes longer
 * and joins it a moment later.
 */
export function useLivePlan(detail: HoleDetail, content: Content, workshop: Workshop): LivePlan {
  const units = useUnits();
  const asked = useMemo(
    () => ({ file: fileOf(detail.job, content, workshop), holeId: content.hole.id, units }),
    [detail.job, content, workshop, units],
  );
  const { outcome, faults } = useTask('plan', asked);
  const bent = useTask('bentPlan', asked);
  const latest = bent.of === asked ? bent.outcome : outcome;
  return { plan: latest?.kind === 'planned' ? latest.plan : null, faults, asked };
}
