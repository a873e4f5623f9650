import { fakeStorage, opening, runServer } from '../../testingRuns';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react-native';
import { replayRun } from '@nucleon/core/run/replay';
import { show } from '../../testing';
import { fakeApi } from '../../testingApi';
import { ResultScreen } from '../result/ResultScreen';
import { keptEvents } from './keptRuns';
import { RunScreen } from './RunScreen';
import { openRun, useRuns } from './runStore';
import { waitingRunIds } from './sendRun';
import { sendWaiting } from './useOutbox';

const mockNavigate = jest.fn();
let mockRunId = '';
jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: mockNavigate }),
  useLocalSearchParams: () => ({ runId: mockRunId }),
}));
jest.mock('expo-keep-awake', () => ({
  activateKeepAwakeAsync: () => Promise.resolve(),
  deactivateKeepAwake: () => Promise.resolve(),
}));
jest.mock('expo-speech', () => ({ speak: jest.fn(), stop: () => Promise.resolve() }));
jest.mock('../display/displayStore', () => ({
  useUnits: () => ({ length: 'mm', force: 'N' }),
  useThemeName: () => 'light',
}));
jest.mock('../result/keptPhotos', () => ({
  keepPhoto: () => Promise.resolve(),
  dropPhoto: () => Promise.resolve(),
  waitingPhotos: () => Promise.resolve([]),
  everyWaitingPhoto: () => Promise.resolve([]),
}));

let storage: Map<string, string>;
beforeEach(() => {
  storage = fakeStorage();
  useRuns.setState({ known: {} });
  mockRunId = openRun(opening());
});

const stateNow = () => {
  const state = replayRun(keptEvents(mockRunId).map(({ event }) => event))?.state;
  if (!state) throw new Error('no run');
  return state;
};

it('writes each act on the device before anything else, in order', () => {
  const { add } = useRuns.getState();
  add(mockRunId, { kind: 'start' });
  add(mockRunId, { kind: 'pause' });
  expect(
    keptEvents(mockRunId)
      .map(({ event, sent }) => [event.n, sent])
      .sort(),
  ).toEqual([
    [1, false],
    [2, false],
    [3, false],
  ]);
  // Another tab, or this one after a crash, finds the same.
  useRuns.setState({ known: {} });
  useRuns.getState().load(mockRunId);
  expect(useRuns.getState().known[mockRunId]).toHaveLength(3);
  expect(add(mockRunId, { kind: 'resume' }).n).toBe(4);
});

it('takes in what another device wrote, once, and marks what the server has', () => {
  const { add, take } = useRuns.getState();
  const mine = add(mockRunId, { kind: 'start' });
  const theirs = { ...mine, id: 'theirs', n: 3, device: 'tablet', act: { kind: 'drive' as const } };
  take(mockRunId, [theirs], [mine.id]);
  take(mockRunId, [theirs, mine], [mine.id]);
  const kept = keptEvents(mockRunId);
  expect(kept).toHaveLength(3);
  expect(
    kept
      .filter(({ sent }) => sent)
      .map(({ event }) => event.id)
      .sort(),
  ).toEqual([mine.id, 'theirs'].sort());
  expect(add(mockRunId, { kind: 'pause' }).n).toBe(4);
});

it('is driven, noted, taken back; all of it is sent', async () => {
  const server = runServer();
  fakeApi(server.answer);
  show(<RunScreen />);
  expect(await screen.findByText('Rim on the mark')).toBeTruthy();
  fireEvent.press(screen.getByTestId('run-main'));
  expect(stateNow().phase).toBe('seat');
  fireEvent.press(screen.getByTestId('open-signs'));
  fireEvent.press(screen.getByTestId('sign-chatter'));
  expect(await screen.findByTestId('run-line')).toHaveTextContent('Paused');
  expect(
    within(screen.getByTestId('sign-answer')).getByText('Motor off at once. Look.'),
  ).toBeTruthy();
  fireEvent.press(screen.getByTestId('run-undo'));
  expect(stateNow().phase).toBe('seat');
  await waitFor(() => expect(server.kept).toHaveLength(4));
  await waitFor(() =>
    expect(within(screen.getByTestId('run-mark')).getByText('Logged')).toBeTruthy(),
  );
  expect(storage.size).toBeGreaterThan(4);
});

it('goes on without a server, and says that it keeps the record here', async () => {
  fakeApi(({ path }) => (path.startsWith('/runs/') ? { status: 0, body: null } : undefined));
  show(<RunScreen />);
  fireEvent.press(await screen.findByTestId('run-main'));
  expect(await screen.findByText('Kept here')).toBeTruthy();
  fireEvent.press(screen.getByTestId('open-stop'));
  fireEvent.press(screen.getByTestId('abort-Unsafe'));
  expect(stateNow()).toMatchObject({ phase: 'aborted' });
  expect(await screen.findByText('How did it come out?')).toBeTruthy();
});

it('sends what waits though its run is not on the screen', async () => {
  const server = runServer();
  fakeApi(server.answer);
  useRuns.getState().add(mockRunId, { kind: 'start' });
  useRuns.setState({ known: {} });
  expect(waitingRunIds()).toEqual([mockRunId]);
  await sendWaiting();
  expect(server.kept.map(({ act: { kind } }) => kind)).toEqual(['open', 'start']);
  expect(waitingRunIds()).toEqual([]);
});

it('watches where another device drives, until it takes over', async () => {
  fakeApi(runServer().answer);
  const [kept] = keptEvents(mockRunId);
  if (!kept) throw new Error('no event');
  act(() => {
    useRuns
      .getState()
      .take(
        mockRunId,
        [{ ...kept.event, id: 'over', n: 2, device: 'tablet', act: { kind: 'drive' } }],
        [],
      );
  });
  show(<RunScreen />);
  expect(await screen.findByTestId('watching')).toBeTruthy();
  fireEvent.press(screen.getByTestId('run-main'));
  expect(stateNow().phase).toBe('prepare');
  fireEvent.press(screen.getByTestId('drive-here'));
  fireEvent.press(screen.getByTestId('run-main'));
  expect(stateNow()).toMatchObject({ phase: 'seat', flags: [] });
});

it('says what is nowhere to be found', async () => {
  mockRunId = 'gone';
  fakeApi(({ path }) =>
    path.startsWith('/runs/')
      ? { status: 404, body: { code: 'not-found', detail: 'There is no run.', status: 404 } }
      : undefined,
  );
  show(<RunScreen />);
  expect(await screen.findByText('No such run')).toBeTruthy();
});

it('takes a result in three taps, and keeps one that does not fit the run beside a word', async () => {
  fakeApi(runServer().answer);
  const { add } = useRuns.getState();
  add(mockRunId, { kind: 'start' });
  add(mockRunId, { kind: 'abort', why: 'Unsafe' });
  show(<ResultScreen />);
  fireEvent.press(await screen.findByTestId('as-planned'));
  expect(
    within(screen.getByTestId('result-flags')).getByText(/given up; the result says fine/),
  ).toBeTruthy();
  fireEvent.press(screen.getByTestId('exit-chip-1'));
  fireEvent.changeText(screen.getByTestId('result-entryDiameterMm'), '25.4');
  fireEvent.press(screen.getByTestId('finish-rinse'));
  fireEvent.press(screen.getByTestId('keep-result'));
  expect(stateNow().result).toEqual({
    verdict: 'fine',
    crack: 'none',
    exitChipMm: 1,
    entryDiameterMm: 25.4,
  });
  expect(mockNavigate).toHaveBeenCalledWith(`/runs/${mockRunId}`);
});
