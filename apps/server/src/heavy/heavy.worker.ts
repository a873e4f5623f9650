import type { DrillCase } from '@nucleon/core/setup/drillCase';
import { heavyTasks, type HeavyTasks } from './tasks';

const tasks = heavyTasks();

/** One task in a thread of its own. */
export default ({ task, drillCase }: { task: keyof HeavyTasks; drillCase: DrillCase }) =>
  tasks[task](drillCase);
