import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { defineConfig } from '@playwright/test';
import { CHROMIUM_ARGS, CHROMIUM_PATH, PHONE, WIDE } from '../scripts/setup/chromium.mjs';

/** One server for each worker, each on a port of its own: two walk at once and never meet. */
const PORTS = (process.env.NUCLEON_E2E_PORTS ?? '4191,4192').split(',');
const OWN_PORT = PORTS[Number(process.env.TEST_PARALLEL_INDEX ?? 0)];
process.env.NUCLEON_E2E_DATA ??= mkdtempSync(join(tmpdir(), 'nucleon-e2e-'));

/** Where the shared servers are, for what is set up once. */
export const ADDRESSES = PORTS.map((port) => `http://127.0.0.1:${port}`);

/** The real built app with a real MariaDB in a throw-away folder. */
export default defineConfig({
  testDir: '.',
  testMatch: '*.e2e.ts',
  outputDir: '../test-results',
  globalSetup: './plansByCalculation.ts',
  workers: PORTS.length,
  fullyParallel: true,
  // A shared machine stalls for seconds at a time: a slow answer is not a wrong one.
  timeout: 120_000,
  expect: { timeout: 25_000 },
  reporter: process.env.NUCLEON_E2E_JSON
    ? [['list'], ['json', { outputFile: process.env.NUCLEON_E2E_JSON }]]
    : [['list']],
  use: {
    baseURL: `http://127.0.0.1:${OWN_PORT}`,
    trace: 'off',
    // Kept files would answer for a server that a journey has taken away; the journey about them allows them.
    serviceWorkers: 'block',
    launchOptions: { executablePath: CHROMIUM_PATH, args: CHROMIUM_ARGS },
  },
  projects: [
    { name: 'phone', use: { viewport: PHONE, hasTouch: true, isMobile: true } },
    // What does not depend on the width is walked once.
    { name: 'wide', use: { viewport: WIDE }, grepInvert: /@once/ },
  ],
  webServer: PORTS.map((port) => ({
    // Killed, the journeys take the servers and their databases down with them.
    command: `exec setpriv --pdeathsig TERM node ../scripts/start.mjs --port ${port} --data ${process.env.NUCLEON_E2E_DATA}-${port}`,
    url: `http://127.0.0.1:${port}/api/v1/health`,
    timeout: 300_000,
    gracefulShutdown: { signal: 'SIGTERM' as const, timeout: 15_000 },
    stdout: 'pipe' as const,
  })),
});
