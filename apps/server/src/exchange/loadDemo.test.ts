import { join } from 'node:path';
import { v7 as newId } from 'uuid';
import { holeEntity } from '../holes/holeEntity';
import { jobEntity } from '../jobs/jobEntity';
import { bitEntity } from '../kit/bitEntity';
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
  const rows = await server.source.manager.find(jobEntity, { order: { updatedAt: 'DESC' } });
  return rows.map((row) => row.name);
};

it('fills an empty database, first file on top, and only once', async () => {
  await load('none');
  expect(await jobNames()).toEqual([]);
  await load('load');
  expect(await jobNames()).toEqual([
    'Clock court: dial house',
    'Clock court: garden',
    'Clock court: porch',
  ]);
  await load('load');
  expect(await jobNames()).toHaveLength(3);
});

it('bears two servers loading at the same moment', async () => {
  await Promise.all([load('load'), load('load')]);
  expect(await jobNames()).toHaveLength(3);
});

it('puts the demo back as it was and leaves own jobs alone', async () => {
  await load('load');
  const { manager } = server.source;
  await manager.update(jobEntity, { name: 'Clock court: garden' }, { name: 'Changed' });
  const [bit] = await manager.find(bitEntity, { where: { name: 'Cup saw 22' } });
  await manager.update(bitEntity, { id: bit?.id ?? '' }, { sharpness: 0.1, deletedAt: new Date() });
  await manager.insert(jobEntity, {
    id: newId(),
    fileId: null,
    version: 1,
    extra: {},
    fileExtra: {},
    workshopId: (await manager.find(jobEntity))[0]?.workshopId ?? '',
    name: 'My own',
    notes: null,
    checks: null,
    customMaterials: null,
    updatedAt: new Date(),
    deletedAt: null,
  });
  await load('reset');
  expect((await jobNames()).sort()).toEqual([
    'Clock court: dial house',
    'Clock court: garden',
    'Clock court: porch',
    'My own',
  ]);
  const back = await manager.findOneByOrFail(bitEntity, { id: bit?.id ?? '' });
  expect([back.sharpness, back.deletedAt]).toEqual([null, null]);
  expect(await manager.count(holeEntity)).toBe(14);
});
