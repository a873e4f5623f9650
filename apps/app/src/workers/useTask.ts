import { workersWords } from '@nucleon/core/words/screens/workers';
import type { Fault } from '@nucleon/core/documents/fault';
import { useEffect, useState } from 'react';
import { usePlanner } from './PlannerProvider';
import type { TaskInput, TaskName, TaskOutcome } from './tasks';

export interface Asked<T extends TaskName> {
  /** The last answer; stays while a newer one is on its way. */
  readonly outcome: TaskOutcome<T> | null;
  readonly faults: readonly Fault[];
  /** What the last answer is to; null before the first. */
  readonly of: TaskInput<T> | null;
}

const NOT_FROM_THESE: readonly Fault[] = [
  { pointer: '', message: workersWords.itCouldNotBeWorked },
];

/**
 * What the worker makes of an input, asked anew whenever that changes; late answers lose.
 * @param input kept by the caller: a new object is a new question; null asks nothing
 */
export function useTask<T extends TaskName>(task: T, input: TaskInput<T> | null): Asked<T> {
  const planner = usePlanner();
  const [asked, setAsked] = useState<Asked<T>>({ outcome: null, faults: [], of: null });
  useEffect(() => {
    if (input === null) return undefined;
    return planner.ask(
      task,
      input,
      (outcome) => {
        setAsked((last) =>
          outcome.kind === 'faulty'
            ? { ...last, faults: outcome.faults }
            : { outcome, faults: [], of: input },
        );
      },
      () => {
        setAsked((last) => ({ ...last, faults: NOT_FROM_THESE }));
      },
    );
  }, [planner, task, input]);
  return asked;
}
