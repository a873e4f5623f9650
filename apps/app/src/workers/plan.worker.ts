import type { PlanReply, PlanRequest } from '@nucleon/contract/workerProtocol';
import { makePlan } from '@nucleon/core/plan/makePlan';

/** Runs the core's plan off the page's thread. */
globalThis.onmessage = ({ data }: MessageEvent<PlanRequest>): void => {
  const reply = answer(data);
  (globalThis as unknown as { postMessage: (message: PlanReply) => void }).postMessage(reply);
};

function answer({ id, file, holeId, units }: PlanRequest): PlanReply {
  try {
    return { id, kind: 'answered', outcome: makePlan(file, holeId, units) };
  } catch (error) {
    return { id, kind: 'broken', message: error instanceof Error ? error.message : String(error) };
  }
}
