#!/usr/bin/env node
/** npm run screenshots: one current picture of each main view, from fresh demo data. */
import { mkdir, mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CHROMIUM_ARGS, CHROMIUM_PATH, PHONE, WIDE } from './setup/chromium.mjs';
import { startMariadb } from './setup/mariadb.mjs';
import {
  checkNode,
  CHROMIUM,
  ensureDebianPackages,
  ensureNpmPackages,
  MARIADB,
} from './setup/packages.mjs';
import { ROOT } from './setup/root.mjs';
import { sleep } from './setup/run.mjs';
import { startServer } from './setup/server.mjs';
import { ensureWebBuild, WEB_FOLDER } from './setup/web.mjs';

/** Demo ids are fixed, so that every view has an address. */
const job = (n) => `/jobs/0192d0c0-0010-7000-8000-00000000000${n}`;
const hole = (inJob, n) =>
  `${job(inJob)}/holes/0192d0c0-0030-7000-8000-0000000000${String(n).padStart(2, '0')}`;
const piece = (inJob, n, view) =>
  `${job(inJob)}/pieces/0192d0c0-0020-7000-8000-0000000000${String(n).padStart(2, '0')}/${view}`;

/** Plans are made anew while the demo's log is learned from: pictures begin when two looks at all of them are alike. */
async function plansHaveSettled(address) {
  const look = async (n) => (await fetch(`${address}/api/v1${job(n)}`)).text();
  for (let before = ''; ;) {
    const now = (await Promise.all([1, 2, 3, 4].map(look))).join('\n');
    if (now === before) return;
    before = now;
    await sleep(3000);
  }
}

/** The plan with its bending in it, where the piece bends. */
const planned = async (page) => {
  await page.getByTestId('figure-feedForceN').waitFor();
  await page.waitForTimeout(1500);
};

/** A run of the hole as it stands so many seconds in: gates answered, list ticked, by a clock of its own. */
const running = (seconds, then) => async (page) => {
  await page.clock.install();
  await page.getByTestId('ready-items').waitFor();
  for (;;) {
    const gate = page
      .locator('[data-testid^="gate-"]')
      .getByRole('button')
      .filter({ hasNotText: 'Take back' });
    if ((await gate.count()) === 0) break;
    await gate.first().click();
    await page.waitForTimeout(400);
  }
  const open = page.getByTestId('ready-items').locator('[role=checkbox][aria-checked=false]');
  while ((await open.count()) > 0) {
    await open.first().click();
    await page.waitForTimeout(200);
  }
  await page.getByText('To the bench').click();
  await page.getByTestId('run-main').click();
  await page.clock.runFor(seconds * 1000);
  await then?.(page);
  await page.clock.resume();
};

const VIEWS = [
  {
    name: 'jobs-phone',
    path: '/',
    act: (page) => page.getByTestId('tour-skip').click(),
  },
  { name: 'log-phone', path: '/log', act: (page) => page.getByTestId('log').waitFor() },
  {
    name: 'job-phone',
    path: job(2),
    act: (page) => page.getByText('Slate sundial plate').waitFor(),
  },
  { name: 'plan-phone', path: hole(1, 1), act: planned },
  { name: 'plan-wide', path: hole(1, 1), wide: true, act: planned },
  { name: 'new-hole-phone', path: '/new' },
  {
    name: 'know-phone',
    path: `${hole(1, 4)}/know`,
    act: async (page) => {
      await page.getByTestId('know-kind').getByRole('radio', { name: 'Glass' }).click();
      await page.getByTestId('know-help').click();
      for (let asked = 0; asked < 8; asked++) {
        await page.waitForTimeout(300);
        if (await page.getByTestId('know-at-q:control').isVisible()) return;
        await page.getByTestId('know-skip').click();
      }
    },
  },
  { name: 'purpose-wide-dark', path: `${hole(2, 8)}/purpose`, wide: true, dark: true },
  {
    name: 'place-wide',
    path: piece(3, 11, 'place'),
    wide: true,
    act: async (page) => {
      const box = await page.getByTestId('plan-canvas').boundingBox();
      const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
      await page.mouse.move(x, y);
      await page.mouse.down();
      await page.mouse.move(x + 30, y + 60);
      await page.mouse.move(x + 60, y + 110);
      await page.mouse.up();
    },
  },
  {
    name: 'kit-phone',
    path: '/kit?check=0192d0c0-0001-7000-8000-000000000005',
    act: async (page) => {
      await page.getByText('Runs true').click();
      await page.getByText('Smooth all round, it slides').click();
    },
  },
  {
    name: 'choose-phone',
    path: `${hole(1, 1)}/choose`,
    act: (page) => page.getByTestId('ranked-1').waitFor(),
  },
  {
    name: 'window-wide',
    path: `${hole(1, 1)}/window`,
    wide: true,
    act: (page) => page.getByTestId('window-map').waitFor(),
  },
  {
    name: 'held-wide',
    path: `${hole(2, 5)}/held`,
    wide: true,
    act: async (page) => {
      for (let pad = 0; pad < 4; pad++) await page.getByTestId('add-pad').click();
      await page.getByTestId('supports').waitFor();
      await page.getByText('It rests on 4 pads').waitFor();
      await page.waitForTimeout(2500);
      await page.getByRole('heading', { level: 1 }).scrollIntoViewIfNeeded();
    },
  },
  {
    name: 'water-phone',
    path: `${hole(1, 1)}/water`,
    act: async (page) => {
      await page.getByTestId('rim-chart').locator('path').first().waitFor();
      await page.getByTestId('clearness').evaluate((node) => {
        node.scrollIntoView();
      });
      await page.waitForTimeout(500);
    },
  },
  {
    name: 'through-phone-dark',
    path: `${hole(2, 8)}/through`,
    dark: true,
    act: (page) => page.getByTestId('moments').waitFor(),
  },
  { name: 'run-phone', path: `${hole(1, 1)}/ready`, act: running(150) },
  {
    name: 'ready-phone',
    path: `${hole(4, 18)}/ready`,
    act: async (page) => {
      for (const tick of ['ready-light', 'ready-packing', 'answer-rcd-tested'])
        await page.getByTestId(tick).click();
      await page.getByTestId('answers-there').scrollIntoViewIfNeeded();
    },
  },
  {
    name: 'jobs-wide',
    path: '/',
    wide: true,
    act: (page) => page.getByTestId('tour-skip').click(),
  },
  {
    name: 'operations-wide',
    path: `${hole(4, 15)}/operations`,
    wide: true,
    act: async (page) => {
      await page.getByTestId('operation-row-bore').click();
      await page.waitForTimeout(1500);
    },
  },
];

checkNode();
await ensureNpmPackages();
await ensureDebianPackages({ ...MARIADB, ...CHROMIUM });
await ensureWebBuild();
const folder = join(ROOT, 'docs', 'screenshots');
await mkdir(folder, { recursive: true });
const work = await mkdtemp(join(tmpdir(), 'nucleon-shots-'));
const database = await startMariadb(work);
const server = await startServer({ databaseUrl: database.url, web: WEB_FOLDER, demo: 'load' });
const { chromium } = await import('@playwright/test');
const browser = await chromium.launch({ executablePath: CHROMIUM_PATH, args: CHROMIUM_ARGS });
try {
  await plansHaveSettled(server.address);
  // Names after the command take just those pictures.
  const wanted = process.argv.slice(2);
  for (const { name, path, wide = false, dark = false, act } of VIEWS) {
    if (wanted.length > 0 && !wanted.includes(name)) continue;
    const page = await browser.newPage({
      viewport: wide ? WIDE : PHONE,
      colorScheme: dark ? 'dark' : 'light',
    });
    // A stream that stays open would never leave the line idle.
    await page.route('**/api/v1/news', (route) => route.abort());
    await page.goto(server.address + path);
    const isHere = () => page.waitForFunction(`!document.body.innerText.includes('Fetching')`);
    await page.waitForLoadState('networkidle');
    await isHere();
    await act?.(page);
    await page.mouse.move(0, 0);
    await page.waitForTimeout(400);
    // On a slow machine it may have begun to fetch only after it was looked for.
    await isHere();
    await page.screenshot({ path: join(folder, `${name}.png`) });
    await page.close();
    console.log(`docs/screenshots/${name}.png`);
  }
} finally {
  await browser.close();
  await server.stop();
  await database.stop();
  await rm(work, { recursive: true, force: true });
}
