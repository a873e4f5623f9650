/** Runs the API server as a child and waits until it listens. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ROOT } from './root.mjs';
import { ended } from './run.mjs';

/**
 * @param {{ databaseUrl: string, port?: number, web?: string, demo?: 'load' | 'reset' | 'none' }} options
 * @returns {Promise<{ address: string, child: import('node:child_process').ChildProcess, stop: () => Promise<void> }>}
 */
export function startServer({ databaseUrl, port = 0, web, demo = 'none' }) {
  const env = {
    ...process.env,
    NODE_ENV: 'production',
    NUCLEON_DB_URL: databaseUrl,
    NUCLEON_PORT: String(port),
    NUCLEON_DEMO: demo,
    ...(web ? { NUCLEON_WEB: web } : {}),
  };
  const child = spawn(process.execPath, ['--import', 'tsx', 'src/main.ts'], {
    cwd: join(ROOT, 'apps', 'server'),
    env,
    stdio: ['ignore', 'pipe', 'inherit'],
    detached: true,
  });
  const stop = async () => {
    if (child.exitCode === null && child.signalCode === null) child.kill('SIGTERM');
    await ended(child);
  };
  return new Promise((resolve, reject) => {
    let out = '';
    child.stdout.on('data', (text) => {
      out += text;
      const address = /listening (http:\S+)/.exec(out)?.[1];
      if (address) resolve({ address, child, stop });
    });
    child.on('exit', (code) =>
      reject(new Error(`The server ended before it listened (code ${code}).`)),
    );
    child.on('error', reject);
  });
}
