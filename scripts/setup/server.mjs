/** Runs the API server as a child and waits until it listens. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ROOT } from './root.mjs';
import { endChild } from './run.mjs';

/** The server lets requests in flight finish for at most 8 s; longer than that it is stuck. */
const STOP_TIMEOUT_MS = 12_000;

/**
 * @param {{ databaseUrl: string, port?: number, web?: string, demo?: 'load' | 'reset' | 'none', backups?: string }} options
 *   backups: folder for copies of the data made before a migration
 * @returns {Promise<{ address: string, child: import('node:child_process').ChildProcess, stop: () => Promise<void> }>}
 */
export function startServer({ databaseUrl, port = 0, web, demo = 'none', backups }) {
  const env = {
    ...process.env,
    NODE_ENV: 'production',
    NUCLEON_DB_URL: databaseUrl,
    NUCLEON_PORT: String(port),
    NUCLEON_DEMO: demo,
    NUCLEON_STOP_WITH_STDIN: '1',
    ...(web ? { NUCLEON_WEB: web } : {}),
    ...(backups ? { NUCLEON_BACKUPS: backups } : {}),
  };
  const child = spawn(process.execPath, ['--import', 'tsx', 'src/main.ts'], {
    cwd: join(ROOT, 'apps', 'server'),
    env,
    // Its input ends when this process does, however it dies: the server is never left behind.
    stdio: ['pipe', 'pipe', 'inherit'],
    detached: true,
  });
  child.stdin.on('error', () => undefined);
  return new Promise((resolve, reject) => {
    let out = '';
    child.stdout.on('data', (text) => {
      out += text;
      const address = /listening (http:\S+)/.exec(out)?.[1];
      if (address) resolve({ address, child, stop: () => endChild(child, STOP_TIMEOUT_MS) });
    });
    child.on('exit', (code, signal) =>
      reject(new Error(`The server ended before it listened (${signal ?? `code ${code}`}).`)),
    );
    child.on('error', reject);
  });
}
