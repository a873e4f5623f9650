import { expose } from 'comlink';
import { FILE_TASKS, type FileInput, type FileTaskName, type OnPage } from './fileTasks';

/** Reads and writes files off the page's thread. */
expose({
  ready: () => undefined,
  run: <T extends FileTaskName>(task: T, input: FileInput<T>, onPage: OnPage) => {
    const work = FILE_TASKS[task] as (asked: typeof input, onPage: OnPage) => unknown;
    return work(input, onPage);
  },
});
