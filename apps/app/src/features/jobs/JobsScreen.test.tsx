import type { Bench, JobSummary } from '@nucleon/contract/wire';
import { fireEvent, screen } from '@testing-library/react';
import { show, typeIn } from '../../testing';
import { JobsScreen } from './JobsScreen';

const mockNavigate = jest.fn();
jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: mockNavigate, setParams: jest.fn() }),
  useLocalSearchParams: () => ({}),
}));

const job: JobSummary = {
  id: 'j1',
  name: 'Clock court',
  version: 1,
  updatedAt: new Date().toISOString(),
  pieceCount: 1,
  holeCount: 2,
  stoppedCount: 1,
  materials: ['float-glass'],
};

const BENCH: Bench = {
  underWay: [],
  toDrill: [
    {
      jobId: 'j1',
      jobName: 'Clock court',
      pieceName: 'Glass dial',
      holeId: 'h1',
      holeName: 'Arbor',
      diameterMm: 22,
    },
  ],
  noResult: [],
  bits: [{ id: 'b1', name: 'Cup saw 22', state: 'tired' }],
};

function answer(items: readonly JobSummary[], status = 200): jest.Mock {
  const fetched = jest.fn((path: string) =>
    Promise.resolve({
      status,
      ok: status < 400,
      json: () =>
        Promise.resolve(
          status < 400
            ? path.endsWith('/bench')
              ? BENCH
              : {
                  items: path.includes('search=none') ? [] : items,
                  page: 1,
                  pageSize: 20,
                  total: items.length,
                }
            : { code: 'faulty', detail: 'Not so.', status },
        ),
    }),
  );
  globalThis.fetch = fetched as unknown as typeof fetch;
  globalThis.document = { title: '' } as unknown as Document;
  return fetched;
}

it('lists jobs in plain words and opens one', async () => {
  answer([job]);
  show(<JobsScreen />);
  expect(screen.getByText('Fetching your jobs…')).toBeTruthy();
  expect(await screen.findByText('Clock court')).toBeTruthy();
  expect(screen.getByText(/1 piece, 2 holes/)).toBeTruthy();
  expect(screen.getByText('Float glass')).toBeTruthy();
  expect(screen.getByText('1 hole stopped')).toBeTruthy();
  expect(await screen.findByText('Arbor · 22 mm')).toBeTruthy();
  expect(screen.getByText('Dress it or plan its change')).toBeTruthy();
  fireEvent.click(screen.getByText('Clock court'));
  expect(mockNavigate).toHaveBeenCalledWith('/jobs/j1');
});

it('invites a first hole when there is nothing, and says when a search finds nothing', async () => {
  answer([]);
  show(<JobsScreen />);
  expect(await screen.findByText('No jobs yet')).toBeTruthy();
  typeIn(screen.getByTestId('search'), 'none');
  expect(await screen.findByText('Nothing by that name')).toBeTruthy();
});

it('tells what it is about in three steps, once on a device', async () => {
  answer([job]);
  const { unmount } = show(<JobsScreen />);
  expect(await screen.findByText('Say what you hold')).toBeTruthy();
  fireEvent.click(screen.getByText('Next'));
  fireEvent.click(screen.getByText('Next'));
  expect(screen.getByText('3 of 3')).toBeTruthy();
  fireEvent.click(screen.getByText('Got it'));
  expect(screen.queryByTestId('tour')).toBeNull();
  unmount();
  show(<JobsScreen />);
  expect(await screen.findByText('Clock court')).toBeTruthy();
  expect(screen.queryByTestId('tour')).toBeNull();
});

it('says what went wrong and offers to try again', async () => {
  const fetched = answer([], 422);
  show(<JobsScreen />);
  expect(await screen.findByText('Not so.')).toBeTruthy();
  const asked = fetched.mock.calls.length;
  fireEvent.click(screen.getByText('Try again'));
  expect(fetched.mock.calls.length).toBe(asked + 1);
});
