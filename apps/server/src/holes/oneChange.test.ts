import type {
  JobDetail,
  NotPlanned,
  PieceInJob,
  ProblemBody,
  StoredHole,
} from '@nucleon/contract/wire';
import type { JobFile } from '@nucleon/core/documents/jobFile';
import type { Plan } from '@nucleon/core/documents/plan';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { openTestServer, type TestServer } from '../testServer';

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
  glassTreatment: 'annealed',
  outline: { kind: 'rectangle', widthMm: 300, heightMm: 300 },
};
const hole = { xMm: 250, yMm: 250, diameterMm: 10, depth: { kind: 'through' } };
const small = { ...piece, outline: { kind: 'rectangle', widthMm: 100, heightMm: 100 } };
const pieces = async (): Promise<readonly PieceInJob[]> =>
  (await get<JobDetail>(`/jobs/${jobId}`)).pieces;
const oneHole = async () => (await pieces())[0]?.holes.find(({ id }) => id === holeId);

beforeEach(async () => {
  [jobId, pieceId, holeId] = [newId(), newId(), newId()];
  await call('put', `/jobs/${jobId}`, { name: 'Job', version: 0 }).expect(200);
  await call('put', `/jobs/${jobId}/pieces/${pieceId}`, { ...piece, version: 0 }).expect(200);
  await call('put', `/pieces/${pieceId}/holes/${holeId}`, { ...hole, version: 0 }).expect(200);
});

describe('one change', () => {
  it('is one, however many times it is sent at once', async () => {
    const [first, second] = [newId(), newId()];
    const sent = [
      ...Array.from({ length: 5 }, () =>
        call('put', `/pieces/${pieceId}/holes/${holeId}`, { ...hole, xMm: 40, version: 1 }),
      ),
      ...Array.from({ length: 5 }, () =>
        call('put', `/pieces/${pieceId}/holes/${first}`, { ...hole, xMm: 60, version: 0 }),
      ),
      ...Array.from({ length: 5 }, () =>
        call('put', `/pieces/${pieceId}/holes/${second}`, { ...hole, xMm: 80, version: 0 }),
      ),
    ];
    const statuses = await Promise.all(sent.map(async (one) => (await one).status));
    expect(new Set(statuses)).toEqual(new Set([200]));
    expect((await oneHole())?.version).toBe(2);
    const places: { position: number }[] = await server.source.query(
      'SELECT position FROM hole WHERE piece_id = ?',
      [pieceId],
    );
    expect(new Set(places.map(({ position }) => position)).size).toBe(3);
  });

  it('of two saves at once stores the plan of what is stored', async () => {
    for (let version = 1; version <= 12; version += 1) {
      const thicknessMm = 6 + version;
      const diameterMm = 10 + version;
      await Promise.all([
        call('put', `/jobs/${jobId}/pieces/${pieceId}`, { ...piece, thicknessMm, version }),
        call('put', `/pieces/${pieceId}/holes/${holeId}`, { ...hole, diameterMm, version }),
      ]);
      const plan = await get<Plan>(`/holes/${holeId}/plan`);
      // Without a kit the planner takes a bit of the hole's own size.
      expect([plan.depthMm, plan.setup.bitDiameterMm]).toEqual([thicknessMm, diameterMm]);
    }
  });

  it('is refused with a word where its id is another’s, or looks like it', async () => {
    const other = newId();
    await call('put', `/jobs/${jobId}/pieces/${other}`, { ...piece, version: 0 }).expect(200);
    const elsewhere = await call('put', `/pieces/${other}/holes/${holeId}`, {
      ...hole,
      version: 1,
    });
    expect([elsewhere.status, (elsewhere.body as ProblemBody).detail]).toEqual([
      422,
      `/id: “${holeId}” belongs to another piece; make a new id.`,
    ]);
    const upper = holeId.toUpperCase();
    await call('put', `/pieces/${pieceId}/holes/${upper}`, { ...hole, version: 1 }).expect(422);
    await call('put', `/pieces/${pieceId}/holes/${holeId}%20`, { ...hole, version: 1 }).expect(404);
  });

  it.each<[string, object]>([
    ['a thousandth of a millionth of a millimetre', { diameterMm: 1e-9 }],
    [
      'the year 10000',
      { checks: [{ hazard: 'eyes', answer: 'yes', at: '9999-12-31T23:59:59-12:00' }] },
    ],
    [
      'a thirteenth month',
      { checks: [{ hazard: 'eyes', answer: 'yes', at: '2026-13-01T00:00:00Z' }] },
    ],
    [
      'the 30th of February',
      { checks: [{ hazard: 'eyes', answer: 'yes', at: '2026-02-30T00:00:00Z' }] },
    ],
  ])('of %s is refused', async (_, change) => {
    await call('put', `/pieces/${pieceId}/holes/${holeId}`, {
      ...hole,
      ...change,
      version: 1,
    }).expect(422);
  });
});

describe('a job always opens', () => {
  const shrink = async (): Promise<void> => {
    await call('delete', `/holes/${holeId}`).expect(204);
    await call('put', `/jobs/${jobId}/pieces/${pieceId}`, { ...small, version: 1 }).expect(200);
    await call('post', `/holes/${holeId}/restore`).expect(204);
  };

  it('with a hole that came back to a piece grown too small', async () => {
    await shrink();
    const [shown] = (await pieces())[0]?.holes ?? [];
    expect(shown?.headline).toBeNull();
    expect(shown?.faults[0]?.message).toMatch(/lies outside piece “Pane”/);
    const plan = await get<NotPlanned>(`/holes/${holeId}/plan`);
    expect(plan.faults[0]?.message).toMatch(/lies outside/);
    expect((await get<NotPlanned>(`/holes/${holeId}/risk`)).faults).toHaveLength(1);
    // The piece can still be named, and the hole be put right.
    await call('put', `/jobs/${jobId}/pieces/${pieceId}`, {
      ...small,
      name: 'Cut',
      version: 2,
    }).expect(200);
    await call('put', `/pieces/${pieceId}/holes/${holeId}`, {
      ...hole,
      xMm: 50,
      version: 1,
    }).expect(422);
    await call('put', `/pieces/${pieceId}/holes/${holeId}`, {
      ...hole,
      xMm: 50,
      yMm: 50,
      version: 1,
    }).expect(200);
    expect((await oneHole())?.faults).toEqual([]);
  });

  it('and goes out and comes in again with it, marked', async () => {
    await shrink();
    const file = await get<JobFile>(`/jobs/${jobId}/export`);
    expect(file.pieces[0]?.holes[0]).toMatchObject({
      faults: [expect.stringMatching(/lies outside/)],
    });
    const answer = await call('post', '/import', file).expect(201);
    const again = await get<JobDetail>(`/jobs/${(answer.body as { jobId: string }).jobId}`);
    expect(again.pieces[0]?.holes[0]?.faults).toHaveLength(1);
    expect(again.pieces[0]?.holes[0]).not.toHaveProperty('headline.rpm');
    // The same file without the mark is refused as ever.
    const bare = structuredClone(file) as unknown as {
      pieces: { holes: { faults?: unknown }[] }[];
    };
    delete bare.pieces[0]?.holes[0]?.faults;
    await call('post', '/import', bare).expect(422);
  });

  it('with a piece that came back after its material was taken away', async () => {
    const { version, customMaterials } = await get<JobDetail>(`/jobs/${jobId}`);
    expect(customMaterials).toEqual([]);
    const [granite] = (await get<JobFile>(`/jobs/${jobId}/export`)).customMaterials ?? [];
    expect(granite).toBeUndefined();
    const { MATERIALS } = await import('@nucleon/core/data/materials/materials');
    const own = { ...MATERIALS.granite, id: 'my-stone', name: 'My stone' };
    const path = `/jobs/${jobId}/materials`;
    await call('put', path, { version, customMaterials: [own] }).expect(200);
    const stone = { ...piece, material: 'my-stone', glassTreatment: undefined };
    await call('put', `/jobs/${jobId}/pieces/${pieceId}`, { ...stone, version: 1 }).expect(200);
    await call('delete', `/pieces/${pieceId}`).expect(204);
    await call('put', path, { version: version + 1, customMaterials: [] }).expect(200);
    await call('post', `/pieces/${pieceId}/restore`).expect(204);
    expect((await oneHole())?.faults[0]?.message).toMatch(/Material “my-stone” is not known/);
    await call('post', '/import', await get<object>(`/jobs/${jobId}/export`)).expect(201);
  });

  it('whatever is saved and restored at once', async () => {
    for (let round = 0; round < 8; round++) {
      const before = (await oneHole()) as StoredHole | undefined;
      const [now] = await pieces();
      await call('delete', `/holes/${holeId}`);
      const shape = round % 2 === 0 ? small : piece;
      await Promise.all([
        call('put', `/jobs/${jobId}/pieces/${pieceId}`, { ...shape, version: now?.version }),
        call('post', `/holes/${holeId}/restore`),
        call('put', `/pieces/${pieceId}/holes/${newId()}`, {
          ...hole,
          xMm: 50,
          yMm: 50,
          version: 0,
        }),
      ]);
      const after = await oneHole();
      const isOutside = (await pieces())[0]?.outline.kind === 'rectangle' && round % 2 === 0;
      expect([before?.id, after?.id]).toEqual([holeId, holeId]);
      expect(after?.headline === null).toBe(isOutside && (after?.faults.length ?? 0) > 0);
    }
  });
});
