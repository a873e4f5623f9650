import type { AuditEntry, Device, People, Session } from '@nucleon/contract/people';
import type { Page, ProblemBody } from '@nucleon/contract/wire';
import { v7 as newId } from 'uuid';
import { cookieOf, openPeopleServer, PASSWORD, type PeopleServer } from './peopleFixtures';
import { deviceEntity, invitationEntity, personEntity } from './peopleEntities';

let server: PeopleServer;
let owner: string;
beforeAll(async () => {
  server = await openPeopleServer();
});
afterAll(async () => {
  await server.close();
});
const MINUTE_MS = 60_000;
const later = (ms: number): void => {
  server.clock.now = new Date(server.clock.now.getTime() + ms);
};
const sessionOf = async (cookie?: string) =>
  (await server.ask('get', '/session', cookie).expect(200)).body as Session;
const signIn = (name: string, password: string) =>
  server.ask('post', '/session', undefined, { name, password, device: 'Bench' });
const auditOf = async () =>
  ((await server.ask('get', '/audit?pageSize=200', owner).expect(200)).body as Page<AuditEntry>)
    .items;

it('is nobody’s until the owner joins by the link of the start', async () => {
  expect(await sessionOf()).toEqual({ kind: 'nobody', first: true });
  await server.ask('get', '/jobs').expect(401);
  owner = await server.join('Ida', 'owner');
  expect(await sessionOf(owner)).toMatchObject({ kind: 'person', name: 'Ida', role: 'owner' });
  expect(await sessionOf()).toEqual({ kind: 'nobody', first: false });
});

it('keeps a session where no script and no other site reads it', async () => {
  const [given] = (await signIn('Ida', PASSWORD).expect(204)).headers[
    'set-cookie'
  ] as unknown as string[];
  expect(given).toMatch(/^__Host-nucleon=[\w-]{43}; Max-Age=\d+; Path=\/;/);
  for (const rule of ['HttpOnly', 'Secure', 'SameSite=Strict']) expect(given).toContain(rule);
});

it('stores no password, no PIN and no key that opens anything', async () => {
  const rows = JSON.stringify([
    await server.source.manager.find(personEntity),
    await server.source.manager.find(deviceEntity),
    await server.source.manager.find(invitationEntity),
  ]);
  expect(rows).toContain('scrypt$32768$8$1$');
  expect(rows).not.toContain(PASSWORD);
  expect(rows).not.toContain(owner.split('=')[1]);
});

it('invites by a link that is used once and runs out', async () => {
  const invite = async () =>
    (await server.ask('post', '/invitations', owner, { role: 'worker' }).expect(201)).body as {
      token: string;
    };
  const { token } = await invite();
  expect((await server.ask('post', '/invitations/look', undefined, { token })).body).toEqual({
    role: 'worker',
    madeBy: 'Ida',
  });
  const join = (name: string, password = PASSWORD) =>
    server.ask('post', '/invitations/join', undefined, { token, name, password, device: 'Phone' });
  const short = (await join('Bo', 'short').expect(422)).body as ProblemBody;
  expect(short.detail).toBe(
    '/password: password has 5 characters; it must be a password of 10 to 200 characters.',
  );
  await join('ida').expect(422);
  const bo = cookieOf(await join('Bo').expect(204));
  expect(await sessionOf(bo)).toMatchObject({ name: 'Bo', role: 'worker' });
  await join('Another').expect(404);
  const late = await invite();
  later(4 * 24 * 60 * MINUTE_MS);
  await server.ask('post', '/invitations/look', undefined, { token: late.token }).expect(404);
});

it('lets two who use one link at once join once', async () => {
  const { token } = (await server.ask('post', '/invitations', owner, { role: 'viewer' })).body as {
    token: string;
  };
  const join = (name: string) =>
    server
      .ask('post', '/invitations/join', undefined, { token, name, password: PASSWORD, device: '' })
      .then(({ status }) => status);
  expect((await Promise.all([join('Una'), join('Udo')])).sort()).toEqual([204, 404]);
});

it('makes those who guess wait, longer each time, and others not', async () => {
  for (let tries = 0; tries < 5; tries++) await signIn('Bo', 'wrong').expect(422);
  const refused = await signIn('Bo', PASSWORD).expect(429);
  expect((refused.body as ProblemBody).detail).toMatch(/^Too many tries went wrong; the next is/);
  expect((await auditOf()).filter(({ act }) => act === 'sign-in-refused')).toHaveLength(5);
  // Whoever is signed in works on.
  await server.ask('get', '/jobs', owner).expect(200);
});

it('signs a device out at once, one’s own or, as the owner, any', async () => {
  const phone = await server.join('Cy', 'viewer');
  const devices = async (cookie: string) =>
    ((await server.ask('get', '/devices', cookie)).body as { items: Device[] }).items;
  const [own] = await devices(phone);
  expect(own).toMatchObject({ personName: 'Cy', own: true });
  expect((await devices(owner)).some(({ personName }) => personName === 'Bo')).toBe(true);
  await server.ask('delete', `/devices/${own?.id ?? ''}`, owner).expect(204);
  await server.ask('get', '/jobs', phone).expect(401);
  const other = (await devices(owner)).find((device) => device.own);
  const viewer = await server.join('Di', 'viewer');
  await server.ask('delete', `/devices/${other?.id ?? ''}`, viewer).expect(404);
});

it('forgets a device nobody has used for two months', async () => {
  const phone = await server.join('Ed', 'viewer');
  for (let weeks = 0; weeks < 10; weeks++) {
    later(7 * 24 * 60 * MINUTE_MS);
    await server.ask('get', '/jobs', phone).expect(200);
    await server.ask('get', '/jobs', owner).expect(200);
  }
  later(61 * 24 * 60 * MINUTE_MS);
  await server.ask('get', '/jobs', phone).expect(401);
  owner = cookieOf(await server.ask('get', '/session', await rejoin()).expect(200));
});
/** The owner signs in anew, from where nobody guessed. */
async function rejoin(): Promise<string> {
  return server.join('Ida the second', 'owner');
}

it('locks a bench device that nobody uses, and opens it by its PIN', async () => {
  const bench = await server.join('Fay', 'worker');
  await server.ask('put', '/session/pin', bench, { pin: '12a4' }).expect(422);
  await server.ask('put', '/session/pin', bench, { pin: '4711' }).expect(204);
  later(20 * MINUTE_MS);
  await server.ask('get', '/jobs', bench).expect(200);
  later(20 * MINUTE_MS);
  await server.ask('get', '/jobs', bench).expect(200);
  // What an open page asks by itself is no use of the device.
  for (let minutes = 0; minutes < 31; minutes += 10) {
    later(10 * MINUTE_MS);
    await server.ask('get', '/metrics', bench);
  }
  await server.ask('get', '/jobs', bench).expect(423);
  expect(await sessionOf(bench)).toMatchObject({ name: 'Fay', locked: true, bench: true });
  await server.ask('post', '/session/unlock', bench, { pin: '0000' }).expect(422);
  await server.ask('post', '/session/unlock', bench, { pin: '4711' }).expect(204);
  await server.ask('get', '/jobs', bench).expect(200);
  await server.ask('post', '/session/lock', bench).expect(204);
  await server.ask('get', '/jobs', bench).expect(423);
});

it('changes a password, and signs out whoever knew the old one', async () => {
  const one = await server.join('Gil', 'worker');
  const again = cookieOf(await signIn('Gil', PASSWORD).expect(204));
  const change = (old: string) =>
    server.ask('put', '/session/password', one, { old, password: 'another, longer one' });
  await change('not it').expect(422);
  await change(PASSWORD).expect(204);
  await server.ask('get', '/jobs', one).expect(200);
  await server.ask('get', '/jobs', again).expect(401);
  await signIn('Gil', PASSWORD).expect(422);
  await signIn('Gil', 'another, longer one').expect(204);
});

it('never leaves a workshop without an owner', async () => {
  const { people } = (await server.ask('get', '/people', owner)).body as People;
  const owners = people.filter(({ role }) => role === 'owner');
  expect(owners).toHaveLength(2);
  const [first, second] = owners.map(({ id }) => id);
  await server.ask('put', `/people/${first ?? ''}`, owner, { role: 'worker' }).expect(204);
  await server.ask('put', `/people/${second ?? ''}`, owner, { role: 'worker' }).expect(409);
  await server.ask('delete', `/people/${second ?? ''}`, owner).expect(409);
});

it('shows one job by a link, until it ends', async () => {
  const [jobId, other, pieceId] = [newId(), newId(), newId()];
  for (const id of [jobId, other])
    await server.ask('put', `/jobs/${id}`, owner, { name: 'Clock', version: 0 }).expect(200);
  const piece = {
    name: 'Dial',
    form: 'sheet',
    material: 'float-glass',
    thicknessMm: 6,
    version: 0,
  };
  const outline = { kind: 'rectangle', widthMm: 300, heightMm: 300 };
  await server
    .ask('put', `/jobs/${jobId}/pieces/${pieceId}`, owner, { ...piece, outline })
    .expect(200);
  const share = (await server.ask('post', `/jobs/${jobId}/shares`, owner, { days: 7 }).expect(201))
    .body as { id: string; token: string };
  const opened = await server.ask('post', '/shares/open', undefined, {
    token: share.token,
    device: 'Client',
  });
  expect(opened.body).toEqual({ jobId });
  const link = cookieOf(opened);
  expect(await sessionOf(link)).toMatchObject({ kind: 'share', jobId });
  await server.ask('get', `/jobs/${jobId}`, link).expect(200);
  await server.ask('get', `/pieces/${pieceId}/layout`, link).expect(200);
  for (const path of [`/jobs/${other}`, '/jobs', '/runs', '/bench', '/people', '/audit'])
    await server.ask('get', path, link).expect(404);
  await server.ask('put', `/jobs/${jobId}`, link, { name: 'Mine', version: 1 }).expect(404);
  // What plans need of the kit, and nothing of what it cost.
  const bit = { name: 'Dear', family: 'plated-cup-saw', diameterMm: 10, price: 40, version: 0 };
  await server.ask('put', `/bits/${newId()}`, owner, bit).expect(200);
  const bits = async (cookie: string) =>
    ((await server.ask('get', '/bits?search=Dear', cookie).expect(200)).body as Page<object>).items;
  expect((await bits(owner))[0]).toMatchObject({ name: 'Dear', price: 40 });
  expect((await bits(link))[0]).toMatchObject({ name: 'Dear', diameterMm: 10 });
  expect((await bits(link))[0]).not.toHaveProperty('price');
  await server.ask('delete', `/shares/${share.id}`, owner).expect(204);
  await server.ask('get', `/jobs/${jobId}`, link).expect(401);
});

it('writes down who did what, once, and with what it changed', async () => {
  const jobId = newId();
  const name = 'Written down';
  await server.ask('put', `/jobs/${jobId}`, owner, { name, version: 0 }).expect(200);
  await server.ask('put', `/jobs/${jobId}`, owner, { name: 'Else', version: 9 }).expect(409);
  await server.ask('get', `/jobs/${jobId}/export`, owner).expect(200);
  const mine = (await auditOf()).filter(({ subject }) => subject === name);
  expect(mine.map(({ act, personName }) => [act, personName])).toEqual([
    ['export', 'Ida the second'],
    ['job', 'Ida the second'],
  ]);
  for (const method of ['put', 'delete', 'post'] as const)
    await server.ask(method, '/audit', owner, {}).expect(404);
});

it('answers nobody without end, and the others all the same', async () => {
  const statuses = await Promise.all(
    Array.from({ length: 120 }, () => server.ask('get', '/session').then(({ status }) => status)),
  );
  expect(new Set(statuses)).toEqual(new Set([200]));
  let last = 200;
  for (let asked = 0; asked < 200 && last === 200; asked++)
    last = (await server.ask('get', '/session')).status;
  expect(last).toBe(429);
  await server.ask('get', '/jobs', owner).expect(200);
});
