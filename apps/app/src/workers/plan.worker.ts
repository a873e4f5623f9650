import type { TaskReply, TaskRequest } from './planner';
import { TASKS, type TaskName } from './tasks';

/** Runs the core off the page's thread. */
globalThis.onmessage = ({ data }: MessageEvent<TaskRequest>): void => {
  (globalThis as unknown as { postMessage: (message: TaskReply) => void }).postMessage(
    answer(data),
  );
};

function answer<T extends TaskName>({ id, task, input }: TaskRequest<T>): TaskReply {
  try {
    const run = TASKS[task] as (asked: typeof input) => ReturnType<(typeof TASKS)[T]>;
    return { id, kind: 'answered', outcome: run(input) };
  } catch (error) {
    return { id, kind: 'broken', message: error instanceof Error ? error.message : String(error) };
  }
}
