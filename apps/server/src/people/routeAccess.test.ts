import { ROLES, type Role } from '@nucleon/core/data/people';
import type { JobDetail } from '@nucleon/contract/wire';
import type { Plan } from '@nucleon/core/documents/plan';
import { writeRun } from '@nucleon/core/run/runFixtures';
import { jobWith } from '@nucleon/core/setup/jobFixtures';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { buildApp } from '../buildApp';
import { LOOPBACK_DOORS } from '../http/doors';
import { openPeopleServer, type Method, type PeopleServer } from './peopleFixtures';
import { accessOf, ROUTE_ACCESS } from './routeAccess';

let server: PeopleServer;
beforeAll(async () => {
  server = await openPeopleServer();
});
afterAll(async () => {
  await server.close();
});

interface Layer {
  readonly route?: { readonly path: string; readonly methods: Readonly<Record<string, boolean>> };
  readonly handle: { readonly stack?: readonly Layer[] };
}

/** What the app really answers, as Express holds it. */
function routesOf(layers: readonly Layer[]): readonly string[] {
  return layers.flatMap(({ route, handle }) =>
    route
      ? Object.keys(route.methods).map((method) => `${method.toUpperCase()} ${route.path}`)
      : routesOf(handle.stack ?? []),
  );
}

it('says of every route who may ask it, and of no other', () => {
  const newsroom = { onClose: () => undefined };
  const context = { doors: LOOPBACK_DOORS, annex: {}, newsroom, log: () => undefined };
  const app = buildApp(context as never);
  const { stack } = (app as unknown as { router: { stack: readonly Layer[] } }).router;
  const routes = routesOf(stack)
    .map((route) => route.replace('/api/v1', ''))
    .filter((route) => !route.includes('{*any}'));
  expect([...new Set(routes)].sort()).toEqual(Object.keys(ROUTE_ACCESS).sort());
});

it('finds the route that is meant, and the id in it', () => {
  expect(accessOf('HEAD', '/holes/a%20hole/plan')).toMatchObject({ shared: 'hole', id: 'a hole' });
  expect(accessOf('GET', '/runs/export')).toMatchObject({ act: 'export' });
  expect(accessOf('PATCH', '/jobs')).toBeNull();
});

it('lets each role do what it may on each route, and nobody anything', async () => {
  const cookies = new Map<Role | null, string | undefined>([[null, undefined]]);
  for (const role of ROLES) cookies.set(role, await server.join(`A ${role}`, role));
  const owner = cookies.get('owner');
  const shared = newId();
  await server.ask('put', `/jobs/${shared}`, owner, { name: 'Shown', version: 0 }).expect(200);
  const { token } = (
    await server.ask('post', `/jobs/${shared}/shares`, owner, { days: 1 }).expect(201)
  ).body as { token: string };
  const opened = await server.ask('post', '/shares/open', undefined, { token, device: '' });
  const link = String((opened.headers['set-cookie'] as unknown as string[])[0]).split(';')[0];

  const wrong: string[] = [];
  for (const [route, { needs }] of Object.entries(ROUTE_ACCESS)) {
    // A stream has no end; who hears what is tested with it.
    if (needs === 'anyone' || route === 'GET /news') continue;
    const [method = '', form = ''] = route.split(' ');
    const path = form.replace(/:\w+/g, () => newId());
    const statusAs = async (cookie: string | undefined) =>
      (
        await server.ask(
          method.toLowerCase() as Method,
          path,
          cookie,
          method === 'GET' ? undefined : {},
        )
      ).status;
    for (const [role, cookie] of cookies) {
      const status = await statusAs(cookie);
      const may = role !== null && ROLES.indexOf(role) >= ROLES.indexOf(needs);
      const refused = role === null ? status === 401 : status === 403;
      if (may === refused) wrong.push(`${route} as ${role ?? 'nobody'}: ${status}`);
    }
    // Of another job than the one it shows, a link reads nothing; it never writes.
    const status = await statusAs(link);
    const mayRead = ROUTE_ACCESS[route]?.shared === 'kit' && method === 'GET';
    if (mayRead ? status !== 200 : status !== 404) wrong.push(`${route} by a link: ${status}`);
  }
  expect(wrong).toEqual([]);
  await server.ask('get', `/jobs/${shared}`, link).expect(200);
});

/** A job with a piece, a hole and its run, and kit of each kind. @returns the id each parameter of a path stands for */
async function fill(cookie: string): Promise<Readonly<Record<string, string>>> {
  const file = jobWith();
  const { jobId } = (await server.ask('post', '/import', cookie, file).expect(201)).body as {
    jobId: string;
  };
  const job = (await server.ask('get', `/jobs/${jobId}`, cookie)).body as JobDetail;
  const [piece] = job.pieces;
  const [hole] = piece?.holes ?? [];
  const plan = (await server.ask('get', `/holes/${hole?.id ?? ''}/plan`, cookie)).body as Plan;
  const runId = newId();
  const events = writeRun({}, plan).events.map((event) => ({
    ...event,
    id: `${runId}-${event.n}`,
  }));
  await server.ask('post', `/runs/${runId}/events`, cookie, { events }).expect(200);
  const first = async (path: string) =>
    ((await server.ask('get', path, cookie)).body as { items: { id: string }[] }).items[0]?.id ??
    '';
  return {
    jobId,
    pieceId: piece?.id ?? '',
    holeId: hole?.id ?? '',
    runId,
    bits: await first('/bits'),
    machines: await first('/machines'),
  };
}

it('is not got round by large letters, slashes or what is no route', async () => {
  const viewer = await server.join('Vic', 'viewer');
  const put = (path: string, cookie?: string) => {
    const asked = request(server.app).put(path);
    if (cookie !== undefined) asked.set('Cookie', cookie);
    return asked.send({ name: 'By another door', version: 0 }).then(({ status }) => status);
  };
  for (const path of ['/api/V1/jobs/x', '/API/v1/JOBS/x', '/api/v1/jobs/x/', '/api/v1/Jobs/x']) {
    expect([path, await put(path)]).toEqual([path, 401]);
    expect([path, await put(path, viewer)]).toEqual([path, 403]);
  }
  expect(await put('/api/v1//jobs/x', viewer)).toBe(404);
  expect(await put('/api/v2/jobs/x', viewer)).toBe(404);
});

it('shows a workshop nothing of another’s, and lets it change nothing there', async () => {
  const other = newId();
  await server.source.query('INSERT INTO workshop (id, name) VALUES (?, ?)', [other, 'Other']);
  const mine = await server.join('Ola', 'owner');
  const theirs = await server.join('Pia', 'owner', other);
  const ids = await fill(mine);
  const idFor = (form: string, name: string): string =>
    name !== 'id'
      ? (ids[name] ?? newId())
      : (ids[form.split('/')[1] ?? ''] ??
        ids[(form.split('/')[1] ?? '').replace(/s$/, 'Id')] ??
        newId());
  const wrong: string[] = [];
  for (const [route, { needs }] of Object.entries(ROUTE_ACCESS)) {
    if (needs === 'anyone' || !route.includes(':')) continue;
    const [method = '', form = ''] = route.split(' ');
    if (/^\/(people|devices|invitations|shares|kit)/.test(form)) continue;
    const path = form.replace(/:(\w+)/g, (_all, name: string) => idFor(form, name));
    const { status } = await server.ask(
      method.toLowerCase() as Method,
      path,
      theirs,
      method === 'GET' ? undefined : {},
    );
    if (status !== 404) wrong.push(`${method} ${path}: ${status}`);
  }
  expect(wrong).toEqual([]);
  const lists = Object.entries(ROUTE_ACCESS).filter(
    ([route, { needs }]) =>
      needs !== 'anyone' && route !== 'GET /news' && /^GET [^:]*$/.test(route),
  );
  const known = [...Object.values(ids), 'Ola'];
  for (const [route] of lists) {
    const { text } = await server.ask('get', route.slice('GET '.length), theirs).expect(200);
    expect([route, known.filter((id) => text.includes(id))]).toEqual([route, []]);
  }
  // Nothing is there for them: all the same, it is there for those it belongs to.
  const seen = await server.ask('get', '/runs', mine).expect(200);
  expect(seen.text).toContain(ids.runId);
});
