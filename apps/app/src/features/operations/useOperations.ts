import type { OperationPreset } from '@nucleon/core/advice/operationPresets';
import type { OperationKindId } from '@nucleon/core/data/operations';
import type { Operation } from '@nucleon/core/documents/operation';
import type { PlannedOperation } from '@nucleon/core/documents/plan';
import {
  added,
  asListed,
  changed,
  moved,
  without,
} from '@nucleon/core/setup/operations/editOperations';
import { useState } from 'react';
import type { AskedHole } from '../../workers/askedHole';
import { useTask } from '../../workers/useTask';
import type { HoleRoom } from '../hole/useHoleRoom';

export interface OperationRow {
  readonly one: Operation;
  /** As it was planned last. */
  readonly planned: PlannedOperation | undefined;
  /** What is wrong with it. */
  readonly faults: readonly string[];
}

export interface OperationList {
  readonly rows: readonly OperationRow[];
  /** Nobody has changed what the planner lists. */
  readonly suggested: boolean;
  readonly chosenId: string | null;
  readonly choose: (id: string | null) => void;
  readonly change: (id: string, change: (one: Operation) => Operation) => void;
  readonly move: (id: string, places: number) => void;
  readonly remove: (id: string) => void;
  readonly add: (does: OperationKindId) => void;
  readonly backToSuggested: () => void;
  /** Ways of going about it, with what is owned. */
  readonly presets: readonly OperationPreset[];
  /** What the hole is for, as its ways are named by. */
  readonly purpose: string | undefined;
  readonly startFrom: (preset: OperationPreset) => void;
}

/** Weighed by the worker: a chain of steps tries every owned size. */
function usePresets(asked: AskedHole): readonly OperationPreset[] {
  const { outcome } = useTask('presets', asked);
  return outcome?.kind === 'listed' ? outcome.presets : [];
}

/** The operations of a hole as they are listed and edited; the first change makes the list one's own. */
export function useOperations({ edit, lastPlan: plan, faults, asked }: HoleRoom): OperationList {
  const presets = usePresets(asked);
  const [chosenId, choose] = useState<string | null>(null);
  const planned = plan?.operations ?? [];
  const { operations } = edit.hole;
  const suggested = !operations?.length;
  const listed: readonly Operation[] = suggested ? planned.map(asListed) : operations;
  const put = (next: readonly Operation[], group: string): void => {
    edit.changeHole({ operations: next }, group);
  };
  const first = listed.find(({ id }) => planned.some((one) => one.id === id && one.bitName))?.id;
  const chosen = listed.some(({ id }) => id === chosenId) ? chosenId : (first ?? null);
  return {
    rows: listed.map((one, index) => ({
      one,
      planned: planned.find(({ id }) => id === one.id),
      faults: faults
        .filter(({ pointer }) => pointer.includes(`/operations/${index}/`))
        .map(({ message }) => message),
    })),
    suggested,
    chosenId: chosen,
    choose,
    change: (id, change) => {
      put(changed(listed, id, change), `operation ${id}`);
    },
    move: (id, places) => {
      put(moved(listed, id, places), 'operations');
    },
    remove: (id) => {
      put(without(listed, id), 'operations');
    },
    add: (does) => {
      const next = added(listed, does, chosen);
      put(next.operations, 'operations');
      choose(next.id);
    },
    presets,
    purpose: edit.hole.purpose?.kind,
    startFrom: ({ setup }) => {
      edit.changeHole({ setup, operations: undefined }, 'operations');
    },
    backToSuggested: () => {
      edit.changeHole({ operations: undefined }, 'operations');
    },
  };
}
