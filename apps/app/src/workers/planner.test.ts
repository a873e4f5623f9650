import type { DrillCase } from '@nucleon/core/setup/drillCase';
import { METRIC } from '@nucleon/core/data/unitSystem';
import { workerPlanner, type PlanWorker } from './planner';

/** A worker whose answers the test gives by hand. */
function heldWorker() {
  const asked: { readonly task: string; readonly answer: (outcome: unknown) => Promise<void> }[] =
    [];
  const run = (task: string) =>
    new Promise((resolve) => {
      asked.push({
        task,
        answer: async (outcome) => {
          resolve(outcome);
          await new Promise((settled) => setTimeout(settled));
        },
      });
    });
  return { asked, planner: workerPlanner({ run, end: jest.fn() } as unknown as PlanWorker) };
}

const request = { drillCase: {} as DrillCase, units: METRIC };

it('gives each asker its own answer, one thing at a time', async () => {
  const { asked, planner } = heldWorker();
  const [first, second] = [jest.fn(), jest.fn()];
  planner.ask('plan', request, first);
  planner.ask('plan', request, second);
  expect(asked).toHaveLength(1);
  await asked[0]?.answer('one');
  expect(asked).toHaveLength(2);
  await asked[1]?.answer('two');
  expect(first).toHaveBeenCalledWith('one');
  expect(second).toHaveBeenCalledWith('two');
});

it('lets late answers lose, and never works out what is no longer wanted', async () => {
  const { asked, planner } = heldWorker();
  const late = jest.fn();
  const started = planner.ask('stress', request, late);
  const waits = planner.ask('supports', request, late);
  planner.ask('edges', { ...request, judged: [] }, jest.fn());
  started();
  waits();
  await asked[0]?.answer('late');
  expect(late).not.toHaveBeenCalled();
  expect(asked.map(({ task }) => task)).toEqual(['stress', 'edges']);
});

it('lets what is quick go before what is slow', async () => {
  const { asked, planner } = heldWorker();
  planner.ask('stress', request, jest.fn());
  planner.ask('bentPlan', request, jest.fn());
  planner.ask('plan', request, jest.fn());
  await asked[0]?.answer('stressed');
  expect(asked.map(({ task }) => task)).toEqual(['stress', 'plan']);
});
