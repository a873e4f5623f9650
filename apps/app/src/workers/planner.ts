import type { PlanReply, PlanRequest } from '@nucleon/contract/workerProtocol';

/** Something that answers plan requests: the worker in the browser, the core itself in tests. */
export interface Planner {
  readonly ask: (
    request: Omit<PlanRequest, 'id'>,
    answered: (reply: PlanReply) => void,
  ) => () => void;
  readonly close: () => void;
}

/** A planner on a web worker. Replies reach only the asker that still waits for them. */
export function workerPlanner(worker: Worker): Planner {
  const waiting = new Map<number, (reply: PlanReply) => void>();
  let lastId = 0;
  worker.onmessage = ({ data }: MessageEvent<PlanReply>) => {
    waiting.get(data.id)?.(data);
    waiting.delete(data.id);
  };
  return {
    ask: (request, answered) => {
      const id = ++lastId;
      waiting.set(id, answered);
      worker.postMessage({ ...request, id } satisfies PlanRequest);
      return () => {
        waiting.delete(id);
      };
    },
    close: () => {
      worker.terminate();
    },
  };
}
