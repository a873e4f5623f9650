import { X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import { get as getPlain } from 'node:http';
import { get as getTls } from 'node:https';
import { connect, isIP, type AddressInfo } from 'node:net';
import { checkServerIdentity, connect as connectTls, createServer as createTls } from 'node:tls';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import express from 'express';
import { readConfig } from '../config';
import type { OwnNames } from './addresses';
import { fingerprintOf, serverCertificate } from './authority';
import { openReach, type Listening } from './openReach';

const NOW = new Date('2026-11-29T08:00:00Z');
const DAY_MS = 24 * 3600 * 1000;
const OWN: OwnNames = { addresses: ['192.168.7.20'], names: ['bench', 'bench.local'] };
const folders: string[] = [];
const folderOf = (): string => {
  const folder = mkdtempSync(join(tmpdir(), 'nucleon-reach-'));
  folders.push(folder);
  return folder;
};
const opened: Listening[] = [];
afterAll(async () => {
  for (const listening of opened) {
    for (const server of listening.servers) server.closeAllConnections();
    await listening.close();
  }
  for (const folder of folders) await rm(folder, { recursive: true });
});

/** Whether OpenSSL, told to trust the authority, takes the server’s certificate for a host. */
async function verifies(folder: string, host: string): Promise<boolean> {
  const textOf = (file: string): string => readFileSync(join(folder, file), 'utf8');
  const server = createTls({ key: textOf('server.key.pem'), cert: textOf('server.crt.pem') });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const { port } = server.address() as AddressInfo;
  const taken = await new Promise<boolean>((resolve) => {
    const socket = connectTls({
      port,
      host: '127.0.0.1',
      ca: textOf('authority.crt.pem'),
      ...(isIP(host) === 0 ? { servername: host } : {}),
      checkServerIdentity: (_name, certificate) => checkServerIdentity(host, certificate),
    });
    socket.once('secureConnect', () => {
      resolve(true);
    });
    socket.once('error', () => {
      resolve(false);
    });
    socket.once('close', () => {
      server.close();
    });
    setTimeout(() => socket.destroy(), 200);
  });
  return taken;
}

it('makes a certificate for all this machine goes by, which its authority vouches for', async () => {
  const folder = folderOf();
  const { certificatePem } = await serverCertificate(folder, OWN, new Date());
  for (const host of ['bench', 'bench.local', 'localhost', '127.0.0.1', '192.168.7.20'])
    expect([host, await verifies(folder, host)]).toEqual([host, true]);
  expect(await verifies(folder, 'bank.example')).toBe(false);
  expect(new X509Certificate(certificatePem).ca).toBe(false);
  for (const file of ['authority.key.pem', 'server.key.pem'])
    expect(statSync(join(folder, file)).mode & 0o777).toBe(0o600);
});

it('can vouch for no site outside the workshop’s network, even with its key', async () => {
  const folder = folderOf();
  await serverCertificate(folder, OWN, new Date());
  // Whoever has the key signs for another site, and for another network.
  for (const [host, good] of [
    ['bank.example', false],
    ['8.8.8.8', false],
    ['10.1.2.3', true],
    ['tablet.local', true],
  ] as const) {
    const isAddress = /^\d/.test(host);
    const stolen: OwnNames = isAddress
      ? { addresses: [host], names: ['bench'] }
      : { addresses: [], names: [host] };
    await serverCertificate(folder, stolen, new Date());
    expect([host, await verifies(folder, host)]).toEqual([host, good]);
  }
});

it('keeps its authority, and renews the server’s own certificate by itself', async () => {
  const folder = folderOf();
  const first = await serverCertificate(folder, OWN, NOW);
  const again = await serverCertificate(folder, OWN, new Date(NOW.getTime() + 50 * DAY_MS));
  expect(again).toEqual(first);
  const renewed = await serverCertificate(folder, OWN, new Date(NOW.getTime() + 70 * DAY_MS));
  expect(renewed.certificatePem).not.toBe(first.certificatePem);
  expect(renewed.authorityPem).toBe(first.authorityPem);
  const moved = await serverCertificate(
    folder,
    { ...OWN, addresses: ['192.168.7.21'] },
    new Date(NOW.getTime() + 70 * DAY_MS),
  );
  expect(new X509Certificate(moved.certificatePem).checkIP('192.168.7.21')).toBe('192.168.7.21');
  writeFileSync(join(folder, 'authority.key.pem'), '');
  await expect(serverCertificate(folder, OWN, NOW)).rejects.toThrow(/has lost its key/);
});

interface Answer {
  readonly status: number;
  readonly text: string;
}
const answerOf = (get: typeof getTls, url: string, options: object = {}): Promise<Answer> =>
  new Promise((resolve, reject) => {
    get(url, { ...options, agent: false }, (response) => {
      let text = '';
      response.on('data', (more: Buffer) => (text += more.toString()));
      response.on('end', () => {
        resolve({ status: response.statusCode ?? 0, text });
      });
    }).on('error', reject);
  });

async function openOn(host: string) {
  const folder = folderOf();
  const config = readConfig({
    NUCLEON_DB_URL: 'mysql://u:p@x/db',
    NUCLEON_HOST: host,
    NUCLEON_AUTHORITY: folder,
  });
  const reach = await openReach(
    config,
    () => new Date(),
    () => undefined,
  );
  const app = express();
  app.get('/', (_request, response) => {
    response.send('the app');
  });
  const listening = await reach.listen(app);
  opened.push(listening);
  const port = Number(new URL(listening.address).port);
  return { ...reach, port, ca: readFileSync(join(folder, 'authority.crt.pem'), 'utf8') };
}

it('serves the app over TLS, and on the same port leads whoever comes without it', async () => {
  const { doors, port, ca } = await openOn('0.0.0.0');
  const over = await answerOf(getTls, `https://127.0.0.1:${port}/`, { ca });
  expect(over).toEqual({ status: 200, text: 'the app' });
  const phone = { headers: { 'user-agent': 'Mozilla (Linux; Android 15)' } };
  const page = await answerOf(getPlain, `http://127.0.0.1:${port}/jobs`, phone);
  expect(page.text).toContain('<details open><summary>Android</summary>');
  expect(page.text).toContain(`href="https://127.0.0.1:${port}/"`);
  expect(page.text).toContain(fingerprintOf(ca));
  expect(doors.reach()).toMatchObject({ open: true, fingerprint: fingerprintOf(ca) });
  expect(doors.signsIn).toBe(true);
});

it('leads nobody to an address that is not its own', async () => {
  const { port } = await openOn('0.0.0.0');
  const headers = { host: 'evil.example' };
  const { text } = await answerOf(getPlain, `http://127.0.0.1:${port}/`, { headers });
  expect(text).not.toContain('evil.example');
});

it('goes on when somebody connects, says nothing or nonsense, and leaves', async () => {
  const { port, ca } = await openOn('0.0.0.0');
  for (const said of ['', '\u0016\u0003nonsense', 'GET']) {
    const socket = connect(port, '127.0.0.1');
    await new Promise((resolve) => socket.once('connect', resolve));
    socket.write(said);
    socket.destroy();
  }
  expect((await answerOf(getTls, `https://127.0.0.1:${port}/`, { ca })).status).toBe(200);
});

it('knows its own names, and the proxy’s, and no others', async () => {
  const proxied = await openReach(
    readConfig({ NUCLEON_DB_URL: 'mysql://u:p@x/db', NUCLEON_PROXY: 'https://drill.example' }),
    () => NOW,
    () => undefined,
  );
  const { isOwn, behindProxy } = proxied.doors;
  expect([isOwn('drill.example', 4180), isOwn('drill.example:443', 4180)]).toEqual([true, true]);
  expect([isOwn('drill.example:4180', 4180), isOwn('evil.example', 4180)]).toEqual([false, false]);
  expect(behindProxy).toBe(true);
  for (const given of ['http://drill.example', 'drill.example', 'https://drill.example/path'])
    expect(() => readConfig({ NUCLEON_DB_URL: 'mysql://u:p@x/db', NUCLEON_PROXY: given })).toThrow(
      `NUCLEON_PROXY is “${given}”; it must be the address people open`,
    );
});
