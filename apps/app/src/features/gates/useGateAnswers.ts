import type { HoleDetail } from '@nucleon/contract/wire';
import type { Gate, GateAnswer } from '@nucleon/core/documents/gate';
import type { HazardCheck } from '@nucleon/core/documents/hazardCheck';
import { putJob } from '../../api/jobs';
import { useWrite } from '../../api/useWrite';
import type { Editing } from '../hole/editing';

export interface GateAnswers {
  readonly answer: (gate: Gate, answer: GateAnswer, note: string) => void;
  readonly takeBack: (gate: Gate) => void;
  /** What kept an answer for the whole job from being stored; empty when nothing did. */
  readonly trouble: string;
}

const without = (checks: readonly HazardCheck[] | undefined, code: string): HazardCheck[] =>
  (checks ?? []).filter((check) => check.hazard !== code);

/**
 * Records answers with their time where they hold: in the hole, in the piece for all its holes, or
 * in the job, which is written at once since it is not part of the hole's draft.
 */
export function useGateAnswers(
  edit: Editing,
  job: HoleDetail['job'],
  now: () => Date,
): GateAnswers {
  const inJob = useWrite((checks: readonly HazardCheck[]) => {
    const { id, updatedAt: _at, customMaterials: _materials, ...header } = job;
    return putJob(id, { ...header, checks });
  });

  const write = (gate: Gate, added: readonly HazardCheck[]): void => {
    const group = `gate-${gate.code}`;
    const { piece, hole } = edit;
    const has = (checks: readonly HazardCheck[] | undefined): boolean =>
      checks?.some((check) => check.hazard === gate.code) ?? false;
    if (gate.scope === 'piece' || has(piece.checks))
      edit.changePiece(
        { checks: [...without(piece.checks, gate.code), ...(gate.scope === 'piece' ? added : [])] },
        group,
      );
    if (gate.scope === 'hole' || has(hole.checks))
      edit.changeHole(
        { checks: [...without(hole.checks, gate.code), ...(gate.scope === 'hole' ? added : [])] },
        group,
      );
    if (gate.scope === 'job' || has(job.checks))
      inJob.run([...without(job.checks, gate.code), ...(gate.scope === 'job' ? added : [])]);
  };

  return {
    trouble: inJob.trouble,
    answer: (gate, { code }, note) => {
      const check: HazardCheck = {
        hazard: gate.code,
        answer: code,
        at: now().toISOString(),
        of: gate.of,
        ...(note.trim() === '' ? {} : { note: note.trim() }),
      };
      write(gate, [check]);
    },
    takeBack: (gate) => {
      write(gate, []);
    },
  };
}
