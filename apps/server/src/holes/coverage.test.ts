import type { AnswersTaken, Coverage, HoleDetail } from '@nucleon/contract/wire';
import type { Plan } from '@nucleon/core/documents/plan';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { openTestServer, type TestServer } from '../testServer';

let server: TestServer;
let jobId: string;
beforeAll(async () => {
  server = await openTestServer();
});
afterAll(async () => {
  await server.close();
});

const call = (method: 'get' | 'put' | 'post', path: string, body?: object) =>
  request(server.app)[method](`/api/v1${path}`).send(body);
const get = async <T>(path: string): Promise<T> => (await call('get', path).expect(200)).body as T;

const pane = {
  form: 'sheet',
  material: 'float-glass',
  thicknessMm: 6,
  glassTreatment: 'unknown',
  outline: { kind: 'rectangle', widthMm: 300, heightMm: 300 },
};
const hole = { xMm: 150, yMm: 150, diameterMm: 25, depth: { kind: 'through' } };

/** A pane with one hole. */
async function newPane(name: string, more: object = {}): Promise<{ piece: string; hole: string }> {
  const ids = { piece: newId(), hole: newId() };
  const piece = { ...pane, name, ...more, version: 0 };
  await call('put', `/jobs/${jobId}/pieces/${ids.piece}`, piece).expect(200);
  await call('put', `/pieces/${ids.piece}/holes/${ids.hole}`, { ...hole, version: 0 }).expect(200);
  return ids;
}

/** Answers a gate of the hole, where it is answered. */
async function answer(holeId: string, hazard: string, code: string): Promise<void> {
  const detail = await get<HoleDetail>(`/holes/${holeId}`);
  const plan = await get<Plan>(`/holes/${holeId}/plan`);
  const gate = plan.gates.find((one) => one.code === hazard);
  const check = { hazard, answer: code, at: new Date().toISOString(), of: gate?.of };
  const [path, of] =
    gate?.scope === 'piece'
      ? [`/jobs/${jobId}/pieces/${detail.piece.id}`, detail.piece]
      : [`/pieces/${detail.piece.id}/holes/${holeId}`, detail.hole];
  await call('put', path, { ...of, checks: [...(of.checks ?? []), check] }).expect(200);
}

const openAt = async (holeId: string): Promise<string[]> =>
  (await get<Plan>(`/holes/${holeId}/plan`)).gates.map(({ code }) => code);

beforeEach(async () => {
  jobId = newId();
  await call('put', `/jobs/${jobId}`, { name: 'Panes', version: 0 }).expect(200);
});

it('offers a maker’s word for all panes of the make, and says whom it leaves out', async () => {
  const [first, second, thick] = [
    await newPane('One'),
    await newPane('Two'),
    await newPane('Thick', { thicknessMm: 8 }),
  ];
  await answer(first.hole, 'unknown-treatment', 'maker-annealed');
  const { there } = await get<Coverage>(`/holes/${first.hole}/coverage`);
  expect(there).toEqual([
    {
      hazard: 'unknown-treatment',
      title: 'Is this glass tempered?',
      scope: 'piece',
      answer: expect.stringMatching(/./) as string,
      covered: [{ holeId: second.hole, holeName: null, pieceId: second.piece, pieceName: 'Two' }],
      exceptions: [expect.objectContaining({ pieceName: 'Thick', why: 'unlike-piece' })],
    },
  ]);
  const { here } = await get<Coverage>(`/holes/${second.hole}/coverage`);
  expect(here).toMatchObject([
    {
      hazard: 'unknown-treatment',
      check: { answer: 'maker-annealed' },
      from: { pieceName: 'One' },
    },
  ]);
  expect((await get<Coverage>(`/holes/${thick.hole}/coverage`)).here).toEqual([]);
});

it('takes answers to what they cover and nothing else, twice as once, and back again', async () => {
  const [first, second, thick] = [
    await newPane('One'),
    await newPane('Two'),
    await newPane('Thick', { thicknessMm: 8 }),
  ];
  await answer(first.hole, 'unknown-treatment', 'maker-annealed');
  const asked = [second, thick].map((one) => ({
    hazard: 'unknown-treatment',
    holeId: one.hole,
  }));
  const post = async (body: object): Promise<AnswersTaken> =>
    (await call('post', `/holes/${first.hole}/coverage`, body).expect(200)).body as AnswersTaken;
  const { taken } = await post({ take: asked });
  expect(taken).toEqual(asked.slice(0, 1));
  expect(await openAt(second.hole)).not.toContain('unknown-treatment');
  expect(await openAt(thick.hole)).toContain('unknown-treatment');
  const { version } = (await get<HoleDetail>(`/holes/${second.hole}`)).piece;
  expect(await post({ take: asked })).toEqual({ taken: [] });
  expect((await get<HoleDetail>(`/holes/${second.hole}`)).piece.version).toBe(version);
  await post({ takeBack: taken });
  expect(await openAt(second.hole)).toContain('unknown-treatment');
});

it('takes back only what was taken, not an answer of its own', async () => {
  const [first, second] = [await newPane('One'), await newPane('Two')];
  await answer(first.hole, 'unknown-treatment', 'maker-annealed');
  await answer(second.hole, 'unknown-treatment', 'polariser-clear');
  await call('post', `/holes/${first.hole}/coverage`, {
    takeBack: [{ hazard: 'unknown-treatment', holeId: second.hole }],
  }).expect(200);
  expect(await openAt(second.hole)).not.toContain('unknown-treatment');
});

it('refuses what is no list of holes, and a hole that is not there', async () => {
  const { hole: holeId } = await newPane('One');
  const { body } = await call('post', `/holes/${holeId}/coverage`, { take: 'all' }).expect(422);
  expect((body as { faults: { pointer: string }[] }).faults[0]?.pointer).toBe('/take');
  await call('get', `/holes/${newId()}/coverage`).expect(404);
});
