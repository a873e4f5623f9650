import request from 'supertest';
import { readConfig } from '../config';
import { openTestServer, type TestServer } from '../testServer';
import { admission, deadline } from './admission';
import { problemHandler } from './problemHandler';
import express from 'express';

let server: TestServer;
beforeAll(async () => {
  server = await openTestServer();
});
afterAll(async () => {
  await server.close();
});

const api = '/api/v1/jobs';

it('answers to its own address alone', async () => {
  await request(server.app).get(api).expect(200);
  for (const host of ['evil.example', 'evil.example:80', '127.0.0.1:1', 'localhost.evil.example'])
    await request(server.app)
      .get(api)
      .set('Host', host)
      .expect(421)
      .expect(({ body }) => {
        expect((body as { code: string }).code).toBe('wrong-host');
      });
});

it('lets no other page write', async () => {
  const put = () =>
    request(server.app).put('/api/v1/jobs/a-job').send({ name: 'From elsewhere', version: 0 });
  await put().set('Origin', 'https://evil.example').expect(403);
  await put().set('Origin', 'null').expect(403);
  await put().set('Sec-Fetch-Site', 'cross-site').expect(403);
  await put().expect(200);
});

it('tells the browser what its page may do', async () => {
  const { headers } = await request(server.app).get(api);
  expect(headers['content-security-policy']).toContain("default-src 'self'");
  expect(headers['content-security-policy']).toContain("frame-ancestors 'none'");
  expect(headers['content-security-policy']).not.toContain('unsafe-eval');
  expect(headers['x-content-type-options']).toBe('nosniff');
  expect(headers['x-frame-options']).toBe('DENY');
});

it('does not serve beyond this machine without TLS', () => {
  const from = (host: string) => () =>
    readConfig({ NUCLEON_DB_URL: 'mysql://u:p@x/db', NUCLEON_HOST: host });
  expect(from('0.0.0.0')).toThrow(/NUCLEON_HOST is “0.0.0.0”, and NUCLEON_AUTHORITY/);
  expect(from('192.168.1.5')).toThrow(/or leave it at 127.0.0.1/);
  expect(from('localhost')()).toMatchObject({ host: 'localhost', authorityFolder: null });
});

const slow = (answer: express.RequestHandler, ...before: express.RequestHandler[]) => {
  const app = express();
  app.use(before);
  app.all('/', answer);
  app.use(problemHandler(() => undefined));
  return app;
};

it('sends away what could not be answered soon, with when to come again', async () => {
  let let1 = (): void => undefined;
  const held = new Promise<void>((resolve) => (let1 = resolve));
  const app = slow(
    async (_request, response) => {
      await held;
      response.json({});
    },
    admission({ writes: 1, reads: 1 }),
  ).listen(0);
  const first = request(app)
    .put('/')
    .then((answer) => answer.status);
  await new Promise((resolve) => setTimeout(resolve, 50));
  const second = await request(app).put('/');
  expect([second.status, second.headers['retry-after']]).toEqual([503, '1']);
  expect(second.text).toContain('"code":"busy"');
  let1();
  expect(await first).toBe(200);
  // The place is free again.
  expect((await request(app).put('/')).status).toBe(200);
  app.close();
});

it('answers for a database that hangs', async () => {
  const app = slow(
    () => undefined,
    deadline(() => 30),
  );
  const answer = await request(app).put('/');
  expect(answer.status).toBe(503);
  expect(answer.text).toContain('may not have been kept: send it again');
});
