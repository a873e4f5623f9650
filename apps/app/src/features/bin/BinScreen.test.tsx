import { fireEvent, screen, waitFor } from '@testing-library/react';
import { show } from '../../testing';
import { fakeApi } from '../../testingApi';
import { BinScreen } from './BinScreen';

let mockParams: { jobId?: string } = {};
jest.mock('expo-router', () => ({
  useLocalSearchParams: () => mockParams,
  useRouter: () => ({ navigate: jest.fn() }),
}));

const times = { deletedAt: '2026-05-02T09:00:00Z', emptiedAt: '2026-06-01T09:00:00Z' };

it('brings back what was deleted from a job, and says until when it can', async () => {
  mockParams = { jobId: 'j1' };
  let items: object[] = [{ kind: 'hole', id: 'h1', name: 'Arbor', pieceName: 'Dial', ...times }];
  const log = fakeApi(({ method, path }) => {
    if (path === '/jobs/j1/bin') return { status: 200, body: { items } };
    if (method === 'POST') items = [];
    return undefined;
  });
  show(<BinScreen />);
  expect(await screen.findByText('Arbor')).toBeTruthy();
  expect(screen.getByText(/Hole of Dial, deleted 2 May, kept until 1 Jun/)).toBeTruthy();
  fireEvent.click(screen.getByTestId('restore-hole'));
  expect(await screen.findByText('The bin is empty')).toBeTruthy();
  expect(log.map(({ path }) => path)).toContain('/holes/h1/restore');
});

it('says what kept a thing from coming back', async () => {
  mockParams = {};
  fakeApi(({ method, path }) => {
    if (path === '/bin')
      return { status: 200, body: { items: [{ kind: 'job', id: 'j', name: 'Old', ...times }] } };
    if (method !== 'POST') return undefined;
    return {
      status: 404,
      body: { code: 'not-found', detail: 'There is no job “j”.', status: 404 },
    };
  });
  show(<BinScreen />);
  fireEvent.click(await screen.findByTestId('restore-job'));
  await waitFor(() => expect(screen.getByText('There is no job “j”.')).toBeTruthy());
});
