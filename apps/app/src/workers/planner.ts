import type { TaskInput, TaskName, TaskOutcome } from './tasks';

/** These are answered in a few milliseconds and go before whatever waits. */
const QUICK: ReadonlySet<TaskName> = new Set(['plan', 'windowPoint']);

/** One thing asked of the worker; the newest id wins. */
export interface TaskRequest<T extends TaskName = TaskName> {
  readonly id: number;
  readonly task: T;
  readonly input: TaskInput<T>;
}

export type TaskReply<T extends TaskName = TaskName> =
  | { readonly id: number; readonly kind: 'answered'; readonly outcome: TaskOutcome<T> }
  | { readonly id: number; readonly kind: 'broken'; readonly message: string };

/** Something that answers what is asked of it: the worker in the browser, the core itself in tests. */
export interface Planner {
  readonly ask: <T extends TaskName>(
    task: T,
    input: TaskInput<T>,
    answered: (reply: TaskReply<T>) => void,
  ) => () => void;
  readonly close: () => void;
}

/**
 * A planner on a web worker, which is given one thing at a time: what is no longer wanted before its
 * turn is never worked out, and what is quick goes before what is slow. Replies reach only the asker
 * that still waits for them.
 */
export function workerPlanner(worker: Worker): Planner {
  const waiting: (TaskRequest & { readonly answered: (reply: TaskReply) => void })[] = [];
  let busy: (typeof waiting)[number] | null = null;
  let wanted = true;
  let lastId = 0;
  const next = (): void => {
    if (busy) return;
    const quick = waiting.findIndex(({ task }) => QUICK.has(task));
    const [chosen] = waiting.splice(Math.max(quick, 0), 1);
    if (!chosen) return;
    busy = chosen;
    wanted = true;
    const { id, task, input } = chosen;
    worker.postMessage({ id, task, input });
  };
  worker.onmessage = ({ data }: MessageEvent<TaskReply>) => {
    const done = busy;
    busy = null;
    if (done?.id === data.id && wanted) done.answered(data);
    next();
  };
  return {
    ask: (task, input, answered) => {
      const id = ++lastId;
      // The reply to an id is of the task that was asked under it.
      const asked = { id, task, input, answered: answered as (reply: TaskReply) => void };
      waiting.push(asked);
      next();
      return () => {
        const at = waiting.indexOf(asked);
        if (at >= 0) waiting.splice(at, 1);
        else if (busy === asked) wanted = false;
      };
    },
    close: () => {
      worker.terminate();
    },
  };
}
