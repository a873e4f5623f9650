import { fireEvent, screen, waitFor } from '@testing-library/react';
import { show, typeIn } from '../../testing';
import { fakeApi, JOB, type Sent } from '../../testingApi';
import { useUndo } from '../../ui/undoStore';
import { JobScreen } from './JobScreen';

const mockNavigate = jest.fn();
jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: mockNavigate }),
  useLocalSearchParams: () => ({ jobId: 'j1' }),
}));

const changes = (log: readonly Sent[]): Sent[] => log.filter((sent) => sent.method !== 'GET');
const open = async (log: readonly Sent[]): Promise<readonly Sent[]> => {
  show(<JobScreen />);
  await screen.findByText('Glass dial');
  return log;
};

it('shows each piece with what its holes come to', async () => {
  await open(fakeApi());
  expect(screen.getByText('Float glass, 6 mm')).toBeTruthy();
  expect(screen.getByText('Arbor · 22 mm')).toBeTruthy();
  expect(screen.getByText('23 N, 750 rpm, about 3.6 min')).toBeTruthy();
  fireEvent.click(screen.getByTestId('hole-Arbor'));
  expect(mockNavigate).toHaveBeenCalledWith('/jobs/j1/holes/h1');
});

it('says which stops stand and which plans are still being made', async () => {
  const [piece] = JOB.pieces;
  const [hole] = piece?.holes ?? [];
  const stopped = {
    ...JOB,
    pieces: [
      {
        ...piece,
        holes: [
          { ...hole, headline: { ...hole?.headline, stops: ['Strengthened glass'] } },
          { ...hole, id: 'h2', headline: null },
        ],
      },
    ],
  };
  await open(
    fakeApi(({ path }) => (path === '/jobs/j1' ? { status: 200, body: stopped } : undefined)),
  );
  expect(screen.getByText('Stop: Strengthened glass')).toBeTruthy();
  expect(screen.getByText(/plan is being made/)).toBeTruthy();
});

it('puts another hole beside the last, drilled like it', async () => {
  const log = await open(fakeApi());
  fireEvent.click(screen.getByText('Another hole'));
  await waitFor(() => expect(changes(log)).toHaveLength(1));
  expect(changes(log)[0]?.body).toMatchObject({
    xMm: 265,
    yMm: 210,
    diameterMm: 22,
    label: 'Hole 2',
    setup: { bit: 'b1' },
    version: 0,
  });
});

it('renames the job, and not to nothing', async () => {
  const log = await open(fakeApi());
  fireEvent.click(screen.getByTestId('edit-job'));
  typeIn(screen.getByTestId('job-name'), '  ');
  expect(screen.getByText('Give it a name: 1 to 120 characters.')).toBeTruthy();
  typeIn(screen.getByTestId('job-name'), 'Court');
  fireEvent.click(screen.getByText('Save'));
  await waitFor(() => expect(changes(log)).toHaveLength(1));
  expect(changes(log)[0]).toMatchObject({
    path: '/jobs/j1',
    body: { name: 'Court', notes: 'By the gate.', version: 1 },
  });
});

it('deletes a piece and the job with a way back', async () => {
  const log = await open(fakeApi());
  fireEvent.click(screen.getByText('Delete piece'));
  await waitFor(() => expect(useUndo.getState().offer?.message).toBe('Deleted “Glass dial”.'));
  await useUndo.getState().offer?.undo();
  fireEvent.click(screen.getByTestId('delete-job'));
  await waitFor(() => expect(useUndo.getState().offer?.message).toBe('Deleted “Clock court”.'));
  expect(mockNavigate).toHaveBeenCalledWith('/');
  expect(changes(log).map((sent) => `${sent.method} ${sent.path}`)).toEqual([
    'DELETE /pieces/p1',
    'POST /pieces/p1/restore',
    'DELETE /jobs/j1',
  ]);
});
