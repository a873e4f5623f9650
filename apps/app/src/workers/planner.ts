import type { TaskInput, TaskName, TaskOutcome } from './tasks';

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

/** A planner on a web worker. Replies reach only the asker that still waits for them. */
export function workerPlanner(worker: Worker): Planner {
  const waiting = new Map<number, (reply: TaskReply) => void>();
  let lastId = 0;
  worker.onmessage = ({ data }: MessageEvent<TaskReply>) => {
    waiting.get(data.id)?.(data);
    waiting.delete(data.id);
  };
  return {
    ask: (task, input, answered) => {
      const id = ++lastId;
      // The reply to an id is of the task that was asked under it.
      waiting.set(id, answered as (reply: TaskReply) => void);
      worker.postMessage({ id, task, input });
      return () => {
        waiting.delete(id);
      };
    },
    close: () => {
      worker.terminate();
    },
  };
}
