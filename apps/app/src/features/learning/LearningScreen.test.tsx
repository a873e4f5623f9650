import type { LearnedLog } from '@nucleon/contract/wire';
import { fireEvent, screen } from '@testing-library/react';
import { show } from '../../testing';
import { fakeApi } from '../../testingApi';
import { LearningScreen } from './LearningScreen';

jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: jest.fn(), canGoBack: () => false, replace: jest.fn() }),
}));

const LEARNED: LearnedLog = {
  experience: null,
  isBehind: false,
  learnedAt: '2026-05-02T09:00:00.000Z',
  report: {
    runs: 13,
    used: 12,
    doubted: [{ id: 'r1', doubts: ['absurd'], isPutBack: false }],
    calibration: {
      timeBand80: 0.75,
      n: 12,
      byMonth: [{ of: '2026-05', inside: 9, n: 12 }],
      byMaterial: [{ of: 'float-glass', inside: 9, n: 12 }],
    },
    odds: [{ told: 0.05, cracked: 2, n: 20 }],
    levels: [
      {
        level: 'pair',
        name: 'float-glass × plated-cup-saw',
        rate: { p10: 1.2, p50: 1.6, p90: 2.1 },
        runs: 12,
      },
    ],
    bits: [
      {
        bitId: 'b1',
        name: 'Cup saw 22',
        holesCut: 10,
        changeAt: { p10: 7, p50: 9, p90: 12 },
        costPerHole: 3.1,
        costIfKept: 4.24,
      },
    ],
    next: [{ material: 'slate', family: 'sintered-core', holes: 1, within: 2.4 }],
  },
  doubted: [
    {
      runId: 'r1',
      holeName: 'Arbor',
      pieceName: 'Glass dial',
      at: '2026-05-02T09:00:00.000Z',
      doubts: ['absurd'],
      isPutBack: false,
    },
  ],
};
const answer = (body: LearnedLog) =>
  fakeApi(({ path, method }) =>
    path.startsWith('/learning') && (method === 'GET' || path.endsWith('/r1'))
      ? { status: 200, body }
      : undefined,
  );
const text = (testId: string): string => screen.getByTestId(testId).textContent;

it('says how often it held, what it learned, and when to change the bit', async () => {
  answer(LEARNED);
  show(<LearningScreen />);
  expect((await screen.findByTestId('learning-held')).textContent).toContain('75 % of 12');
  expect(screen.getByText('12 of 13 runs are used.')).toBeTruthy();
  expect(text('learning-levels')).toContain('Plated cup saw in float glass× 1.6 (1.2 to 2.1)');
  expect(text('learning-bits')).toContain('Due: change after 9 (7 to 12) holes; it has cut 10.');
  expect(text('learning-odds')).toContain('Predicted 1 in 20: 2 of 20 cracked, 1 expected');
  expect(text('learning-next')).toContain('Sintered core in slate: 1 hole so far');
});

it('puts a run back that it does not believe', async () => {
  const log = answer(LEARNED);
  show(<LearningScreen />);
  expect((await screen.findByTestId('learning-doubted')).textContent).toContain('wrong unit');
  fireEvent.click(screen.getByTestId('belief-r1'));
  await screen.findByTestId('learning-doubted');
  expect(log.find(({ method }) => method === 'PUT')).toMatchObject({
    path: '/learning/runs/r1',
    body: { belief: 'put-back' },
  });
});

it('goes by calculation alone when asked to', async () => {
  const log = answer(LEARNED);
  show(<LearningScreen />);
  fireEvent.click(await screen.findByRole('radio', { name: 'Calculation only' }));
  await screen.findByTestId('plans-go-by');
  expect(log.find(({ path, method }) => path === '/house' && method === 'PUT')?.body).toMatchObject(
    { fromLog: 'leave' },
  );
});

it('invites a first hole where nothing is logged', async () => {
  fakeApi();
  show(<LearningScreen />);
  expect(await screen.findByText('No runs yet')).toBeTruthy();
});
