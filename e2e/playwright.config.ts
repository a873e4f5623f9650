import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { defineConfig } from '@playwright/test';
import { CHROMIUM_ARGS, CHROMIUM_PATH, PHONE, WIDE } from '../scripts/setup/chromium.mjs';

const PORT = Number(process.env.NUCLEON_E2E_PORT ?? 4191);
process.env.NUCLEON_E2E_DATA ??= mkdtempSync(join(tmpdir(), 'nucleon-e2e-'));

/** The real built app with a real MariaDB in a throw-away folder. */
export default defineConfig({
  testDir: '.',
  testMatch: '*.e2e.ts',
  outputDir: '../test-results',
  workers: 1,
  // A shared machine stalls for seconds at a time: a slow answer is not a wrong one.
  timeout: 120_000,
  expect: { timeout: 25_000 },
  reporter: process.env.NUCLEON_E2E_JSON
    ? [['list'], ['json', { outputFile: process.env.NUCLEON_E2E_JSON }]]
    : [['list']],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
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
  webServer: {
    // Killed, the journeys take the server and its database down with them.
    command: `exec setpriv --pdeathsig TERM node ../scripts/start.mjs --port ${PORT} --data ${process.env.NUCLEON_E2E_DATA}`,
    url: `http://127.0.0.1:${PORT}/api/v1/health`,
    timeout: 300_000,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 15_000 },
    stdout: 'pipe',
  },
});
