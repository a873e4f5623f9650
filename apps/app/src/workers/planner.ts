import { wrap } from 'comlink';
import type { TaskInput, TaskName, TaskOutcome } from './tasks';

/** These are answered in a few milliseconds and go before whatever waits. */
const QUICK: ReadonlySet<TaskName> = new Set(['plan', 'windowPoint']);

/** What the worker offers. */
export interface PlanWorker {
  readonly run: <T extends TaskName>(task: T, input: TaskInput<T>) => Promise<TaskOutcome<T>>;
  readonly end: () => void;
}

/** Something that answers what is asked of it: the worker in the browser, the core itself in tests. */
export interface Planner {
  /**
   * @param broken it could not be worked out from this input
   * @returns takes the question back
   */
  readonly ask: <T extends TaskName>(
    task: T,
    input: TaskInput<T>,
    answered: (outcome: TaskOutcome<T>) => void,
    broken?: () => void,
  ) => () => void;
  readonly close: () => void;
}

export function openPlanWorker(): PlanWorker {
  const worker = new Worker(new URL('./plan.worker', import.meta.url));
  const remote = wrap<Pick<PlanWorker, 'run'>>(worker);
  return {
    // What comes back is what the task of that name returns.
    run: (task, input) => remote.run(task, input) as Promise<never>,
    end: () => {
      worker.terminate();
    },
  };
}

interface Waiting {
  readonly task: TaskName;
  /** Does it, and tells the asker if it is wanted still. */
  readonly work: (isWanted: () => boolean) => Promise<void>;
}

/**
 * A planner on a web worker, which is given one thing at a time: what is no longer wanted before its
 * turn is never worked out, and what is quick goes before what is slow. Answers reach only the asker
 * that still waits for them.
 */
export function workerPlanner(worker: PlanWorker): Planner {
  const waiting: Waiting[] = [];
  const dropped = new WeakSet<Waiting>();
  let busy = false;
  const next = (): void => {
    if (busy) return;
    const quick = waiting.findIndex(({ task }) => QUICK.has(task));
    const [chosen] = waiting.splice(Math.max(quick, 0), 1);
    if (!chosen) return;
    busy = true;
    void chosen
      .work(() => !dropped.has(chosen))
      .finally(() => {
        busy = false;
        next();
      });
  };
  return {
    ask: (task, input, answered, broken = () => undefined) => {
      const asked: Waiting = {
        task,
        work: (isWanted) =>
          worker.run(task, input).then(
            (outcome) => {
              if (isWanted()) answered(outcome);
            },
            () => {
              if (isWanted()) broken();
            },
          ),
      };
      waiting.push(asked);
      next();
      return () => {
        const at = waiting.indexOf(asked);
        if (at >= 0) waiting.splice(at, 1);
        dropped.add(asked);
      };
    },
    close: worker.end,
  };
}
