import type { HoleDetail } from '@nucleon/contract/wire';
import type { Gate, GateAnswer } from '@nucleon/core/documents/gate';
import type { HazardCheck } from '@nucleon/core/documents/hazardCheck';
import { putJob } from '../../api/jobs';
import { useWrite } from '../../api/useWrite';
import type { Editing } from '../hole/editing';

interface Change {
  readonly gate: Gate;
  /** null takes the answer back. */
  readonly check: HazardCheck | null;
}

export interface GateAnswers {
  readonly answer: (gate: Gate, answer: GateAnswer, note: string) => void;
  /** Several at once, each as it was given elsewhere. */
  readonly answerAs: (given: readonly Change[]) => void;
  readonly takeBack: (gate: Gate) => void;
  /** What kept an answer for the whole job from being stored; empty when nothing did. */
  readonly trouble: string;
}

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

  const write = (changes: readonly Change[]): void => {
    const group = `gate-${changes.map(({ gate }) => gate.code).join()}`;
    const { piece, hole } = edit;
    const ofPiece = afterChanges(piece.checks, 'piece', changes);
    if (ofPiece) edit.changePiece({ checks: ofPiece }, group);
    const ofHole = afterChanges(hole.checks, 'hole', changes);
    if (ofHole) edit.changeHole({ checks: ofHole }, group);
    const ofJob = afterChanges(job.checks, 'job', changes);
    if (ofJob) inJob.run(ofJob);
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
      write([{ gate, check }]);
    },
    answerAs: write,
    takeBack: (gate) => {
      write([{ gate, check: null }]);
    },
  };
}

/** The checks kept in one place after these changes; null where none of them is of it. */
function afterChanges(
  checks: readonly HazardCheck[] = [],
  scope: Gate['scope'],
  changes: readonly Change[],
): HazardCheck[] | null {
  const due = changes.filter(
    ({ gate }) => gate.scope === scope || checks.some(({ hazard }) => hazard === gate.code),
  );
  if (due.length === 0) return null;
  return [
    ...checks.filter(({ hazard }) => !due.some(({ gate }) => gate.code === hazard)),
    ...due.flatMap(({ gate, check }) => (check && gate.scope === scope ? [check] : [])),
  ];
}
