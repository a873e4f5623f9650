import type { DrillCase } from '@nucleon/core/setup/drillCase';
import { heavyTasks, type HeavyTasks } from './tasks';

/** The heavy tasks, away from the thread that answers requests. */
export interface HeavyWork {
  readonly run: <K extends keyof HeavyTasks>(
    task: K,
    drillCase: DrillCase,
  ) => Promise<ReturnType<HeavyTasks[K]>>;
  readonly close: () => Promise<void>;
}

/** The same on this thread: for tests. */
export function inlineWork(): HeavyWork {
  const tasks = heavyTasks();
  return {
    run: (task, drillCase) => Promise.resolve(tasks[task](drillCase) as never),
    close: () => Promise.resolve(),
  };
}
