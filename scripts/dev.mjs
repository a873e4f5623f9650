#!/usr/bin/env node
/** npm run dev: demo data, the server started again and the app reloaded as their files change. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { takeFolder } from './setup/lock.mjs';
import { freePort } from './setup/freePort.mjs';
import { startMariadb } from './setup/mariadb.mjs';
import { checkNode, ensureDebianPackages, ensureNpmPackages, MARIADB } from './setup/packages.mjs';
import { ROOT } from './setup/root.mjs';
import { endChild, sleep } from './setup/run.mjs';

const USAGE = `npm run dev -- [--port N] [--data DIR]

  --port N    serve the app on this port of 127.0.0.1 (default 4188)
  --data DIR  keep the database here (default .data/dev)`;
const STOP_TIMEOUT_MS = 10_000;
const UP_TIMEOUT_MS = 60_000;

function readOptions() {
  const { values } = parseArgs({
    options: {
      port: { type: 'string', default: '4188' },
      data: { type: 'string', default: join(ROOT, '.data', 'dev') },
      help: { type: 'boolean', default: false },
    },
  });
  const port = Number(values.port);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Error(`--port is “${values.port}”; it must be a whole number from 1 to 65535.`);
  return { ...values, port };
}

/** What was started, ended in turn when this ends; the last first. */
const started = [];
let stopping;
const stopAll = () =>
  (stopping ??= (async () => {
    for (const stop of started.reverse()) await stop();
  })());

/** A child that ends with this process, however that dies. */
function child(words, cwd, env) {
  const one = spawn('setpriv', ['--pdeathsig', 'TERM', process.execPath, ...words], {
    cwd: join(ROOT, cwd),
    env: { ...process.env, ...env },
    stdio: ['ignore', 'inherit', 'inherit'],
  });
  started.push(() => endChild(one, STOP_TIMEOUT_MS));
  one.on('exit', (code) => {
    if (!stopping) void stopAll().then(() => process.exit(code ?? 1));
  });
}

async function answers(address) {
  for (const until = Date.now() + UP_TIMEOUT_MS; Date.now() < until; await sleep(200)) {
    const response = await fetch(address).catch(() => null);
    if (response?.ok) return;
  }
  throw new Error(`${address} did not answer within ${UP_TIMEOUT_MS / 1000} s.`);
}

async function main() {
  const options = readOptions();
  if (options.help) {
    console.log(USAGE);
    return;
  }
  const from = Date.now();
  checkNode();
  const lock = await takeFolder(options.data);
  started.push(() => lock.release());
  await ensureNpmPackages();
  await ensureDebianPackages(MARIADB);
  const apiPort = await freePort();
  const api = `http://127.0.0.1:${apiPort}`;
  // The app's bundle is made while the database and the server come up.
  child(
    [join(ROOT, 'node_modules', '.bin', 'expo'), 'start', '--port', String(options.port)],
    'apps/app',
    {
      EXPO_OFFLINE: '1',
      EXPO_NO_TELEMETRY: '1',
      EXPO_NO_TYPESCRIPT_SETUP: '1',
      BROWSER: 'none',
      NUCLEON_API: api,
    },
  );
  const database = await startMariadb(join(options.data, 'mariadb'), { durable: false });
  started.push(() => database.stop());
  child(
    [join(ROOT, 'node_modules', '.bin', 'tsx'), 'watch', '--clear-screen=false', 'src/main.ts'],
    'apps/server',
    { NUCLEON_DB_URL: database.url, NUCLEON_PORT: String(apiPort), NUCLEON_DEMO: 'load' },
  );
  await answers(`${api}/api/v1/health`);
  const app = `http://127.0.0.1:${options.port}`;
  await answers(`${app}/status`);
  // The first page's code is put together now rather than when somebody waits for it.
  const page = await fetch(app, { headers: { accept: 'text/html' } });
  const script = /<script src="([^"]+)"/.exec(await page.text())?.[1];
  if (script) await (await fetch(new URL(script.replaceAll('&amp;', '&'), app))).arrayBuffer();
  console.log(
    `Nucleon is at http://localhost:${options.port}, after ${Math.round((Date.now() - from) / 1000)} s; changes reload it  (Ctrl-C stops it)`,
  );
}

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) {
  process.on(signal, () => void stopAll().then(() => process.exit(0)));
}
main().catch(async (error) => {
  console.error(error.message);
  await stopAll();
  process.exit(1);
});
