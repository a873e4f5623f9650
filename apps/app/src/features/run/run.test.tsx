import { emptyDevice, opening, runServer } from '../../testingRuns';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { replayRun } from '@nucleon/core/run/replay';
import { show, typeIn } from '../../testing';
import { fakeApi } from '../../testingApi';
import { ResultScreen } from '../result/ResultScreen';
import type * as BenchDb from './benchDb';
import { benchDb } from './benchDb';
import type * as Device from './device';
import { deviceId } from './device';
import type * as KeptRuns from './keptRuns';
import { keptEvents } from './keptRuns';
import { RunScreen } from './RunScreen';
import { openRun, useRuns } from './runStore';
import { dropPhoto, keepPhoto, waitingPhotos } from '../result/keptPhotos';
import { useRefusals } from './refusals';
import { sendWaiting, waitingRunIds } from './sendRun';

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
beforeEach(async () => {
  await emptyDevice();
  mockRunId = openRun(opening());
});

const known = () => useRuns.getState().known[mockRunId] ?? [];
const stateNow = () => {
  const state = replayRun(known().map(({ event }) => event))?.state;
  if (!state) throw new Error('no run');
  return state;
};
const allKept = () => waitFor(() => expect(known().every(({ kept }) => kept)).toBe(true));
/** Nothing is under way any more: all of it is on the disk and at the server. */
const atRest = () =>
  waitFor(() => {
    expect(known().every(({ kept, sent }) => kept && sent)).toBe(true);
    expect(within(screen.getByTestId('run-mark')).getByText('Logged')).toBeTruthy();
  });

it('says that an act is kept when it is on the disk, and not before', async () => {
  const { add } = useRuns.getState();
  const { id } = add(mockRunId, { kind: 'start' });
  const isKept = () => known().find(({ event }) => event.id === id)?.kept;
  expect(isKept()).toBe(false);
  await waitFor(() => expect(isKept()).toBe(true));
  add(mockRunId, { kind: 'pause' });
  await allKept();
  const kept = await keptEvents(mockRunId);
  expect(kept.map(({ event, sent }) => [event.n, sent]).sort()).toEqual([
    [1, false],
    [2, false],
    [3, false],
  ]);
  // Another tab, or this one after a crash, finds the same.
  useRuns.setState({ known: {} });
  await useRuns.getState().load(mockRunId);
  expect(known()).toHaveLength(3);
  expect(add(mockRunId, { kind: 'resume' }).n).toBe(4);
});

it('takes in what another device wrote, once, and marks what the server has', async () => {
  const { add, take } = useRuns.getState();
  const mine = add(mockRunId, { kind: 'start' });
  const theirs = { ...mine, id: 'theirs', n: 3, device: 'tablet', act: { kind: 'drive' as const } };
  take(mockRunId, [theirs], [mine.id]);
  take(mockRunId, [theirs, mine], [mine.id]);
  await allKept();
  const kept = await keptEvents(mockRunId);
  expect(kept).toHaveLength(3);
  expect(
    kept
      .filter(({ sent }) => sent)
      .map(({ event }) => event.id)
      .sort(),
  ).toEqual([mine.id, 'theirs'].sort());
  expect(add(mockRunId, { kind: 'pause' }).n).toBe(4);
});

describe('what the server will not have', () => {
  const refusing = (faulty: (n: number) => boolean) => {
    const server = runServer();
    let posts = 0;
    fakeApi((sent) => {
      const events = (sent.body?.events ?? []) as { n: number }[];
      if (sent.method !== 'POST') return server.answer(sent);
      posts++;
      const faults = events.flatMap(({ n }, index) =>
        faulty(n) ? [{ pointer: `/events/${index}/act`, message: `Entry ${n} will not do.` }] : [],
      );
      if (faults.length === 0) return server.answer(sent);
      return { status: 422, body: { code: 'faulty', detail: 'No.', status: 422, faults } };
    });
    return { server, posts: () => posts };
  };

  it('is said at once, stays, and is not sent again by itself; the rest goes on', async () => {
    useRuns.getState().add(mockRunId, { kind: 'start' });
    await allKept();
    const { server, posts } = refusing((n) => n === 1);
    show(<RunScreen />);
    expect(await screen.findByTestId('refused')).toHaveTextContent(/1 entry stays on this device/);
    expect(within(screen.getByTestId('run-mark')).getByText('Not taken')).toBeTruthy();
    expect(screen.getByText(/Entry 1 will not do/)).toBeTruthy();
    expect(server.kept.map(({ act: { kind } }) => kind)).toEqual(['start']);
    const before = posts();
    await act(sendWaiting);
    expect(posts()).toBe(before);
    // Kept with its reason, through a crash too.
    const kept = await act(() => keptEvents(mockRunId));
    expect(kept.map(({ refused }) => refused)).toContain('Entry 1 will not do.');
    // A server put right takes it when asked again.
    fakeApi(server.answer);
    fireEvent.click(screen.getByTestId('refused-again'));
    await waitFor(() => expect(server.kept).toHaveLength(2));
    await waitFor(() => expect(screen.queryByTestId('refused')).toBeNull());
  });

  it('of pictures stays too, and a picture waits for the record of its run', async () => {
    const picture = new Blob(['x'], { type: 'image/jpeg' });
    await allKept();
    await keepPhoto({ runId: mockRunId, photoId: 'p', picture, refused: null });
    const { server } = refusing((n) => n === 1);
    await sendWaiting();
    expect((await waitingPhotos(mockRunId)).map(({ refused }) => refused)).toEqual([null]);
    let answer = { status: 404, body: { code: 'not-found', detail: 'No run.', status: 404 } };
    fakeApi((sent) => (sent.path.includes('/photos/') ? answer : server.answer(sent)));
    await useRefusals.getState().tryAgain();
    expect((await waitingPhotos(mockRunId)).map(({ refused }) => refused)).toEqual([null]);
    answer = {
      status: 415,
      body: { code: 'wrong-media-type', detail: 'No picture.', status: 415 },
    };
    await sendWaiting();
    expect((await waitingPhotos(mockRunId)).map(({ refused }) => refused)).toEqual(['No picture.']);
    await useRefusals.getState().look();
    expect(useRefusals.getState().pictures).toHaveLength(1);
    await dropPhoto('p');
  });
});

it('finds what an earlier version kept with the settings', async () => {
  const { event } = known()[0] ?? {};
  if (!event) throw new Error('no event');
  const old = { ...event, id: 'old', n: 1 };
  globalThis.localStorage.setItem(
    'nucleon.run.earlier.old',
    JSON.stringify({ event: old, sent: false }),
  );
  await jest.isolateModulesAsync(async () => {
    const { keptEvents: read } = jest.requireActual<typeof KeptRuns>('./keptRuns');
    expect(await read('earlier')).toMatchObject([
      { event: { id: 'old' }, sent: false, refused: null },
    ]);
  });
  expect(globalThis.localStorage.getItem('nucleon.run.earlier.old')).toBeNull();
});

it('writes down later what found no room at first', async () => {
  await allKept();
  const noRoom = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  useRuns.getState().add(mockRunId, { kind: 'start' });
  await waitFor(() => expect(useRuns.getState().isFull).toBe(true));
  expect(await keptEvents(mockRunId)).toHaveLength(1);
  noRoom.mockRestore();
  useRuns.getState().add(mockRunId, { kind: 'pause' });
  await allKept();
  expect(useRuns.getState().isFull).toBe(false);
  expect(await keptEvents(mockRunId)).toHaveLength(3);
});

it('is the same device after a crash that took the browser’s settings', async () => {
  const name = deviceId();
  await benchDb();
  globalThis.localStorage.clear();
  await jest.isolateModulesAsync(async () => {
    const { benchDb: open } = jest.requireActual<typeof BenchDb>('./benchDb');
    const { deviceId: named } = jest.requireActual<typeof Device>('./device');
    await open();
    expect(named()).toBe(name);
  });
});

it('is driven, noted, taken back; all of it is sent', async () => {
  const server = runServer();
  fakeApi(server.answer);
  show(<RunScreen />);
  expect(await screen.findByText('Rim on the mark')).toBeTruthy();
  fireEvent.click(screen.getByTestId('run-main'));
  expect(stateNow().phase).toBe('seat');
  fireEvent.click(screen.getByTestId('open-signs'));
  fireEvent.click(screen.getByTestId('sign-chatter'));
  expect(await screen.findByTestId('run-line')).toHaveTextContent('Paused');
  expect(
    within(screen.getByTestId('sign-answer')).getByText('Motor off at once. Look.'),
  ).toBeTruthy();
  fireEvent.click(screen.getByTestId('run-undo'));
  expect(stateNow().phase).toBe('seat');
  await waitFor(() => expect(server.kept).toHaveLength(4));
  await atRest();
  await waitFor(async () => expect(await keptEvents(mockRunId)).toHaveLength(4));
});

it('goes on without a server, and says that it keeps the record here', async () => {
  fakeApi(({ path }) => (path.startsWith('/runs/') ? { status: 0, body: null } : undefined));
  show(<RunScreen />);
  fireEvent.click(await screen.findByTestId('run-main'));
  expect(await screen.findByText('Kept here')).toBeTruthy();
  fireEvent.click(screen.getByTestId('open-stop'));
  fireEvent.click(screen.getByTestId('abort-Unsafe'));
  expect(stateNow()).toMatchObject({ phase: 'aborted' });
  expect(await screen.findByText('How did it come out?')).toBeTruthy();
  await allKept();
});

it('sends what waits though its run is not on the screen', async () => {
  const server = runServer();
  fakeApi(server.answer);
  useRuns.getState().add(mockRunId, { kind: 'start' });
  await allKept();
  useRuns.setState({ known: {} });
  expect(await waitingRunIds()).toEqual([mockRunId]);
  await sendWaiting();
  expect(server.kept.map(({ act: { kind } }) => kind)).toEqual(['open', 'start']);
  await allKept();
  expect(await waitingRunIds()).toEqual([]);
});

it('watches where another device drives, until it takes over', async () => {
  fakeApi(runServer().answer);
  const [kept] = known();
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
  fireEvent.click(screen.getByTestId('run-main'));
  expect(stateNow().phase).toBe('prepare');
  fireEvent.click(screen.getByTestId('drive-here'));
  fireEvent.click(screen.getByTestId('run-main'));
  expect(stateNow()).toMatchObject({ phase: 'seat', flags: [] });
  await atRest();
});

it('tells the second person their own part while another device drives', async () => {
  fakeApi(runServer().answer);
  mockRunId = openRun(
    opening({ hole: { operations: [{ id: 'a', does: 'core', helper: 'depth-mark' }] } }),
  );
  const [kept] = known();
  if (!kept) throw new Error('no event');
  const theirs = (n: number, kind: 'drive' | 'start') => ({
    ...kept.event,
    id: kind,
    n,
    device: 'tablet',
    act: { kind },
  });
  act(() => {
    useRuns.getState().take(mockRunId, [theirs(2, 'drive'), theirs(3, 'start')], []);
  });
  show(<RunScreen />);
  expect(await screen.findByTestId('run-line')).toHaveTextContent('Watch the mark, call it');
  expect(screen.getByTestId('run-detail')).toHaveTextContent(/At the drill: Seat/);
  fireEvent.click(screen.getByTestId('drive-here'));
  expect(screen.getByTestId('run-line')).toHaveTextContent(/^Seat/);
  await atRest();
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
  fireEvent.click(await screen.findByTestId('as-planned'));
  expect(
    within(screen.getByTestId('result-flags')).getByText(/given up; the result says fine/),
  ).toBeTruthy();
  fireEvent.click(screen.getByTestId('exit-chip-1'));
  typeIn(screen.getByTestId('result-entryDiameterMm'), '25.4');
  fireEvent.click(screen.getByTestId('finish-rinse'));
  fireEvent.click(screen.getByTestId('keep-result'));
  expect(stateNow().result).toEqual({
    verdict: 'fine',
    crack: 'none',
    exitChipMm: 1,
    entryDiameterMm: 25.4,
  });
  expect(mockNavigate).toHaveBeenCalledWith(`/runs/${mockRunId}`);
  await atRest();
});

it('keeps a result on this device while it is said, and puts another device’s together with it', async () => {
  fakeApi(runServer().answer);
  const { add, take } = useRuns.getState();
  add(mockRunId, { kind: 'start' });
  add(mockRunId, { kind: 'abort', why: 'Unsafe' });
  const first = show(<ResultScreen />);
  typeIn(await screen.findByTestId('result-note'), 'Bevel it first');
  first.unmount();
  show(<ResultScreen />);
  expect(await screen.findByTestId('result-note')).toHaveValue('Bevel it first');
  const [kept] = known();
  if (!kept) throw new Error('no event');
  const theirs = { verdict: 'fine', crack: 'none', exitChipMm: 2 } as const;
  act(() => {
    take(
      mockRunId,
      [
        {
          ...kept.event,
          id: 'told',
          n: 9,
          device: 'tablet',
          act: { kind: 'result', result: theirs },
        },
      ],
      [],
    );
  });
  fireEvent.click(await screen.findByText('Keep it'));
  expect(stateNow().result).toEqual({ ...theirs, note: 'Bevel it first' });
  expect(globalThis.localStorage.getItem(`nucleon.result.${mockRunId}`)).toBeNull();
  await atRest();
});
