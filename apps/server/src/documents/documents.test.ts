import type {
  HoleDetail,
  JobDetail,
  Page,
  PieceLayout,
  PlanHeadline,
  StoredBit,
} from '@nucleon/contract/wire';
import type { JobFile } from '@nucleon/core/documents/jobFile';
import { makePlan } from '@nucleon/core/words/plan/makePlan';
import type { Plan } from '@nucleon/core/documents/plan';
import request from 'supertest';
import { AbstractLogger } from 'typeorm';
import { v7 as newId } from 'uuid';
import { openTestServer, type TestServer } from '../testServer';
import { KINDS } from './documentKinds';
import { insertAll } from './repository';

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
const hole = { xMm: 150, yMm: 150, diameterMm: 10, depth: { kind: 'through' } };
const bit = { name: 'Own', family: 'plated-cup-saw', diameterMm: 10 };
const holePath = (id = holeId): string => `/pieces/${pieceId}/holes/${id}`;
const piecePath = (): string => `/jobs/${jobId}/pieces/${pieceId}`;

beforeEach(async () => {
  [jobId, pieceId, holeId] = [newId(), newId(), newId()];
  await call('put', `/jobs/${jobId}`, { name: 'Job', version: 0 }).expect(200);
  await call('put', piecePath(), { ...piece, version: 0 }).expect(200);
  await call('put', holePath(), { ...hole, version: 0 }).expect(200);
});

/** The plan as the core makes it of what the server has now. */
async function planNow(): Promise<Plan> {
  const { piece: now, hole: asked } = await get<HoleDetail>(`/holes/${holeId}`);
  const { items } = await get<Page<StoredBit>>('/bits?pageSize=200');
  const outcome = makePlan({
    job: {},
    piece: now,
    hole: asked,
    kit: { bits: items, machines: [] },
    materials: [],
    habits: {},
  });
  if (outcome.kind === 'faulty') throw new Error(JSON.stringify(outcome.faults));
  return outcome.plan;
}

const plan = (): Promise<Plan> => get<Plan>(`/holes/${holeId}/plan`);

describe('a stored plan', () => {
  it('is of what is stored, in 60 overlapping saves of a hole and its piece', async () => {
    const stale: number[] = [];
    for (let version = 1; version <= 60; version++) {
      const saves = [
        call('put', piecePath(), { ...piece, thicknessMm: 6 + version / 10, version }),
        call('put', holePath(), { ...hole, diameterMm: 10 + version / 10, version }),
        call('get', `/holes/${holeId}/plan`),
      ];
      await Promise.all(version % 2 ? saves : saves.reverse());
      const [read, made] = [await plan(), await planNow()];
      if (JSON.stringify(read) !== JSON.stringify(made)) stale.push(version);
    }
    expect(stale).toEqual([]);
  });

  it('is of the kit as it is, however it is read while a bit changes', async () => {
    const id = newId();
    const stale: number[] = [];
    for (let version = 0; version < 40; version++) {
      const sharpness = 0.2 + version / 60;
      await Promise.all([
        plan(),
        call('put', `/bits/${id}`, { ...bit, sharpness, version }),
        plan(),
        get(`/jobs/${jobId}`),
        plan(),
      ]);
      const read = await plan();
      if (read.setup.bitId !== id || Math.abs(read.setup.sharpness - sharpness) > 1e-9)
        stale.push(version);
    }
    expect(stale).toEqual([]);
    await call('delete', `/bits/${id}`).expect(204);
    expect((await plan()).setup.bitId).toBeNull();
  });

  it('is made anew when the job’s answers change, and not when nothing did', async () => {
    const made = async (): Promise<unknown> =>
      server.source.query('SELECT made_from FROM hole_plan WHERE hole_id = ?', [holeId]);
    const before = await made();
    await plan();
    await call('put', holePath(), { ...hole, version: 1 }).expect(200);
    expect(await made()).toEqual(before);
    const checks = [{ hazard: 'eyes', answer: 'yes', at: '2026-05-02T09:00:00Z' }];
    await call('put', `/jobs/${jobId}`, { name: 'Job', checks, version: 1 }).expect(200);
    await plan();
    expect(await made()).not.toEqual(before);
  });

  it('says what changed when a later model made it anew, until the hole itself changes', async () => {
    const older = { ...(await plan()), modelVersion: '1.0.0', feedForceN: 99 };
    await server.source.query(
      "UPDATE hole_plan SET plan = ?, made_from = REGEXP_REPLACE(made_from, 'model .*', 'model 1.0.0, data 1') WHERE hole_id = ?",
      [JSON.stringify(older), holeId],
    );
    const headline = async (): Promise<PlanHeadline | null | undefined> =>
      (await get<JobDetail>(`/jobs/${jobId}`)).pieces[0]?.holes[0]?.headline;
    const anew = await headline();
    expect(anew?.changed).toEqual({
      fromModel: '1.0.0',
      changes: [{ figure: 'force', was: 99, is: anew?.feedForceN }],
    });
    expect((await headline())?.changed).toEqual(anew?.changed);
    await call('put', holePath(), { ...hole, xMm: 120, version: 1 }).expect(200);
    expect((await headline())?.changed).toBeUndefined();
  });
});

/** Counts what is asked of the database. */
class Counter extends AbstractLogger {
  readonly asked: string[] = [];
  override logQuery(query: string): void {
    if (!/^(SET|START|COMMIT)/i.test(query)) this.asked.push(query);
  }
  protected writeLog(): void {
    // Only queries are of interest.
  }
}

it('saves a hole in at most five questions to the database', async () => {
  await plan();
  const counter = new Counter();
  server.source.setOptions({ logging: ['query'], logger: counter });
  await call('put', holePath(), { ...hole, xMm: 100, version: 1 }).expect(200);
  await call('put', holePath(newId()), { ...hole, xMm: 200, version: 0 }).expect(200);
  server.source.setOptions({ logging: false });
  expect(counter.asked.length / 2).toBeLessThanOrEqual(5);
});

it('writes documents that together are longer than one statement may be', async () => {
  const rows = Array.from({ length: 40 }, () => ({
    id: newId(),
    fileId: null,
    parentId: pieceId,
    position: 9,
    document: { ...hole, depth: { kind: 'through' as const }, own: 'x'.repeat(1024 * 1024) },
  }));
  await server.source.transaction((manager) => insertAll(manager, 'hole', rows, new Date()));
  expect(await server.source.manager.countBy(KINDS.hole.entity, { position: 9 })).toBe(40);
});

describe('many at once', () => {
  const MANY = 10_000;
  const grid = (at: number) => ({ xMm: 30 + (at % 100) * 9, yMm: 30 + Math.floor(at / 100) * 9 });
  const plate = { ...piece, outline: { kind: 'rectangle', widthMm: 960, heightMm: 960 } };

  it('10,000 holes are laid out in one go, or none', async () => {
    await call('put', piecePath(), { ...plate, version: 1 }).expect(200);
    const holes = Array.from({ length: MANY - 1 }, (_, at) => ({
      ...hole,
      ...grid(at),
      diameterMm: 4,
      id: newId(),
      version: 0,
    }));
    const off = holes.map((one, at) => (at === MANY - 2 ? { ...one, xMm: 2000 } : one));
    await call('put', `/pieces/${pieceId}/layout`, { holes: off }).expect(422);
    expect((await get<PieceLayout>(`/pieces/${pieceId}/layout`)).holes).toHaveLength(1);
    await call('put', `/pieces/${pieceId}/layout`, { holes }).expect(200);
    const now = await get<PieceLayout>(`/pieces/${pieceId}/layout`);
    expect(now.holes).toHaveLength(MANY);
    // All of them moved, and saved again.
    const moved = now.holes.map(({ pieceId: _piece, updatedAt: _at, ...one }) => ({
      ...one,
      xMm: one.xMm + 1,
    }));
    await call('put', `/pieces/${pieceId}/layout`, { holes: moved }).expect(200);
    // A list is answered before all of them are planned, and says which wait.
    const [shown] = (await get<JobDetail>(`/jobs/${jobId}`)).pieces;
    expect(shown?.holes).toHaveLength(MANY);
    expect(shown?.holes.some(({ headline }) => headline !== null)).toBe(true);
  }, 60_000);

  it('and come in with a file', async () => {
    const holes = Array.from({ length: MANY }, (_, at) => ({
      ...hole,
      ...grid(at),
      diameterMm: 4,
      id: `h${at}`,
    }));
    const file = {
      format: 'nucleon-job',
      version: 1,
      job: { id: 'j', name: 'Many' },
      pieces: [{ ...plate, id: 'p', holes }],
    };
    const { body } = await call('post', '/import', file).expect(201);
    const { jobId: id } = body as { jobId: string };
    const back = await get<JobFile>(`/jobs/${id}/export`);
    expect(back.pieces[0]?.holes).toHaveLength(MANY);
  }, 60_000);
});

it('keeps what it does not know of a hole, and every field it does', async () => {
  const asked = {
    ...hole,
    label: 'Tap',
    face: 'top',
    fall: { oneIn: 60, lowSide: 'far' },
    purpose: { kind: 'pipe', outsideMm: 8 },
    mark: { kind: 'dot' },
    setup: { pace: 'gentle', ownSetting: 7 },
    fromElsewhere: { a: [1, null] },
  };
  const { body } = await call('put', holePath(), { ...asked, version: 1 }).expect(200);
  expect(body).toMatchObject(asked);
  const file = await get<JobFile>(`/jobs/${jobId}/export`);
  expect(file.pieces[0]?.holes[0]).toEqual({ ...asked, id: holeId });
});
