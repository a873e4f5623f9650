import { BIN_DAYS, type Bin, type JobDetail, type ProblemBody } from '@nucleon/contract/wire';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { openTestServer, type TestServer } from '../testServer';
import { emptyBin } from './emptyBin';

let server: TestServer;
let jobId: string;
let pieceId: string;
let holeId: string;
beforeAll(async () => {
  server = await openTestServer();
});
afterAll(async () => {
  await server.close();
});

const call = (method: 'get' | 'put' | 'post' | 'delete', path: string, body?: object) =>
  request(server.app)[method](`/api/v1${path}`).send(body);
const get = async <T>(path: string): Promise<T> => (await call('get', path).expect(200)).body as T;
const piece = {
  name: 'Pane',
  form: 'sheet',
  material: 'float-glass',
  thicknessMm: 6,
  outline: { kind: 'rectangle', widthMm: 300, heightMm: 300 },
};
const hole = { label: 'Tap', xMm: 150, yMm: 150, diameterMm: 10, depth: { kind: 'through' } };
const bin = async () => (await get<Bin>(`/jobs/${jobId}/bin`)).items;
const holes = async () =>
  (await get<JobDetail>(`/jobs/${jobId}`)).pieces.flatMap((one) => one.holes.map(({ id }) => id));

beforeEach(async () => {
  [jobId, pieceId, holeId] = [newId(), newId(), newId()];
  await call('put', `/jobs/${jobId}`, { name: 'Job', version: 0 }).expect(200);
  await call('put', `/jobs/${jobId}/pieces/${pieceId}`, { ...piece, version: 0 }).expect(200);
  await call('put', `/pieces/${pieceId}/holes/${holeId}`, { ...hole, version: 0 }).expect(200);
});

it('lists what was deleted from a job, and until when it can come back', async () => {
  expect(await bin()).toEqual([]);
  await call('delete', `/holes/${holeId}`).expect(204);
  await call('delete', `/holes/${holeId}`).expect(204);
  const [item] = await bin();
  expect(item).toMatchObject({ kind: 'hole', id: holeId, name: 'Tap', pieceName: 'Pane' });
  const days =
    (Date.parse(item?.emptiedAt ?? '') - Date.parse(item?.deletedAt ?? '')) / (24 * 3600 * 1000);
  expect(days).toBe(BIN_DAYS);
  await call('delete', '/holes/nowhere').expect(404);
});

it('answers a put to what was deleted with what it was, and writes nothing', async () => {
  await call('delete', `/holes/${holeId}`).expect(204);
  for (const body of [hole, { ...hole, xMm: 40 }]) {
    const { body: told } = await call('put', `/pieces/${pieceId}/holes/${holeId}`, {
      ...body,
      version: 1,
    }).expect(409);
    expect(told).toMatchObject({ code: 'gone', current: { id: holeId, xMm: 150 } });
  }
  await call('delete', `/pieces/${pieceId}`).expect(204);
  const late = await call('put', `/pieces/${pieceId}/holes/${newId()}`, { ...hole, version: 0 });
  expect([late.status, (late.body as ProblemBody).detail]).toEqual([
    409,
    'This piece was deleted; bring it back from the bin first, or save it as a new one.',
  ]);
  await call('put', `/jobs/${jobId}/pieces/${pieceId}`, { ...piece, version: 1 }).expect(409);
  await call('delete', `/jobs/${jobId}`).expect(204);
  await call('put', `/jobs/${jobId}`, { name: 'Job', version: 1 }).expect(409);
  await call('put', `/jobs/${jobId}/pieces/${newId()}`, { ...piece, version: 0 }).expect(409);
});

it('brings back in any order, with what a thing stands in', async () => {
  await call('delete', `/holes/${holeId}`).expect(204);
  await call('delete', `/pieces/${pieceId}`).expect(204);
  expect((await bin()).map(({ kind }) => kind).sort()).toEqual(['hole', 'piece']);
  await call('post', `/holes/${holeId}/restore`).expect(204);
  expect(await holes()).toEqual([holeId]);
  expect(await bin()).toEqual([]);
  await call('delete', `/pieces/${pieceId}`).expect(204);
  await call('delete', `/jobs/${jobId}`).expect(204);
  await call('get', `/jobs/${jobId}/bin`).expect(404);
  expect((await get<Bin>('/bin')).items[0]).toMatchObject({ kind: 'job', id: jobId, name: 'Job' });
  await call('post', `/pieces/${pieceId}/restore`).expect(204);
  expect(await holes()).toEqual([holeId]);
});

it('is emptied of what has lain in it for thirty days, with all that stands in it', async () => {
  const other = newId();
  await call('put', `/pieces/${pieceId}/holes/${other}`, { ...hole, version: 0 }).expect(200);
  await call('delete', `/pieces/${pieceId}`).expect(204);
  const later = (days: number): Date => new Date(Date.now() + days * 24 * 3600 * 1000);
  await emptyBin(server.source, later(BIN_DAYS - 1));
  expect(await bin()).toHaveLength(1);
  await emptyBin(server.source, later(BIN_DAYS + 1));
  expect(await bin()).toEqual([]);
  await call('post', `/pieces/${pieceId}/restore`).expect(404);
  // Whoever still has it open is told that it is gone for good; a new one of the same id is new.
  await call('put', `/jobs/${jobId}/pieces/${pieceId}`, { ...piece, version: 1 }).expect(404);
  await call('put', `/jobs/${jobId}/pieces/${pieceId}`, { ...piece, version: 0 }).expect(200);
  expect(await holes()).toEqual([]);
});
