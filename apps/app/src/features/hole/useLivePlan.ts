import type { HoleDetail, StoredBit, StoredMachine } from '@nucleon/contract/wire';
import type { Fault } from '@nucleon/core/job/fault';
import type { JobFile } from '@nucleon/core/job/job';
import type { Plan } from '@nucleon/core/plan/plan';
import { useEffect, useMemo, useState } from 'react';
import { usePlanner } from '../../workers/PlannerProvider';
import { useUnits } from '../display/displayStore';
import type { Content } from './holeDraft';

export interface LivePlan {
  /** The last plan that could be made; stays while a faulty value is mended. */
  readonly plan: Plan | null;
  readonly faults: readonly Fault[];
}

/** A job of the one hole as it stands on the screen, with the kit in use. */
export function fileOf(
  job: HoleDetail['job'],
  { piece, hole }: Content,
  bits: readonly StoredBit[],
  machines: readonly StoredMachine[],
): JobFile {
  return {
    format: 'nucleon-job',
    version: 1,
    job: { id: job.id, name: job.name, ...(job.checks ? { checks: job.checks } : {}) },
    pieces: [{ ...piece, holes: [hole] }],
    kit: { bits, machines },
    customMaterials: job.customMaterials,
  };
}

/** The plan as it follows the draft, made by the worker; late answers lose. */
export function useLivePlan(
  detail: HoleDetail,
  content: Content,
  bits: readonly StoredBit[],
  machines: readonly StoredMachine[],
): LivePlan {
  const planner = usePlanner();
  const units = useUnits();
  const [live, setLive] = useState<LivePlan>({ plan: null, faults: [] });
  const file = useMemo(
    () => fileOf(detail.job, content, bits, machines),
    [detail.job, content, bits, machines],
  );
  const holeId = content.hole.id;
  useEffect(
    () =>
      planner.ask({ file, holeId, units }, (reply) => {
        if (reply.kind === 'broken') {
          setLive((last) => ({
            ...last,
            faults: [{ pointer: '', message: 'The plan could not be made from these values.' }],
          }));
        } else if (reply.outcome.kind === 'faulty') {
          const { faults } = reply.outcome;
          setLive((last) => ({ ...last, faults }));
        } else {
          setLive({ plan: reply.outcome.plan, faults: [] });
        }
      }),
    [planner, file, holeId, units],
  );
  return live;
}
