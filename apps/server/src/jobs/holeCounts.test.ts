import { v7 as newId } from 'uuid';
import request from 'supertest';
import { openTestServer, type TestServer } from '../testServer';
import { keepHoleCounts } from './holeCounts';

let server: TestServer;
beforeAll(async () => {
  server = await openTestServer();
});
afterAll(async () => {
  await server.close();
});

const MINUTE_MS = 60_000;
const put = (path: string, body: object) =>
  request(server.app)
    .put(`/api/v1${path}`)
    .send({ version: 0, ...body })
    .expect(200);
const hole = (xMm: number) => ({ xMm, yMm: 100, diameterMm: 8, depth: { kind: 'through' } });

it('counts a job that nobody touches once, and one that is touched anew', async () => {
  const [jobId, pieceId, gone] = [newId(), newId(), newId()];
  await put(`/jobs/${jobId}`, { name: 'Counted' });
  const outline = { kind: 'rectangle', widthMm: 400, heightMm: 300 };
  const sheet = { name: 'Pane', form: 'sheet', material: 'float-glass', thicknessMm: 6, outline };
  await put(`/jobs/${jobId}/pieces/${pieceId}`, sheet);
  await put(`/pieces/${pieceId}/holes/${newId()}`, hole(100));
  await put(`/pieces/${pieceId}/holes/${gone}`, hole(200));
  const asked = jest.spyOn(server.source.manager, 'query');
  let now = new Date();
  const counts = keepHoleCounts(() => now);
  const count = async (): Promise<number | undefined> => {
    const rows: { updatedAt: Date }[] = await server.source.query(
      'SELECT updated_at AS updatedAt FROM job WHERE id = ?',
      [jobId],
    );
    const jobs = rows.map(({ updatedAt }) => ({ id: jobId, updatedAt }));
    return (await counts(server.source.manager, jobs)).get(jobId);
  };
  // Another may write within the same moment: only what has rested is kept.
  expect([await count(), await count()]).toEqual([2, 2]);
  expect(asked).toHaveBeenCalledTimes(2);
  now = new Date(now.getTime() + MINUTE_MS);
  expect([await count(), await count(), await count()]).toEqual([2, 2, 2]);
  expect(asked).toHaveBeenCalledTimes(3);
  await request(server.app).delete(`/api/v1/holes/${gone}`).expect(204);
  expect(await count()).toBe(1);
});
