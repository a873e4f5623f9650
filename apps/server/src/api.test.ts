import { caseIn } from '@nucleon/core/setup/jobFixtures';
import { readFileSync } from 'node:fs';
import { readJobFile } from '@nucleon/contract/readJobFile';
import type {
  HoleDetail,
  JobDetail,
  JobSummary,
  Page,
  ProblemBody,
  StoredBit,
} from '@nucleon/contract/wire';
import { MATERIALS } from '@nucleon/core/data/materials/materials';
import { makePlan } from '@nucleon/core/words/plan/makePlan';
import { rememberingBend } from '@nucleon/core/physics/plate/bender';
import { METRIC } from '@nucleon/core/data/unitSystem';
import type { Plan } from '@nucleon/core/documents/plan';
import type { JobFile } from '@nucleon/core/documents/jobFile';
import request, { type Response } from 'supertest';
import { v7 as newId } from 'uuid';
import { openTestServer, type TestServer } from './testServer';

let server: TestServer;
beforeEach(async () => {
  server = await openTestServer();
});
afterEach(async () => {
  await server.close();
});

const demo = (name: string): JobFile => {
  const read = readJobFile(readFileSync(`${__dirname}/../../../demo/${name}.json`, 'utf8'));
  if (read.kind === 'faulty') throw new Error(JSON.stringify(read.faults));
  return read.value;
};
const api = (path: string): string => `/api/v1${path}`;
const get = <T>(path: string): Promise<T> =>
  request(server.app)
    .get(api(path))
    .expect(200)
    .then((r: Response) => r.body as T);
const put = (path: string, body: object): request.Test =>
  request(server.app).put(api(path)).send(body);
const problem = (response: Response): ProblemBody => {
  expect(response.headers['content-type']).toContain('application/problem+json');
  expect(response.text).not.toMatch(/\bat .*\.ts:\d/);
  return JSON.parse(response.text) as ProblemBody;
};

async function imported(name = '1-dial-house'): Promise<{ file: JobFile; jobId: string }> {
  const file = demo(name);
  const response = await request(server.app).post(api('/import')).send(file).expect(201);
  return { file, jobId: (response.body as { jobId: string }).jobId };
}

async function dialHole(jobId: string): Promise<HoleDetail & { plan: Plan }> {
  const job = await get<JobDetail>(`/jobs/${jobId}`);
  const dial = job.pieces.find((piece) => piece.name === 'Glass dial');
  const path = `/holes/${dial?.holes[0]?.id ?? ''}`;
  return { ...(await get<HoleDetail>(path)), plan: await get<Plan>(`${path}/plan`) };
}

const sheet = {
  name: 'Pane',
  form: 'sheet',
  material: 'float-glass',
  thicknessMm: 6,
  glassTreatment: 'annealed',
  outline: { kind: 'rectangle', widthMm: 200, heightMm: 200 },
};
const hole = { xMm: 100, yMm: 100, diameterMm: 10, depth: { kind: 'through' } };

describe('job files over HTTP', () => {
  it.each(['1-dial-house', '2-garden', '3-porch'])('gives %s back as it came', async (name) => {
    const { file, jobId } = await imported(name);
    const back = await get<JobFile>(`/jobs/${jobId}/export`);
    expect(back.job).toEqual(file.job);
    expect(back.pieces).toEqual(file.pieces);
    const byId = (a: { id: string }, b: { id: string }): number => a.id.localeCompare(b.id);
    expect([...(back.kit?.bits ?? [])].sort(byId)).toEqual([...(file.kit?.bits ?? [])].sort(byId));
  });

  it('keeps fields it does not know, and ids that are not its own', async () => {
    const file = structuredClone(demo('1-dial-house')) as any;
    file.pieces = [
      {
        ...file.pieces[0],
        id: 'dial',
        maker: 'old works',
        holes: [{ ...file.pieces[0].holes[0], id: 'arbor', chalk: { colour: 'red' } }],
      },
    ];
    file.job.id = 'court';
    file.job.client = 'none';
    file.kit = {
      bits: [{ ...file.kit.bits[1], id: 'cup22', batch: 'B7' }],
      machines: [{ ...file.kit.machines[0], id: 'press1', clutchTorqueNm: null }],
      guides: [{ id: 'g' }],
    };
    file.pieces[0].holes[0].setup = { bit: 'cup22', machine: 'press1' };
    file.weather = 'wet';
    // Runs are kept once, wherever else their job is opened: see runs.test.ts.
    delete file.log;
    const { body } = await request(server.app).post(api('/import')).send(file).expect(201);
    const back = await get<JobFile>(`/jobs/${(body as { jobId: string }).jobId}/export`);
    expect(back).toEqual(file);
  });

  it('refuses two holes of one id, wherever they stand', async () => {
    const { file } = await imported();
    const [first, second] = file.pieces;
    const [one] = first?.holes ?? [];
    const pieces = [first, second].map((piece) => ({
      ...piece,
      id: `piece of ${piece?.name ?? ''}`,
      holes: [{ ...one, id: 'middle', xMm: 100, yMm: 100, diameterMm: 5, setup: undefined }],
    }));
    const sent = { ...file, log: undefined, pieces };
    const refused = problem(await request(server.app).post(api('/import')).send(sent).expect(422));
    expect(refused.faults).toEqual([
      {
        pointer: '/pieces/1/holes/0/id',
        message:
          'Hole “middle” is in another piece too; each hole of a file needs an id of its own.',
      },
    ]);
  });

  it('makes a second job of the same file, with the kit it already has', async () => {
    const first = await imported();
    const second = await imported();
    expect(second.jobId).not.toBe(first.jobId);
    const bits = await get<Page<StoredBit>>('/bits');
    expect(bits.total).toBe(first.file.kit?.bits?.length);
    expect((await get<Page<JobSummary>>('/jobs')).total).toBe(2);
  });

  it('stores the plan the core makes of the exported file', async () => {
    await put('/house', { version: 0, fromLog: 'leave' }).expect(200);
    const { file, jobId } = await imported();
    const { plan, hole: stored } = await dialHole(jobId);
    const atOnce = makePlan(caseIn(file, stored.id));
    expect(atOnce.kind === 'planned' && atOnce.plan).toEqual(plan);
    const bent = makePlan(caseIn(file, stored.id), METRIC, rememberingBend());
    const asked = await get(`/holes/${stored.id}/plan?bent=true`);
    expect(bent.kind === 'planned' && bent.plan).toEqual(asked);
    // Once worked out it is stored.
    expect(await get(`/holes/${stored.id}/plan`)).toEqual(asked);
  });

  it('refuses a faulty file whole', async () => {
    const file = structuredClone(demo('1-dial-house')) as any;
    file.pieces[1].thicknessMm = -1;
    const response = await request(server.app).post(api('/import')).send(file).expect(422);
    expect(problem(response).faults?.[0]?.pointer).toBe('/pieces/1/thicknessMm');
    expect((await get<Page<JobSummary>>('/jobs')).total).toBe(0);
    expect((await get<Page<StoredBit>>('/bits')).total).toBe(0);
  });
});

describe('jobs, pieces and holes', () => {
  it('makes a hole from nothing and plans it', async () => {
    const [jobId, pieceId, holeId] = [newId(), newId(), newId()];
    await put(`/jobs/${jobId}`, { name: 'New', version: 0 }).expect(200);
    await put(`/jobs/${jobId}/pieces/${pieceId}`, { ...sheet, version: 0 }).expect(200);
    await put(`/pieces/${pieceId}/holes/${holeId}`, { ...hole, version: 0 }).expect(200);
    const plan = await get<Plan>(`/holes/${holeId}/plan`);
    expect(plan.setup.assumed).toContain('bit');
    const [summary] = (await get<Page<JobSummary>>('/jobs')).items;
    expect(summary).toMatchObject({ name: 'New', pieceCount: 1, holeCount: 1, stoppedCount: 1 });
    expect(plan.gates[0]?.code).toBe('hammer');
  });

  it('plans a hole anew when its piece changes, and counts its stops', async () => {
    const { jobId } = await imported();
    const before = await dialHole(jobId);
    const { id, jobId: _job, updatedAt: _at, ...piece } = before.piece;
    await put(`/jobs/${jobId}/pieces/${id}`, {
      ...piece,
      thicknessMm: 10,
      thicknessReadingsMm: undefined,
      glassTreatment: 'tempered',
    }).expect(200);
    const after = await dialHole(jobId);
    expect(after.plan.depthMm).toBe(10);
    expect(after.plan.gates[0]?.code).toBe('strengthened-glass');
    expect((await get<Page<JobSummary>>('/jobs')).items[0]?.stoppedCount).toBe(3);
  });

  it('plans anew after its bit changes, and still when the bit is retired', async () => {
    const { jobId } = await imported();
    const before = await dialHole(jobId);
    const bit = (await get<Page<StoredBit>>('/bits')).items.find(
      (one) => one.id === before.hole.setup?.bit,
    );
    const { id, updatedAt: _at, ...fields } = bit ?? ({} as StoredBit);
    await put(`/bits/${id}`, { ...fields, sharpness: 0.4 }).expect(200);
    const duller = await dialHole(jobId);
    expect(duller.plan.rateMmPerS).toBeLessThan(before.plan.rateMmPerS);
    await request(server.app)
      .delete(api(`/bits/${id}`))
      .expect(204);
    expect((await dialHole(jobId)).plan.setup.bitId).toBe(id);
  });

  it('searches jobs by name and by piece, and pages', async () => {
    await imported('1-dial-house');
    await imported('2-garden');
    expect((await get<Page<JobSummary>>('/jobs?search=garden')).total).toBe(1);
    expect((await get<Page<JobSummary>>('/jobs?search=sundial')).items[0]?.name).toContain(
      'garden',
    );
    expect((await get<Page<JobSummary>>('/jobs?search=100%25')).total).toBe(0);
    expect((await get<Page<JobSummary>>('/jobs?pageSize=1&page=2')).items).toHaveLength(1);
    problem(await request(server.app).get(api('/jobs?page=-1')).expect(422));
  });

  it('brings back what was deleted', async () => {
    const { jobId } = await imported();
    const { hole: stored } = await dialHole(jobId);
    for (const path of [`/holes/${stored.id}`, `/pieces/${stored.pieceId}`, `/jobs/${jobId}`]) {
      await request(server.app).delete(api(path)).expect(204);
    }
    await request(server.app)
      .get(api(`/jobs/${jobId}`))
      .expect(404);
    for (const path of [`/jobs/${jobId}`, `/pieces/${stored.pieceId}`, `/holes/${stored.id}`]) {
      await request(server.app)
        .post(api(`${path}/restore`))
        .expect(204);
    }
    expect((await dialHole(jobId)).hole.id).toBe(stored.id);
  });
});

describe('two people at one hole', () => {
  it('gives the second both versions and changes nothing', async () => {
    const { jobId } = await imported();
    const { hole: read } = await dialHole(jobId);
    const { id, pieceId, updatedAt: _at, ...fields } = read;
    await put(`/pieces/${pieceId}/holes/${id}`, { ...fields, label: 'First' }).expect(200);
    const refused = problem(
      await put(`/pieces/${pieceId}/holes/${id}`, { ...fields, label: 'Second' }).expect(409),
    );
    expect(refused).toMatchObject({
      code: 'conflict',
      current: { label: 'First', version: fields.version + 1 },
    });
    expect((await dialHole(jobId)).hole.label).toBe('First');
  });

  it('takes the same change twice as one', async () => {
    const { jobId } = await imported();
    const { hole: read } = await dialHole(jobId);
    const { id, pieceId, updatedAt: _at, ...fields } = read;
    const once = await put(`/pieces/${pieceId}/holes/${id}`, { ...fields, label: 'Again' }).expect(
      200,
    );
    const twice = await put(`/pieces/${pieceId}/holes/${id}`, { ...fields, label: 'Again' }).expect(
      200,
    );
    expect(twice.body).toEqual(once.body);
  });

  it('lets just one of many at once through', async () => {
    const { jobId } = await imported();
    const { hole: read } = await dialHole(jobId);
    const { id, pieceId, updatedAt: _at, ...fields } = read;
    const statuses = await Promise.all(
      Array.from({ length: 8 }, (_, index) =>
        put(`/pieces/${pieceId}/holes/${id}`, { ...fields, label: `Tab ${index}` }).then(
          (r) => r.status,
        ),
      ),
    );
    expect(statuses.filter((status) => status === 200)).toHaveLength(1);
    expect(statuses.filter((status) => status === 409)).toHaveLength(7);
  });
});

describe('bad input changes nothing', () => {
  it.each<[string, (r: request.Test) => request.Test, number, string]>([
    ['over 1 MB', (r) => r.send({ name: 'x'.repeat(1_100_000), version: 0 }), 413, 'too-large'],
    [
      'not JSON',
      (r) => r.set('content-type', 'application/json').send('{"name": '),
      400,
      'bad-json',
    ],
    [
      'another media type',
      (r) => r.set('content-type', 'text/plain').send('name'),
      415,
      'wrong-media-type',
    ],
    ['a list', (r) => r.send([]), 422, 'faulty'],
    ['wrong types', (r) => r.send({ name: 7, version: 'one' }), 422, 'faulty'],
    ['no version', (r) => r.send({ name: 'A' }), 422, 'faulty'],
    ['an empty name', (r) => r.send({ name: '', version: 0 }), 422, 'faulty'],
  ])('%s', async (_, send, status, code) => {
    const response = await send(request(server.app).put(api(`/jobs/${newId()}`))).expect(status);
    expect(problem(response).code).toBe(code);
    expect((await get<Page<JobSummary>>('/jobs')).total).toBe(0);
  });

  it('refuses a piece that would leave its hole outside, and a rim wider than its bit', async () => {
    const { jobId } = await imported();
    const { piece: read } = await dialHole(jobId);
    const { id, jobId: _job, updatedAt: _at, ...piece } = read;
    const refused = problem(
      await put(`/jobs/${jobId}/pieces/${id}`, {
        ...piece,
        outline: { kind: 'circle', diameterMm: 100 },
      }).expect(422),
    );
    expect(refused.detail).toMatch(/lies outside piece “Glass dial”/);
    expect((await dialHole(jobId)).piece.outline).toEqual(read.outline);
    problem(
      await put(`/bits/${newId()}`, {
        name: 'B',
        family: 'plated-cup-saw',
        diameterMm: 4,
        rimWidthMm: 3,
        version: 0,
      }).expect(422),
    );
  });

  it('refuses a hole of a piece, or a piece of a job, that is not there', async () => {
    expect(
      problem(await put(`/pieces/${newId()}/holes/${newId()}`, { ...hole, version: 0 }).expect(404))
        .code,
    ).toBe('not-found');
    expect(
      problem(await put(`/jobs/${newId()}/pieces/${newId()}`, { ...sheet, version: 0 }).expect(404))
        .code,
    ).toBe('not-found');
    expect(problem(await request(server.app).get('/api/v1/nowhere').expect(404)).code).toBe(
      'not-found',
    );
    expect(problem(await request(server.app).get('/api/v1/jobs/%E0%A4%A').expect(400)).code).toBe(
      'bad-json',
    );
  });

  it('answers 503 when the database is gone, without a stack trace', async () => {
    await server.source.destroy();
    const response = await request(server.app).get(api('/jobs')).expect(503);
    expect(problem(response).code).toBe('database-unavailable');
    await server.source.initialize();
  });
});

describe('knowing the piece', () => {
  it('keeps readings, damage, what it may be and the answers, through a file and back', async () => {
    const { jobId, file } = await imported();
    const out = await get<JobFile>(`/jobs/${jobId}/export`);
    expect(out.pieces).toEqual(file.pieces);
    const pebble = (await get<JobDetail>(`/jobs/${jobId}`)).pieces.find((one) => one.knowing);
    expect(pebble?.knowing?.answers.scratch).toBe('steel-file');
    expect(pebble?.couldBe?.length).toBeGreaterThan(2);
  });

  it('puts a practice piece first', async () => {
    const { jobId } = await imported();
    await put(`/jobs/${jobId}/pieces/${newId()}`, {
      ...sheet,
      name: 'Try-out',
      practice: true,
      version: 0,
    }).expect(200);
    const names = (await get<JobDetail>(`/jobs/${jobId}`)).pieces.map((piece) => piece.name);
    expect(names[0]).toBe('Try-out');
  });

  it('settles a gate of every hole by an answer on the job', async () => {
    const { jobId } = await imported('3-porch');
    const before = await get<JobDetail>(`/jobs/${jobId}`);
    const count = (job: JobDetail): number =>
      job.pieces
        .flatMap((piece) => piece.holes)
        .reduce((n, one) => n + (one.headline?.toConfirm ?? 0), 0);
    await put(`/jobs/${jobId}`, {
      name: before.name,
      version: before.version,
      checks: [{ hazard: 'eyes', answer: 'eyes-covered', at: '2026-05-02T09:00:00Z' }],
    }).expect(200);
    expect(count(await get<JobDetail>(`/jobs/${jobId}`))).toBe(count(before) - 7);
  });
});

describe('own materials', () => {
  const slate = { ...MATERIALS.slate, id: 'own-slate', name: 'Own slate' };
  it('are stored with the job, planned with, exported, and guarded by version', async () => {
    await put('/house', { version: 0, fromLog: 'leave' }).expect(200);
    const { jobId } = await imported('2-garden');
    const job = await get<JobDetail>(`/jobs/${jobId}`);
    const path = `/jobs/${jobId}/materials`;
    const body = {
      version: job.version,
      customMaterials: [{ ...slate, specificEnergyJPerMm3: 3.6 }],
    };
    await put(path, body).expect(200);
    expect(problem(await put(path, { ...body, customMaterials: [] }).expect(409)).code).toBe(
      'conflict',
    );
    const plate = job.pieces[0];
    const hole = plate?.holes[0];
    const before = await get<Plan>(`/holes/${hole?.id ?? ''}/plan`);
    const { id, jobId: _job, updatedAt: _at, holes: _holes, ...fields } = plate ?? ({} as never);
    await put(`/jobs/${jobId}/pieces/${id}`, { ...fields, material: 'own-slate' }).expect(200);
    const after = await get<Plan>(`/holes/${hole?.id ?? ''}/plan`);
    expect(after.rateMmPerS / before.rateMmPerS).toBeCloseTo(0.5);
    expect((await get<JobFile>(`/jobs/${jobId}/export`)).customMaterials).toHaveLength(1);
    const now = await get<JobDetail>(`/jobs/${jobId}`);
    const gone = problem(
      await put(path, { version: now.version, customMaterials: [] }).expect(422),
    );
    expect(gone.detail).toMatch(/“own-slate” is not known/);
    expect((await get<JobDetail>(`/jobs/${jobId}`)).customMaterials).toHaveLength(1);
  });

  it('are refused when their windows do not rise', async () => {
    const { jobId } = await imported('2-garden');
    const { version } = await get<JobDetail>(`/jobs/${jobId}`);
    const pressureMpa = { ...slate.pressureMpa, best: 0.1 };
    const refused = problem(
      await put(`/jobs/${jobId}/materials`, {
        version,
        customMaterials: [{ ...slate, pressureMpa }],
      }).expect(422),
    );
    expect(refused.detail).toMatch(/best 0\.1 MPa is under low 0\.2 MPa; they must rise/);
    problem(
      await put(`/jobs/${newId()}/materials`, { version: 1, customMaterials: [] }).expect(404),
    );
  });
});

it('has a schema that its entities agree with', async () => {
  for (const table of ['job', 'piece', 'hole', 'hole_plan', 'bit', 'machine']) {
    const rows: { Field: string }[] = await server.source.query(`SHOW COLUMNS FROM ${table}`);
    const columns = server.source.getMetadata(table).columns.map((column) => column.databaseName);
    expect(rows.map((row) => row.Field).sort()).toEqual(columns.sort());
  }
});
