/** Runs the API server as a child and waits until it listens. */
import { spawn } from 'node:child_process';
import { mkdir } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { ROOT } from './root.mjs';
import { endChild } from './run.mjs';
import { ensureServerBuild } from './serverBuild.mjs';
import { giveTo, unprivileged } from './unprivileged.mjs';

/** The server lets requests in flight finish for at most 8 s; longer than that it is stuck. */
const STOP_TIMEOUT_MS = 12_000;

let built;

/**
 * @param {{ databaseUrl: string, port?: number, web?: string, demo?: 'load' | 'reset' | 'none', backups?: string, reach?: Reach }} options
 *   backups: folder for copies of the data made before a migration
 * @typedef {{ host?: string, proxy?: string, authority?: string, newOwnerLink?: boolean }} Reach
 *   host, and the folder of its certificates, or the proxy's own address; its own machine alone without
 * @returns {Promise<{ address: string, owner?: string, trust?: string, child: import('node:child_process').ChildProcess, stop: () => Promise<void> }>}
 *   owner: the link by which the first owner joins; trust: where a phone is led through trusting it
 */
export async function startServer({
  databaseUrl,
  port = 0,
  web,
  demo = 'none',
  backups,
  reach: { host, proxy, authority, newOwnerLink } = {},
}) {
  const env = {
    ...process.env,
    NODE_ENV: 'production',
    NUCLEON_DB_URL: databaseUrl,
    NUCLEON_PORT: String(port),
    NUCLEON_DEMO: demo,
    NUCLEON_STOP_WITH_STDIN: '1',
    ...(web ? { NUCLEON_WEB: web } : {}),
    ...(backups ? { NUCLEON_BACKUPS: backups } : {}),
    ...(host ? { NUCLEON_HOST: host } : {}),
    ...(proxy ? { NUCLEON_PROXY: proxy } : {}),
    ...(authority ? { NUCLEON_AUTHORITY: authority } : {}),
    ...(newOwnerLink ? { NUCLEON_OWNER_LINK: '1' } : {}),
  };
  // Looked at once: one that is started again after it died is the same.
  built ??= ensureServerBuild();
  const main = await built;
  const own = [backups, authority].filter(Boolean);
  const user = await unprivileged([process.execPath, main, ...own.map(dirname)]);
  if (user && own.length > 0) {
    await Promise.all(own.map((folder) => mkdir(folder, { recursive: true, mode: 0o700 })));
    await giveTo(user, own);
  }
  const child = spawn(process.execPath, ['--enable-source-maps', main], {
    cwd: join(ROOT, 'apps', 'server'),
    env,
    ...(user && { uid: user.uid, gid: user.gid }),
    // Its input ends when this process does, however it dies: the server is never left behind.
    stdio: ['pipe', 'pipe', 'inherit'],
    detached: true,
  });
  child.stdin.on('error', () => undefined);
  return new Promise((resolve, reject) => {
    let out = '';
    child.stdout.on('data', (text) => {
      out += text;
      const said = (word) => new RegExp(`^${word} (\\S+)\n`, 'm').exec(out)?.[1];
      const address = said('listening');
      if (!address) return;
      const stop = () => endChild(child, STOP_TIMEOUT_MS);
      resolve({ address, owner: said('owner'), trust: said('trust'), child, stop });
    });
    child.on('exit', (code, signal) =>
      reject(new Error(`The server ended before it listened (${signal ?? `code ${code}`}).`)),
    );
    child.on('error', reject);
  });
}
