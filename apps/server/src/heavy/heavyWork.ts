import type { JobFile } from '@nucleon/core/documents/jobFile';
import { heavyTasks, type HeavyTasks } from './tasks';

/** The heavy tasks, away from the thread that answers requests. */
export interface HeavyWork {
  readonly run: <K extends keyof HeavyTasks>(
    task: K,
    file: JobFile,
    holeId: string,
  ) => Promise<ReturnType<HeavyTasks[K]>>;
  readonly close: () => Promise<void>;
}

/** The same on this thread: for tests. */
export function inlineWork(): HeavyWork {
  const tasks = heavyTasks();
  return {
    run: (task, file, holeId) => Promise.resolve(tasks[task](file, holeId) as never),
    close: () => Promise.resolve(),
  };
}
