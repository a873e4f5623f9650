import {
  isBehind,
  knowPath,
  resumeAt,
  SKIPPED,
  type KnowScreen,
} from '@nucleon/core/advice/identify/knowPath';
import { markOf, type KnowStep } from '@nucleon/core/advice/identify/knowMarks';
import type { Piece } from '@nucleon/core/documents/piece';
import type { Material } from '@nucleon/core/data/materials/material';
import type { MaterialClass } from '@nucleon/core/data/choices';
import { findMaterial } from '@nucleon/core/data/materials/materials';
import { useLocalSearchParams, useRouter } from 'expo-router';
import type { Editing } from '../hole/editing';

/** Where one is on the path and how to move along it. */
export interface Knowing {
  readonly screen: KnowScreen;
  readonly path: readonly KnowScreen[];
  readonly materialClass: MaterialClass;
  /** Stores what was answered on a step of the path's own, marks it behind and goes on. */
  readonly settle: (step: KnowStep, mark: string, change?: Partial<Piece>) => void;
  /** Stores the answer to a question of the test, or that it was skipped, and goes on. */
  readonly answer: (question: string, answer: string) => void;
  readonly goTo: (screen: KnowScreen) => void;
  readonly back: (() => void) | null;
  readonly skip: () => void;
}

export function useKnowing(edit: Editing, custom: readonly Material[]): Knowing {
  const { jobId, holeId, step } = useLocalSearchParams<{
    jobId: string;
    holeId: string;
    step?: string;
  }>();
  const router = useRouter();
  const { piece, changePiece } = edit;
  const materialClass = findMaterial(piece.material, custom)?.class ?? 'stone';
  const path = knowPath(piece, materialClass);
  const asked = path.find((screen) => screen === step);
  const screen = asked ?? resumeAt(path, piece);

  const goTo = (to: KnowScreen): void => {
    router.setParams({ jobId, holeId, step: to });
  };
  const write = (change: Partial<Piece>, group: string): void => {
    const next = { ...piece, ...change };
    changePiece(change, group);
    const nextClass = findMaterial(next.material, custom)?.class ?? materialClass;
    const ahead = knowPath(next, nextClass);
    const here = ahead.indexOf(screen);
    goTo(ahead.slice(here + 1).find((one) => !isBehind(one, next)) ?? ahead[here + 1] ?? 'done');
  };
  const kind = piece.knowing?.kind ?? materialClass;
  const answers = piece.knowing?.answers ?? {};
  const settle: Knowing['settle'] = (at, mark, change = {}) => {
    const known = change.knowing ?? { kind, answers };
    write(
      { ...change, knowing: { ...known, answers: { ...known.answers, [markOf(at)]: mark } } },
      `know-${at}`,
    );
  };
  const answer: Knowing['answer'] = (question, given) => {
    write({ knowing: { kind, answers: { ...answers, [question]: given } } }, `know-${question}`);
  };
  const at = path.indexOf(screen);
  const before = path[at - 1];
  return {
    screen,
    path,
    materialClass,
    settle,
    answer,
    goTo,
    back:
      before === undefined
        ? null
        : () => {
            goTo(before);
          },
    skip: () => {
      if (screen.startsWith('q:')) answer(screen.slice(2), SKIPPED);
      else settle(screen as KnowStep, SKIPPED);
    },
  };
}
