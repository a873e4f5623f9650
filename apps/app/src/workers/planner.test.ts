import type { DrillCase } from '@nucleon/core/job/drillCase';
import { METRIC } from '@nucleon/core/units/unitSystem';
import { workerPlanner, type TaskReply, type TaskRequest } from './planner';

/** A worker whose answers the test gives by hand. */
function heldWorker() {
  const asked: TaskRequest[] = [];
  const worker = {
    onmessage: null as ((event: { data: TaskReply }) => void) | null,
    postMessage: (request: TaskRequest) => asked.push(request),
    terminate: jest.fn(),
  };
  return { asked, worker, reply: (data: TaskReply) => worker.onmessage?.({ data }) };
}

const request = { drillCase: {} as DrillCase, units: METRIC };
const broken = (id: number): TaskReply => ({ id, kind: 'broken', message: String(id) });

it('gives each asker its own answer, one thing at a time', () => {
  const { asked, worker, reply } = heldWorker();
  const planner = workerPlanner(worker as unknown as Worker);
  const [first, second] = [jest.fn(), jest.fn()];
  planner.ask('plan', request, first);
  planner.ask('plan', request, second);
  expect(asked.map((one) => one.id)).toEqual([1]);
  reply(broken(1));
  expect(asked.map((one) => one.id)).toEqual([1, 2]);
  reply(broken(2));
  expect(first).toHaveBeenCalledWith(broken(1));
  expect(second).toHaveBeenCalledWith(broken(2));
});

it('lets late answers lose, and never works out what is no longer wanted', () => {
  const { asked, worker, reply } = heldWorker();
  const planner = workerPlanner(worker as unknown as Worker);
  const late = jest.fn();
  const started = planner.ask('stress', request, late);
  const waits = planner.ask('stress', request, late);
  planner.ask('stress', request, jest.fn());
  started();
  waits();
  reply(broken(1));
  expect(late).not.toHaveBeenCalled();
  expect(asked.map((one) => one.id)).toEqual([1, 3]);
});

it('lets what is quick go before what is slow', () => {
  const { asked, worker, reply } = heldWorker();
  const planner = workerPlanner(worker as unknown as Worker);
  planner.ask('stress', request, jest.fn());
  planner.ask('bentPlan', request, jest.fn());
  planner.ask('plan', request, jest.fn());
  reply(broken(1));
  expect(asked.map((one) => one.task)).toEqual(['stress', 'plan']);
});
