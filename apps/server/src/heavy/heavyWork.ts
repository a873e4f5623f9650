import { heavyTasks, type HeavyInput, type HeavyTasks } from './tasks';

export type { HeavyInput };

/** One of them asked for, on its way to another thread or process. */
export interface HeavyAsked<K extends keyof HeavyTasks = keyof HeavyTasks> {
  readonly task: K;
  readonly input: HeavyInput<K>;
}

/** The heavy tasks, away from the thread that answers requests. */
export interface HeavyWork {
  /** @param gone aborted when whoever asked has left: a sum nobody waits for is stopped */
  readonly run: <K extends keyof HeavyTasks>(
    task: K,
    input: HeavyInput<K>,
    gone?: AbortSignal,
  ) => Promise<ReturnType<HeavyTasks[K]>>;
  /** What waits for a thread. */
  readonly waiting: () => number;
  readonly close: () => Promise<void>;
}

/** The same on this thread: for tests. */
export function inlineWork(): HeavyWork {
  const tasks = heavyTasks();
  return {
    run: (task, input) => Promise.resolve(tasks[task](input as never) as never),
    waiting: () => 0,
    close: () => Promise.resolve(),
  };
}
