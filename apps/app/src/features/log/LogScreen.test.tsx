import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { runRecord } from '@nucleon/core/run/runRecord';
import { writeRun } from '@nucleon/core/run/runFixtures';
import { show } from '../../testing';
import { fakeApi } from '../../testingApi';
import { fakeStorage } from '../../testingRuns';
import { LogScreen } from './LogScreen';

const mockNavigate = jest.fn();
jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: mockNavigate, setParams: jest.fn() }),
  useLocalSearchParams: () => ({}),
}));
// The chart's library draws for real in the journeys.
jest.mock('../../drawing/LinesChart', () => ({ __esModule: true, default: () => null }));

function record(runId: string, holeName: string, spoiled: boolean) {
  const run = writeRun();
  run.at(0, { kind: 'start' });
  run.at(200, spoiled ? { kind: 'crack' } : { kind: 'through' });
  if (!spoiled) for (let i = 0; i < 4; i++) run.at(210, { kind: 'next' });
  run.at(300, {
    kind: 'result',
    result: spoiled
      ? { verdict: 'spoiled', crack: 'broken' }
      : { verdict: 'fine', crack: 'none', exitChipMm: 0.3 },
  });
  return { ...runRecord(runId, run.events), holeName, holeGone: spoiled };
}

beforeEach(() => {
  fakeStorage();
});

it('lists what was drilled, planned beside actual, and asks the server to narrow it', async () => {
  const log = fakeApi(({ path }) =>
    path.startsWith('/runs?')
      ? {
          status: 200,
          body: path.includes('outcome=fine')
            ? { items: [record('r1', 'Arbor', false)], page: 1, pageSize: 30, total: 1 }
            : {
                items: [record('r2', 'Ring', true), record('r1', 'Arbor', false)],
                page: 1,
                pageSize: 30,
                total: 2,
              },
        }
      : undefined,
  );
  show(<LogScreen />);
  const ring = within(await screen.findByTestId('run-Ring'));
  expect(ring.getByText(/Cracked.*its hole is deleted/)).toBeTruthy();
  expect(
    within(screen.getByTestId('run-Arbor')).getByText(
      /^6 mm in 3\.3 min, planned .*; exit chip 0\.3 mm/,
    ),
  ).toBeTruthy();
  expect(screen.getByTestId('log-verdict')).toBeTruthy();
  fireEvent.click(within(screen.getByTestId('log-outcome')).getByText('Fine'));
  await waitFor(() => expect(screen.queryByTestId('run-Ring')).toBeNull());
  expect(log.some(({ path }) => path.includes('outcome=fine'))).toBe(true);
  fireEvent.click(screen.getByTestId('run-Arbor'));
  expect(mockNavigate).toHaveBeenCalledWith('/runs/r1');
});

it('says what to do while nothing is drilled', async () => {
  fakeApi(({ path }) =>
    path.startsWith('/runs?')
      ? { status: 200, body: { items: [], page: 1, pageSize: 30, total: 0 } }
      : undefined,
  );
  show(<LogScreen />);
  expect(await screen.findByText('Nothing drilled yet')).toBeTruthy();
});
