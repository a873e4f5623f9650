import type { JobFile } from '@nucleon/core/documents/jobFile';
import { heavyTasks, type HeavyTasks } from './tasks';

const tasks = heavyTasks();

/** One task in a thread of its own. */
export default ({
  task,
  file,
  holeId,
}: {
  task: keyof HeavyTasks;
  file: JobFile;
  holeId: string;
}) => tasks[task](file, holeId);
