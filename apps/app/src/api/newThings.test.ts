import { fakeApi } from '../testingApi';
import { afterNewThings, putNew, sendNewThings, useNewThings } from './newThings';
import { Unreachable } from './problem';
import { putOnce } from './putOnce';

const JOB = { path: '/jobs/n1', body: { name: 'Shed', version: 0 } };
const PIECE = { path: '/jobs/n1/pieces/n2', body: { name: 'Pane', version: 0 } };

const away = () => fakeApi(() => ({ status: 0, body: null }));
const there = () => fakeApi(({ body }) => ({ status: 200, body: { ...body, version: 1 } }));
const waiting = (): string[] => useNewThings.getState().waiting.map(({ path }) => path);

beforeEach(() => {
  useNewThings.setState({ waiting: [], refused: null });
});

it('makes at once where the server answers', async () => {
  const log = there();
  expect(await putNew(JOB)).toBe(true);
  expect(log).toHaveLength(1);
  expect(waiting()).toEqual([]);
});

it('keeps what is new while nobody answers, once each, and sends it in the order it was made', async () => {
  away();
  expect(await putNew(JOB)).toBe(false);
  expect(await putNew(PIECE)).toBe(false);
  expect(await putNew(PIECE)).toBe(false);
  expect(waiting()).toEqual([JOB.path, PIECE.path]);
  const log = there();
  await sendNewThings();
  expect(log.map(({ path }) => path)).toEqual([JOB.path, PIECE.path]);
  expect(waiting()).toEqual([]);
});

it('takes what is there already as made: an earlier try got through', async () => {
  fakeApi(() => ({ status: 409, body: { code: 'conflict', detail: 'Changed.', status: 409 } }));
  expect(await putNew(JOB)).toBe(true);
});

it('tells what is refused, lets go of it and goes on', async () => {
  away();
  await putNew(JOB);
  await putNew(PIECE);
  const log = fakeApi(({ path, body }) =>
    path === JOB.path
      ? { status: 422, body: { code: 'faulty', detail: 'No such name.', status: 422 } }
      : { status: 200, body: { ...body, version: 1 } },
  );
  await sendNewThings();
  expect(log.map(({ path }) => path)).toEqual([JOB.path, PIECE.path]);
  expect(useNewThings.getState()).toMatchObject({ waiting: [], refused: 'No such name.' });
});

it('writes nothing over what the server has not heard of', async () => {
  away();
  await putNew(JOB);
  await expect(afterNewThings()).rejects.toBeInstanceOf(Unreachable);
  const log = there();
  await putOnce(JOB.path, { version: 1 });
  expect(log.map(({ method, path, body }) => [method, path, body?.['version']])).toEqual([
    ['PUT', JOB.path, 0],
    ['PUT', JOB.path, 1],
  ]);
});
