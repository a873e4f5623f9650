import { emptyDevice } from '../../testingRuns';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { show } from '../../testing';
import { fakeApi, HOLE, DETAIL, ownThreadPlanner } from '../../testingApi';
import { PlannerProvider } from '../../workers/PlannerProvider';
import type { KeptEvent } from '../run/benchDb';
import { keptEvents, keptRunIds } from '../run/keptRuns';
import { ReadyScreen } from './ReadyScreen';
import { useReadyTicks } from './readyTicks';

const mockNavigate = jest.fn();
jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: mockNavigate }),
  useLocalSearchParams: () => ({ jobId: 'j1', holeId: 'h1' }),
}));

const SETTLED = {
  ...DETAIL,
  job: {
    ...DETAIL.job,
    checks: [{ hazard: 'eyes', answer: 'eyes-covered', at: '2026-05-02T09:00:00Z' }],
  },
  hole: {
    ...HOLE,
    checks: [{ hazard: 'mains-and-water', answer: 'rcd-tested', at: '2026-05-02T09:00:00Z' }],
  },
};

beforeEach(async () => {
  await emptyDevice();
  useReadyTicks.setState({ ticked: {} });
});

const showReady = (): void => {
  fakeApi(({ method, path }) =>
    method === 'GET' && path === '/holes/h1' ? { status: 200, body: SETTLED } : undefined,
  );
  show(
    <PlannerProvider planner={ownThreadPlanner}>
      <ReadyScreen />
    </PlannerProvider>,
  );
};
const tickAll = async (): Promise<void> => {
  await screen.findByTestId('ready-items');
  for (const box of screen.getAllByTestId(/^ready-(?!open|items)/)) fireEvent.click(box);
};

it('holds back until all is seen to, then opens the run with its plan', async () => {
  showReady();
  const begin = await screen.findByTestId('begin-run');
  fireEvent.click(begin);
  await waitFor(async () => expect(await keptRunIds()).toEqual([]));
  await tickAll();
  await waitFor(() => expect(screen.getByText('To the bench')).toBeTruthy());
  fireEvent.click(screen.getByTestId('begin-run'));
  let runId = '';
  let opened: KeptEvent | undefined;
  await waitFor(async () => {
    [runId = ''] = await keptRunIds();
    [opened] = await keptEvents(runId);
    expect(opened).toBeDefined();
  });
  expect(opened?.event.act).toMatchObject({
    kind: 'open',
    subject: { holeId: 'h1', holeName: 'Arbor', pieceName: 'Glass dial', thicknessMm: 6 },
  });
  expect(opened?.event.act).not.toHaveProperty('plan.reasons');
  expect(mockNavigate).toHaveBeenCalledWith(`/runs/${runId}`);
});

it('remembers the day’s and the job’s ticks, not the run’s', async () => {
  showReady();
  await tickAll();
  const kept = Object.keys(useReadyTicks.getState().ticked);
  expect(kept.some((key) => /^day\.\d{4}-\d\d-\d\d\.light$/.test(key))).toBe(true);
  expect(kept).toContain('job.j1.packing');
  expect(kept.some((key) => key.includes('water'))).toBe(false);
});

it('lists what to lay out for the whole job', async () => {
  showReady();
  fireEvent.click(await screen.findByTestId('ready-open-packing'));
  fireEvent.click(await screen.findByTestId('packed-rod'));
  expect(useReadyTicks.getState().ticked['job.j1.packed.rod']).toBe(true);
});
