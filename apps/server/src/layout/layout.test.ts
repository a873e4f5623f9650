import { readFileSync } from 'node:fs';
import type { JobDetail, PieceLayout, ProblemBody, StoredHouse } from '@nucleon/contract/wire';
import type { JobFile } from '@nucleon/core/documents/jobFile';
import sharp from 'sharp';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { openTestServer, type TestServer } from '../testServer';

let server: TestServer;
let jobId: string;
let layout: PieceLayout;
const api = (path: string): string => `/api/v1${path}`;
const get = async <T>(path: string): Promise<T> =>
  (await request(server.app).get(api(path)).expect(200)).body as T;
const put = (path: string, body: object): request.Test =>
  request(server.app).put(api(path)).send(body);

beforeEach(async () => {
  server = await openTestServer();
  const file: unknown = JSON.parse(
    readFileSync(`${__dirname}/../../../../demo/1-dial-house.json`, 'utf8'),
  );
  const imported = await request(server.app)
    .post(api('/import'))
    .send(file as JobFile);
  jobId = (imported.body as { jobId: string }).jobId;
  const [piece] = (await get<JobDetail>(`/jobs/${jobId}`)).pieces;
  layout = await get<PieceLayout>(`/pieces/${piece?.id ?? ''}/layout`);
});
afterEach(async () => {
  await server.close();
});

const path = (): string => `/pieces/${layout.piece.id}/layout`;
const first = () => {
  const [hole] = layout.holes;
  if (!hole) throw new Error('the demo piece has no hole');
  const { pieceId: _piece, updatedAt: _at, ...own } = hole;
  return own;
};

it('moves, adds and takes away holes in one go, and plans what it wrote', async () => {
  const moved = { ...first(), xMm: first().xMm + 5 };
  const { label: _label, ...rest } = first();
  const added = { ...rest, id: newId(), xMm: first().xMm - 60, version: 0 };
  const response = await put(path(), { holes: [moved, added] }).expect(200);
  const now = response.body as PieceLayout;
  expect(now.holes.find(({ id }) => id === moved.id)?.xMm).toBe(moved.xMm);
  expect(now.holes).toHaveLength(layout.holes.length + 1);
  const detail = await get<JobDetail>(`/jobs/${jobId}`);
  const piece = detail.pieces.find(({ id }) => id === layout.piece.id);
  expect(piece?.holes.every(({ headline }) => headline !== null)).toBe(true);

  await put(path(), { holes: [], removed: [added.id] }).expect(200);
  expect((await get<PieceLayout>(path())).holes).toHaveLength(layout.holes.length);
  // Writing to it does not bring it back: undo says that it is wanted again.
  const again = now.holes.find(({ id }) => id === added.id);
  if (!again) throw new Error('it was not written');
  const { pieceId: _p, updatedAt: _u, ...own } = again;
  const gone = await put(path(), { holes: [own] }).expect(409);
  expect(gone.body).toMatchObject({ code: 'gone', current: { id: added.id, xMm: added.xMm } });
  await put(path(), { holes: [own], restored: [own.id] }).expect(200);
  expect((await get<PieceLayout>(path())).holes).toHaveLength(layout.holes.length + 1);
});

it('writes nothing of a layout with one hole off the piece, or one that was moved elsewhere', async () => {
  const { label: _label, ...rest } = first();
  const sound = { ...rest, id: newId(), xMm: first().xMm - 60, version: 0 };
  const off = { ...first(), xMm: 5000 };
  const refused = await put(path(), { holes: [sound, off] }).expect(422);
  expect((refused.body as ProblemBody).detail).toContain('lies outside');
  expect((await get<PieceLayout>(path())).holes).toHaveLength(layout.holes.length);

  await put(path(), { holes: [{ ...first(), xMm: first().xMm + 1 }] }).expect(200);
  const late = await put(path(), { holes: [sound, { ...first(), xMm: first().xMm + 2 }] });
  expect(late.status).toBe(409);
  expect((await get<PieceLayout>(path())).holes).toHaveLength(layout.holes.length);
});

it('keeps marked places, bands and datum with the piece, out and in again', async () => {
  const { jobId: _job, id: _id, updatedAt: _at, ...piece } = layout.piece;
  const more = {
    keepOff: [
      {
        id: 'k',
        kind: 'rib',
        shape: {
          kind: 'line',
          pointsMm: [
            [0, 0],
            [50, 50],
          ],
        },
        marginMm: 4,
      },
    ],
    services: [
      {
        id: 's',
        kind: 'pipe',
        pointsMm: [
          [0, 10],
          [90, 10],
        ],
        widthMm: 15,
        uncertaintyMm: 10,
      },
    ],
    datum: { x: 'right', y: 'top' },
  };
  await put(path(), { piece: { ...piece, ...more }, holes: [] }).expect(200);
  expect((await get<PieceLayout>(path())).piece).toMatchObject(more);
  const file = await get<JobFile>(`/jobs/${jobId}/export`);
  expect(file.pieces.find(({ name }) => name === piece.name)).toMatchObject(more);
  const crossing = {
    kind: 'polygon',
    pointsMm: [
      [0, 0],
      [400, 400],
      [400, 0],
      [0, 400],
    ],
  };
  const refused = await put(path(), {
    piece: { ...piece, version: piece.version + 1, outline: crossing },
    holes: [],
  });
  expect(refused.status).toBe(422);
  expect((refused.body as ProblemBody).detail).toContain('crosses itself');
});

it('remembers the house rule and sends it along with a job', async () => {
  expect(await get<StoredHouse>('/house')).toEqual({ version: 0 });
  const rule = { edge: { per: 'diameter', value: 1.5 }, school: 'house-rule' };
  await put('/house', { ...rule, version: 0 }).expect(200);
  expect(await get<StoredHouse>('/house')).toEqual({ ...rule, version: 1 });
  expect((await get<JobFile>(`/jobs/${jobId}/export`)).house).toEqual(rule);
  await put('/house', { school: 'whatever', version: 1 }).expect(422);
});

it('takes a picture for what it is, not for what it is called', async () => {
  const at = api(`/pieces/${layout.piece.id}/photos/one`);
  const send = (bytes: Buffer): request.Test =>
    request(server.app).put(at).set('content-type', 'image/jpeg').send(bytes);
  await send(Buffer.from('<svg onload="x()"/>')).expect(415);
  await send(Buffer.alloc(5 * 1024 * 1024, 255)).expect(413);
  await send(Buffer.concat([Buffer.from([0xff, 0xd8, 0xff]), Buffer.from('rest')])).expect(415);
  const create = { width: 300, height: 200, channels: 3, background: '#456' } as const;
  const taken = await sharp({ create })
    .withExif({ IFD0: { Copyright: 'where it was taken' } })
    .jpeg()
    .toBuffer();
  expect(taken.includes('where it was taken')).toBe(true);
  await send(taken).expect(204);
  const got = await request(server.app).get(at).expect(200);
  expect(got.headers['content-type']).toBe('image/jpeg');
  const kept = Buffer.from(got.body as Buffer);
  expect(await sharp(kept).metadata()).toMatchObject({ width: 300, height: 200 });
  expect(kept.includes('where it was taken')).toBe(false);
});
