import { join } from 'node:path';
import { v7 as newId } from 'uuid';
import { IsNull } from 'typeorm';
import { THE_WORKSHOP_ID } from '../database/workshop';
import { KINDS } from '../documents/documentKinds';
import { find, findOne, insertAll, replace } from '../documents/repository';
import { openTestServer, type TestServer } from '../testServer';
import { loadDemo, type DemoMode } from './loadDemo';

let server: TestServer;
beforeEach(async () => {
  server = await openTestServer();
});
afterEach(async () => {
  await server.close();
});

const load = (mode: DemoMode): Promise<void> =>
  loadDemo(
    server.source,
    mode,
    join(__dirname, '../../../../demo'),
    () => newId(),
    () => new Date(),
  );
const jobNames = async (): Promise<string[]> => {
  const rows = await find(server.source.manager, 'job', {}, { updatedAt: 'DESC' });
  return rows.map(({ document }) => document.job.name);
};

it('fills an empty database, first file on top, and only once', async () => {
  await load('none');
  expect(await jobNames()).toEqual([]);
  await load('load');
  expect(await jobNames()).toEqual([
    'Clock court: dial house',
    'Clock court: garden',
    'Clock court: porch',
    'Clock court: yard',
  ]);
  await load('load');
  expect(await jobNames()).toHaveLength(4);
});

it('bears two servers loading at the same moment', async () => {
  await Promise.all([load('load'), load('load')]);
  expect(await jobNames()).toHaveLength(4);
});

it('puts the demo back as it was and leaves own jobs alone', async () => {
  await load('load');
  const { manager } = server.source;
  const now = new Date();
  const [garden] = await find(manager, 'job', { name: 'Clock court: garden' });
  const [bit] = await find(manager, 'bit', { name: 'Cup saw 22' });
  if (!garden || !bit) throw new Error('no demo');
  await replace(manager, 'job', [{ ...garden, document: { job: { name: 'Changed' } } }], now);
  const worn = { ...bit, document: { ...bit.document, sharpness: 0.1 }, deletedAt: now };
  await replace(manager, 'bit', [worn], now);
  const own = { id: newId(), fileId: null, parentId: THE_WORKSHOP_ID };
  await insertAll(manager, 'job', [{ ...own, document: { job: { name: 'My own' } } }], now);
  await load('reset');
  expect((await jobNames()).sort()).toEqual([
    'Clock court: dial house',
    'Clock court: garden',
    'Clock court: porch',
    'Clock court: yard',
    'My own',
  ]);
  const back = await findOne(manager, 'bit', { id: bit.id, deletedAt: IsNull() });
  expect(back?.document).toEqual(bit.document);
  expect(await manager.count(KINDS.hole.entity)).toBe(30);
});
