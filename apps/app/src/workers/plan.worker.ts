import { expose } from 'comlink';
import { TASKS, type TaskInput, type TaskName } from './tasks';

/** Runs the core off the page's thread. */
expose({
  run: <T extends TaskName>(task: T, input: TaskInput<T>) => {
    const work = TASKS[task] as (asked: typeof input) => ReturnType<(typeof TASKS)[T]>;
    return work(input);
  },
});
