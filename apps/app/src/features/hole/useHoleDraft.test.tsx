import type { HoleDetail, StoredHole, StoredPiece } from '@nucleon/contract/wire';
import { act, renderHook } from '@testing-library/react';
import { putHole } from '../../api/holes';
import { putPiece } from '../../api/pieces';
import { ApiProblem, Unreachable } from '../../api/problem';
import { Around } from '../../testing';
import { MayWork } from '../../ui/mayWork';
import { bringBack, useAutosave, useHoleDraft } from './useHoleDraft';

jest.mock('../../api/holes', () => ({ putHole: jest.fn(), restoreHole: jest.fn() }));
jest.mock('../../api/pieces', () => ({ putPiece: jest.fn() }));

const piece: StoredPiece = {
  id: 'p',
  jobId: 'j',
  name: 'Dial',
  form: 'sheet',
  material: 'float-glass',
  thicknessMm: 6,
  outline: { kind: 'circle', diameterMm: 400 },
  version: 3,
  updatedAt: 't',
};
const hole: StoredHole = {
  id: 'h',
  pieceId: 'p',
  xMm: 200,
  yMm: 200,
  diameterMm: 22,
  depth: { kind: 'through' },
  version: 5,
  updatedAt: 't',
};
const detail = {
  job: { id: 'j', name: 'J', version: 1, updatedAt: 't', customMaterials: [] },
  piece,
  hole,
} satisfies HoleDetail;
const sendHole = jest.mocked(putHole);

function open(sound = true, mayWork = true) {
  return renderHook(
    ({ isSound }: { isSound: boolean }) => {
      const handle = useHoleDraft(detail);
      useAutosave(handle, isSound);
      return handle;
    },
    {
      wrapper: ({ children }) => (
        <Around>
          <MayWork value={mayWork}>{children}</MayWork>
        </Around>
      ),
      initialProps: { isSound: sound },
    },
  );
}
type Opened = ReturnType<typeof open>;
const drill = ({ result }: Opened, diameterMm: number): void => {
  act(() => {
    result.current.dispatch({
      type: 'edit',
      change: (now) => ({ ...now, hole: { ...now.hole, diameterMm } }),
      group: 'diameter',
      atMs: Date.now(),
    });
  });
};
const wait = (ms: number) => act(async () => jest.advanceTimersByTimeAsync(ms));

beforeEach(() => {
  jest.useFakeTimers();
  sendHole.mockReset();
  sendHole.mockImplementation((_piece, _id, body) =>
    Promise.resolve({ ...hole, ...body, version: body.version + 1 }),
  );
});
afterEach(() => {
  jest.useRealTimers();
});

it('saves what was typed once typing rests, and nothing else', async () => {
  const opened = open();
  drill(opened, 2);
  await wait(200);
  drill(opened, 24);
  await wait(1000);
  expect(sendHole).toHaveBeenCalledTimes(1);
  expect(sendHole.mock.calls[0]?.[2]).toMatchObject({ diameterMm: 24, version: 5 });
  expect(putPiece).not.toHaveBeenCalled();
  expect(opened.result.current.draft.save.kind).toBe('saved');
});

it('sends on the way out what was left before it rested', async () => {
  const opened = open();
  drill(opened, 24);
  opened.unmount();
  expect(sendHole).toHaveBeenCalledTimes(1);
  await wait(1000);
  expect(sendHole).toHaveBeenCalledTimes(1);
});

it('waits while the values clash', async () => {
  const opened = open(false);
  drill(opened, 24);
  await wait(5000);
  expect(sendHole).not.toHaveBeenCalled();
  opened.rerender({ isSound: true });
  await wait(1000);
  expect(sendHole).toHaveBeenCalledTimes(1);
});

it('tries again while the server is away', async () => {
  sendHole.mockRejectedValueOnce(new Unreachable('database'));
  const opened = open();
  drill(opened, 24);
  await wait(600);
  expect(opened.result.current.draft.save.kind).toBe('unreachable');
  await wait(3000);
  expect(opened.result.current.draft.save.kind).toBe('saved');
  expect(sendHole).toHaveBeenCalledTimes(2);
});

it('never has two writes under way: the second carries the first one’s version', async () => {
  let finish: (stored: StoredHole) => void = () => undefined;
  sendHole.mockImplementationOnce(
    () =>
      new Promise((resolve) => {
        finish = resolve;
      }),
  );
  const opened = open();
  drill(opened, 24);
  await wait(600);
  drill(opened, 25);
  await wait(2000);
  expect(sendHole).toHaveBeenCalledTimes(1);
  await act(async () => {
    finish({ ...hole, diameterMm: 24, version: 6 });
    await Promise.resolve();
  });
  await wait(1000);
  expect(sendHole.mock.calls[1]?.[2]).toMatchObject({ diameterMm: 25, version: 6 });
  expect(opened.result.current.draft.save.kind).toBe('saved');
});

it('stops at a conflict and goes on as the person chooses', async () => {
  const current = { ...hole, diameterMm: 30, version: 6 };
  sendHole.mockRejectedValueOnce(
    new ApiProblem({ type: '', code: 'conflict', title: '', status: 409, detail: '', current }),
  );
  const opened = open();
  drill(opened, 24);
  await wait(5000);
  expect(opened.result.current.draft.save).toMatchObject({
    kind: 'conflict',
    theirs: { hole: current },
  });
  expect(sendHole).toHaveBeenCalledTimes(1);
  act(() => {
    opened.result.current.dispatch({ type: 'keep-mine' });
  });
  await wait(1000);
  expect(sendHole.mock.calls[1]?.[2]).toMatchObject({ diameterMm: 24, version: 6 });
});

it('says that it was deleted elsewhere, and saves over it once it is brought back', async () => {
  sendHole.mockRejectedValueOnce(
    new ApiProblem({ type: '', code: 'gone', title: '', status: 409, detail: 'Deleted.' }),
  );
  const opened = open();
  drill(opened, 24);
  await wait(5000);
  expect(opened.result.current.draft.save).toEqual({ kind: 'gone', message: 'Deleted.' });
  expect(sendHole).toHaveBeenCalledTimes(1);
  await act(() => bringBack(opened.result.current));
  await wait(1000);
  expect(sendHole.mock.calls[1]?.[2]).toMatchObject({ diameterMm: 24, version: 5 });
  expect(opened.result.current.draft.save.kind).toBe('saved');
});

it('leaves alone what was typed here before, while somebody looks who only reads', async () => {
  sendHole.mockRejectedValue(new Unreachable('server'));
  const own = open();
  drill(own, 24);
  await wait(1000);
  own.unmount();
  const sent = sendHole.mock.calls.length;
  const reading = open(true, false);
  expect(reading.result.current.draft.now.hole.diameterMm).toBe(22);
  drill(reading, 30);
  await wait(5000);
  reading.unmount();
  expect(sendHole).toHaveBeenCalledTimes(sent);
  expect(open().result.current.draft.now.hole.diameterMm).toBe(24);
});
