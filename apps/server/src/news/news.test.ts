import { get, type IncomingMessage, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { News } from '@nucleon/contract/wire';
import { v7 as newId } from 'uuid';
import { createDataSource } from '../database/dataSource';
import { openPeopleServer, type PeopleServer } from '../people/peopleFixtures';

let server: PeopleServer;
let http: Server;
let owner: string;
beforeAll(async () => {
  server = await openPeopleServer();
  server.clock.now = new Date();
  owner = await server.join('Ida', 'owner');
  await new Promise<void>((resolve) => {
    http = server.app.listen(0, '127.0.0.1', () => {
      resolve();
    });
  });
});
afterAll(async () => {
  http.closeAllConnections();
  http.close();
  await server.close();
});

/** A page that listens. */
interface Page {
  readonly heard: News[];
  /** When something that fits has been heard. */
  readonly hears: (kind: News['kind'], id: string) => Promise<void>;
  readonly close: () => void;
  readonly ended: Promise<void>;
}

async function listen(cookie: string): Promise<Page> {
  const { port } = http.address() as AddressInfo;
  const headers = { cookie };
  const stream = await new Promise<IncomingMessage>((resolve, reject) => {
    get({ port, host: '127.0.0.1', path: '/api/v1/news', headers }, resolve).on('error', reject);
  });
  expect(stream.headers['content-type']).toContain('text/event-stream');
  const heard: News[] = [];
  let tell = (): void => undefined;
  const listens = new Promise<void>((resolve) => (tell = resolve));
  stream.setEncoding('utf8').on('data', (text: string) => {
    for (const [, data = '[]'] of text.matchAll(/^data: (.*)$/gm)) {
      heard.push(...(JSON.parse(data) as News[]));
      tell();
    }
  });
  await listens;
  return {
    heard,
    hears: (kind, id) =>
      new Promise((resolve) => {
        tell = () => {
          if (heard.some((one) => one.kind === kind && one.id === id)) resolve();
        };
        tell();
      }),
    close: () => stream.destroy(),
    ended: new Promise((resolve) => stream.once('close', resolve)),
  };
}

const putJob = (id: string, version = 0) => {
  server.clock.now = new Date();
  return server.ask('put', `/jobs/${id}`, owner, { name: `News ${version}`, version }).expect(200);
};

it('tells a page what changes, each change once', async () => {
  const [page, job] = [await listen(owner), newId()];
  await putJob(job);
  await page.hears('job', job);
  const other = newId();
  await putJob(other);
  await page.hears('job', other);
  expect(page.heard.filter(({ id }) => id === job)).toHaveLength(1);
  page.close();
});

it('hears of what another server of the same database writes', async () => {
  const page = await listen(owner);
  const elsewhere = createDataSource(
    (process.env.NUCLEON_TEST_DB ?? '').replace(
      /\/[^/]*$/,
      `/${String((await server.source.query<{ name: string }[]>('SELECT DATABASE() AS name'))[0]?.name)}`,
    ),
  );
  await elsewhere.initialize();
  await elsewhere.query('UPDATE workshop SET kit_version = kit_version + 1');
  await elsewhere.destroy();
  await page.hears('kit', '01900000-0000-7000-8000-000000000001');
  page.close();
});

it('tells another workshop nothing, and a link nothing but its own job', async () => {
  const other = newId();
  await server.source.query('INSERT INTO workshop (id, name) VALUES (?, ?)', [other, 'Other']);
  const theirs = await listen(await server.join('Pia', 'owner', other));
  const [shown, hidden] = [newId(), newId()];
  await putJob(shown);
  const { token } = (await server.ask('post', `/jobs/${shown}/shares`, owner, { days: 1 }))
    .body as { token: string };
  const opened = await server.ask('post', '/shares/open', undefined, { token, device: '' });
  const given = (opened.headers['set-cookie'] as unknown as string[])[0] ?? '';
  const [link, all] = [await listen(given.split(';')[0] ?? ''), await listen(owner)];
  await putJob(hidden);
  await putJob(shown, 1);
  await all.hears('job', hidden);
  await link.hears('job', shown);
  expect(link.heard.map(({ id }) => id)).not.toContain(hidden);
  expect(theirs.heard).toEqual([]);
  for (const page of [theirs, link, all]) page.close();
});

it('serves two hundred pages at once', async () => {
  const pages = await Promise.all(Array.from({ length: 200 }, () => listen(owner)));
  const job = newId();
  await putJob(job);
  await Promise.all(pages.map((page) => page.hears('job', job)));
  for (const page of pages) page.close();
});
