import { emptyDevice } from '../../testingRuns';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { show } from '../../testing';
import type { Coverage } from '@nucleon/contract/wire';
import { fakeApi, HOLE, DETAIL, ownThreadPlanner, type Sent } from '../../testingApi';
import { PlannerProvider } from '../../workers/PlannerProvider';
import type { KeptEvent } from '../run/benchDb';
import { keptEvents, keptRunIds } from '../run/keptRuns';
import { ReadyScreen } from './ReadyScreen';
import { useReadyTicks } from './readyTicks';
import { useUndo } from '../../ui/undoStore';

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

const showReady = (detail: object = SETTLED, coverage: Partial<Coverage> = {}): Sent[] => {
  const log = fakeApi(({ method, path }) =>
    path === '/holes/h1/coverage'
      ? {
          status: 200,
          body:
            method === 'POST'
              ? { taken: [{ hazard: 'mains-and-water', holeId: 'h2' }] }
              : { there: [], here: [], waiting: 0, ...coverage },
        }
      : method === 'GET' && path === '/holes/h1'
        ? { status: 200, body: detail }
        : undefined,
  );
  show(
    <PlannerProvider planner={ownThreadPlanner}>
      <ReadyScreen />
    </PlannerProvider>,
  );
  return log;
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

it('remembers the day’s and the job’s ticks, and this run’s until it begins', async () => {
  showReady();
  await tickAll();
  const kept = Object.keys(useReadyTicks.getState().ticked);
  expect(kept.some((key) => /^day\.\d{4}-\d\d-\d\d\.light$/.test(key))).toBe(true);
  expect(kept).toContain('job.j1.packing');
  expect(kept.some((key) => /^day\.\d{4}-\d\d-\d\d\.run-of\.h1\.water$/.test(key))).toBe(true);
  fireEvent.click(screen.getByTestId('begin-run'));
  await waitFor(() => {
    const left = Object.keys(useReadyTicks.getState().ticked);
    expect(left.some((key) => key.includes('water'))).toBe(false);
    expect(left).toContain('job.j1.packing');
  });
});

it('lists what to lay out for the whole job', async () => {
  showReady();
  fireEvent.click(await screen.findByTestId('ready-open-packing'));
  fireEvent.click(await screen.findByTestId('packed-rod'));
  expect(useReadyTicks.getState().ticked['job.j1.packed.rod']).toBe(true);
});

it('takes over what was answered at another hole, in one tap', async () => {
  const check = {
    hazard: 'mains-and-water',
    answer: 'rcd-tested',
    at: '2026-05-02T09:00:00Z',
    of: 'bench-drill-press|mains|still-bath',
  };
  const from = { holeId: 'h2', holeName: 'Sounder', pieceId: 'p1', pieceName: 'Glass dial' };
  const log = showReady(
    { ...SETTLED, hole: HOLE },
    { here: [{ hazard: 'mains-and-water', title: 'Mains', answer: 'Tested', check, from }] },
  );
  expect(await screen.findByText(/Tested. Sounder in Glass dial/)).toBeTruthy();
  fireEvent.click(screen.getByTestId('answer-as-there'));
  await waitFor(() => expect(screen.queryByTestId('answers-here')).toBeNull());
  await waitFor(() => {
    expect(log.find(({ method }) => method === 'PUT')?.body).toMatchObject({ checks: [check] });
  });
});

it('offers what is answered here to the holes it covers, leaving out what is unticked', async () => {
  const place = { holeId: 'h2', holeName: 'Sounder', pieceId: 'p1', pieceName: 'Glass dial' };
  const answered = (hazard: string, title: string): Coverage['there'][number] => ({
    hazard,
    title,
    scope: 'hole',
    answer: 'Yes',
    covered: [place],
    exceptions: [{ ...place, holeName: 'Vent', why: 'another-machine' }],
  });
  const log = showReady(SETTLED, {
    there: [answered('mains-and-water', 'Mains'), answered('two-people', 'Two')],
  });
  expect(
    (await screen.findAllByText(/Yes. For Sounder in Glass dial. Not for Vent in Glass dial/))[0],
  ).toBeTruthy();
  fireEvent.click(screen.getByTestId('there-two-people'));
  fireEvent.click(screen.getByTestId('take-there'));
  await waitFor(() => {
    expect(log.find(({ method }) => method === 'POST')?.body).toEqual({
      take: [{ hazard: 'mains-and-water', holeId: 'h2' }],
    });
  });
  await waitFor(() => expect(useUndo.getState().offer?.message).toBe('Answered at one place'));
});
