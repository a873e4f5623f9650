import { createServer, type RequestListener, type Server } from 'node:http';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import express from 'express';
import request from 'supertest';
import type { DataSource } from 'typeorm';
import { deadline } from '../http/admission';
import { problemHandler } from '../http/problemHandler';
import { askingNow, inWorkshop } from '../people/asking';
import { notThere } from './annex';
import { annexApp } from './annexApp';
import { forwardTo, wholeJobRoutes } from './forward';

let folder: string;
let listening: Server | null;
const taken = jest.fn();
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'nucleon-forward-'));
  listening = null;
  taken.mockClear();
});
afterEach(() => {
  listening?.closeAllConnections();
  listening?.close();
  rmSync(folder, { recursive: true });
});

const WORKSHOP = '01900000-0000-7000-8000-000000000002';

/** A database that knows one thing: how many holes a job has. */
let holes = 0;
const source = { query: () => Promise.resolve([{ holes }]) } as unknown as DataSource;

/** The server in front, and what listens behind it. */
function inFront(behind?: RequestListener, withinMs = 5000) {
  const at = join(folder, 'annex');
  if (behind) listening = createServer(behind).listen(at);
  const app = express();
  app.use(
    '/api',
    deadline(() => withinMs),
    (_request, _response, next) => {
      inWorkshop(WORKSHOP, new Date(0), next);
    },
  );
  app.use(
    '/api/v1',
    wholeJobRoutes(
      source,
      forwardTo(() => (behind ? Promise.resolve(at) : Promise.reject(notThere())), taken),
    ),
  );
  app.use(problemHandler(() => undefined));
  return app;
}
const send = (app: express.Express, body: object = {}) =>
  request(app).post('/api/v1/import?id=7').send(body);

it('hands on what was asked, by whom, and answers what was answered', async () => {
  const app = inFront(
    annexApp({ now: () => new Date(0), newId: () => 'n' } as never, () => undefined),
  );
  const { status, body } = await send(app);
  expect(status).toBe(422);
  expect(body).toMatchObject({ faults: [{ pointer: '?id' }] });
  expect(taken).not.toHaveBeenCalled();
});

it('says that a job was taken in, and by whom it was asked', async () => {
  const heard: unknown[] = [];
  const app = inFront((asked, response) => {
    heard.push(
      asked.url,
      asked.headers['x-nucleon-asking'] !== undefined,
      asked.headers.connection,
    );
    asked.resume().on('end', () => {
      response.writeHead(201, { location: '/api/v1/jobs/7' }).end('{}');
    });
  });
  const { status, headers } = await send(app, { much: 'x'.repeat(300_000) });
  expect([status, headers['location']]).toEqual([201, '/api/v1/jobs/7']);
  expect(taken).toHaveBeenCalledTimes(1);
  expect(heard.slice(0, 2)).toEqual(['/api/v1/import?id=7', true]);
  expect(askingNow()).toBeNull();
});

it('says so while nothing is there to take it, or when that ends in the middle', async () => {
  expect((await send(inFront())).body).toMatchObject({ code: 'busy' });
  const app = inFront((_asked, response) => {
    response.destroy();
  });
  expect((await send(app)).body).toMatchObject({ code: 'busy' });
});

it('lets go of what takes too long, and says so', async () => {
  let left = false;
  const app = inFront((_asked, response) => {
    response.on('close', () => (left = true));
  }, 100);
  expect((await send(app)).status).toBe(503);
  await new Promise((resolve) => setTimeout(resolve, 50));
  expect(left).toBe(true);
});

it('hands on a job of many holes, and keeps the others', async () => {
  const app = inFront((_asked, response) => {
    response.end('{}');
  });
  for (const [many, status] of [
    [400, 404],
    [401, 200],
  ] as const) {
    holes = many;
    await request(app).get('/api/v1/jobs/7').expect(status);
  }
});
