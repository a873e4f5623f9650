import { mkdtempSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, expect, test, type Page } from '@playwright/test';
import { CHROMIUM_ARGS, CHROMIUM_PATH, PHONE } from '../scripts/setup/chromium.mjs';
import { noteSign, pressMain, toTheBench } from './bench';
import { ownStack } from './ownStack';

interface Connection {
  readonly query: (
    sql: string,
    values: unknown[],
  ) => Promise<[{ id: string; n: number }[], unknown]>;
  readonly end: () => Promise<void>;
}

/** What MariaDB itself has of a run, read past the server. */
async function storedEvents(url: string, runId: string): Promise<{ id: string; n: number }[]> {
  const require = createRequire(join(import.meta.dirname, '..', 'apps', 'server', 'package.json'));
  const mysql = require('mysql2/promise') as {
    createConnection: (url: string) => Promise<Connection>;
  };
  const connection = await mysql.createConnection(url);
  const [rows] = await connection.query('SELECT id, n FROM run_event WHERE run_id = ? ORDER BY n', [
    runId,
  ]);
  await connection.end();
  return rows;
}

/** What the device has written down. */
const keptIds = (page: Page, runId: string): Promise<string[]> =>
  page.evaluate(
    (id) =>
      new Promise<string[]>((resolve, reject) => {
        const asked = indexedDB.open('nucleon-bench');
        asked.onerror = () => {
          reject(asked.error ?? new Error('not opened'));
        };
        asked.onsuccess = () => {
          const keys = asked.result.transaction('events').objectStore('events').getAllKeys();
          keys.onsuccess = () => {
            const pairs = keys.result as [string, string][];
            resolve(pairs.flatMap(([run, event]) => (run === id ? [event] : [])).sort());
          };
        };
      }),
    runId,
  );

async function everyEventOnce(page: Page, url: string, runId: string): Promise<void> {
  await expect(page.getByTestId('run-mark')).toContainText('Logged');
  const kept = await keptIds(page, runId);
  const stored = await storedEvents(url, runId);
  expect(stored.map(({ id }) => id).sort()).toEqual(kept);
  expect(stored.map(({ n }) => n)).toEqual(stored.map((_, index) => index + 1));
}

async function openArbor(page: Page, address: string): Promise<string> {
  await page.goto(address);
  await page.getByTestId('jobs').getByText('Clock court: dial house').click();
  await page.getByTestId('hole-Arbor').click();
  await page.getByTestId('drill').click();
  return toTheBench(page);
}

test(
  'the server is killed in the middle of a run and comes back',
  { tag: '@once' },
  async ({ page }) => {
    const { startDatabase, startServer } = await ownStack();
    const database = await startDatabase();
    let server = await startServer(database.url);
    try {
      const runId = await openArbor(page, server.address);
      await pressMain(page);
      await expect(page.getByTestId('run-mark')).toContainText('Logged');
      const port = Number(new URL(server.address).port);
      await server.stop();

      await noteSign(page, 'plume');
      await expect(page.getByTestId('run-mark')).toContainText('Kept here');
      await pressMain(page);
      await expect(page.getByTestId('run-line')).toHaveText('Paused');
      await pressMain(page);
      await page.getByTestId('run-end').click();
      await expect(page.getByTestId('run-line')).toHaveText('Through');

      server = await startServer(database.url, port);
      await everyEventOnce(page, database.url, runId);
      const run = (await (await fetch(`${server.address}/api/v1/runs/${runId}`)).json()) as {
        run: object;
      };
      expect(run.run).toMatchObject({ phase: 'through', signs: ['plume'], flagCount: 0 });
    } finally {
      await server.stop();
      await database.stop();
    }
  },
);

test(
  'the browser is closed in the middle of a run, without a server, and opened again',
  { tag: '@once' },
  async () => {
    const { startDatabase, startServer } = await ownStack();
    const database = await startDatabase();
    let server = await startServer(database.url);
    const profile = mkdtempSync(join(tmpdir(), 'nucleon-profile-'));
    const open = () =>
      chromium.launchPersistentContext(profile, {
        executablePath: CHROMIUM_PATH,
        args: CHROMIUM_ARGS,
        viewport: PHONE,
        serviceWorkers: 'allow',
      });
    let browser = await open();
    try {
      let page = await browser.newPage();
      const runId = await openArbor(page, server.address);
      await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
      const { address } = server;
      await server.stop();
      await pressMain(page);
      const startedMs = Date.now();
      await expect(page.getByTestId('run-line')).toContainText('Seat');
      await browser.close();

      // No server, no page open: the app comes from the device, the run from its record.
      browser = await open();
      page = await browser.newPage();
      await page.goto(`${address}/runs/${runId}`);
      await expect(page.getByTestId('run-line')).toContainText('Seat');
      await pressMain(page);
      const pausedMs = Date.now();
      await expect(page.getByTestId('story')).toContainText('Paused');
      const shown = await page.getByTestId('story').innerText();
      const [, seconds = 'NaN'] = /(\d+) s\s+Paused/.exec(shown) ?? [];
      expect(Math.abs(Number(seconds) - (pausedMs - startedMs) / 1000)).toBeLessThan(6);

      server = await startServer(database.url, Number(new URL(address).port));
      await everyEventOnce(page, database.url, runId);
    } finally {
      await browser.close();
      await server.stop();
      await database.stop();
    }
  },
);
