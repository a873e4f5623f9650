import { heavyTasks, type HeavyInput, type HeavyTasks } from './tasks';

const tasks = heavyTasks();

/** One task in a thread of its own. */
export default <K extends keyof HeavyTasks>({ task, input }: { task: K; input: HeavyInput<K> }) =>
  tasks[task](input as never);
