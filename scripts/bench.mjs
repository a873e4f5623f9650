#!/usr/bin/env node
/** npm run bench: the figures of the budgets that exist so far, as a table and a JSON object. */
import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { benchBeside } from './bench/beside.mjs';
import { benchDrag } from './bench/drag.mjs';
import { startMariadb } from './setup/mariadb.mjs';
import {
  checkNode,
  CHROMIUM,
  ensureDebianPackages,
  ensureNpmPackages,
  MARIADB,
} from './setup/packages.mjs';
import { ROOT } from './setup/root.mjs';
import { capture, sleep } from './setup/run.mjs';
import { startServer } from './setup/server.mjs';
import { ensureWebBuild, WEB_FOLDER } from './setup/web.mjs';

const HOLES = 5000;
const HOLES_A_JOB = 100;
const REQUESTS_PER_S = 50;
const SECONDS = 12;
const LOADS = 5;

const percentile = (values, share) =>
  [...values].sort((a, b) => a - b)[Math.floor(share * (values.length - 1))];

/** What a script of the core prints as its last line. */
async function benchCore(name) {
  const { code, out } = await capture('npx', ['--no-install', 'tsx', `scripts/bench/${name}`], {
    cwd: ROOT,
  });
  if (code !== 0) throw new Error(out);
  return JSON.parse(out.trim().split('\n').at(-1));
}

/** From the address to a button that answers, with nothing cached; and the JavaScript asked for, gzipped. */
async function benchFirstLoad(address) {
  const { chromium } = await import('@playwright/test');
  const { CHROMIUM_ARGS, CHROMIUM_PATH } = await import('./setup/chromium.mjs');
  const browser = await chromium.launch({ executablePath: CHROMIUM_PATH, args: CHROMIUM_ARGS });
  const times = [];
  const scripts = new Map();
  for (let load = 0; load < LOADS; load++) {
    const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
    page.on('response', (response) => {
      const { pathname } = new URL(response.url());
      if (pathname.endsWith('.js')) scripts.set(pathname, join(WEB_FOLDER, pathname));
    });
    const began = performance.now();
    await page.goto(address);
    await page.getByTestId('new-hole').waitFor();
    times.push(performance.now() - began);
    await page.close();
  }
  await browser.close();
  let bytes = 0;
  for (const path of scripts.values()) bytes += gzipSync(await readFile(path)).length;
  return { interactiveMs: percentile(times, 0.5), gzipKb: bytes / 1000 };
}

async function fillWithHoles(address) {
  const demo = JSON.parse(await readFile(join(ROOT, 'demo', '1-dial-house.json'), 'utf8'));
  const [piece] = demo.pieces;
  const [run] = demo.log;
  const jobs = [];
  for (let job = 0; job < HOLES / HOLES_A_JOB; job++) {
    const holes = Array.from({ length: HOLES_A_JOB }, (_, index) => ({
      ...piece.holes[0],
      id: `h${index}`,
      xMm: 60 + (index % 10) * 30,
      yMm: 60 + Math.floor(index / 10) * 30,
    }));
    const outline = { kind: 'rectangle', widthMm: 420, heightMm: 420 };
    const log = holes.map(({ id }, index) => ({
      runId: `bench-${job}-${index}`,
      events: run.events.map((event) => ({
        ...event,
        id: `${job}-${index}-${event.id}`,
        ...(event.act.kind === 'open'
          ? {
              act: {
                ...event.act,
                subject: { ...event.act.subject, jobId: `bench${job}`, pieceId: 'p', holeId: id },
              },
            }
          : {}),
      })),
    }));
    const file = {
      ...demo,
      log,
      job: { id: `bench${job}`, name: `Bench ${job}` },
      pieces: [{ ...piece, outline, id: 'p', holes }],
    };
    const response = await fetch(`${address}/api/v1/import`, {
      method: 'POST',
      body: JSON.stringify(file),
      headers: { 'content-type': 'application/json' },
    });
    if (!response.ok) throw new Error(await response.text());
    jobs.push((await response.json()).jobId);
  }
  return jobs;
}

async function benchApi(address) {
  const jobs = await fillWithHoles(address);
  // What five thousand holes tell is learned first: every plan is made anew by it once.
  for (let isBehind = true; isBehind;)
    ({ isBehind } = await (await fetch(`${address}/api/v1/learning`)).json());
  const job = await (await fetch(`${address}/api/v1/jobs/${jobs[0]}`)).json();
  const holes = job.pieces[0].holes.map((hole) => hole.id);
  const paths = [
    '/api/v1/jobs',
    `/api/v1/jobs/${jobs[1]}`,
    ...holes.slice(0, 6).map((id) => `/api/v1/holes/${id}`),
    '/api/v1/bits',
    '/api/v1/jobs?search=bench%204',
    '/api/v1/runs?pageSize=30',
    '/api/v1/runs?search=bench%204&outcome=fine',
    '/api/v1/runs/bench-0-0',
  ];
  /** One request every 20 ms, whether or not the last has answered; times from when it was due. */
  const run = async (seconds) => {
    const began = performance.now();
    const answers = Array.from({ length: seconds * REQUESTS_PER_S }, async (_, index) => {
      const due = (index * 1000) / REQUESTS_PER_S;
      await sleep(due);
      const response = await fetch(address + paths[index % paths.length]);
      await response.arrayBuffer();
      return response.ok ? performance.now() - began - due : Infinity;
    });
    return Promise.all(answers);
  };
  await run(3);
  return percentile(await run(SECONDS), 0.95);
}

checkNode();
await ensureNpmPackages();
await ensureDebianPackages({ ...MARIADB, ...CHROMIUM });
await ensureWebBuild();
const work = await mkdtemp(join(tmpdir(), 'nucleon-bench-'));
const database = await startMariadb(work);
const server = await startServer({ databaseUrl: database.url, web: WEB_FOLDER, demo: 'load' });
const rows = [];
try {
  const plans = await benchCore('plans.mts');
  const plates = await benchCore('plates.mts');
  rows.push(
    ['plan of one hole, median', plans.plan.medianMs, 2, 'ms'],
    ['plan of one hole, p95', plans.plan.p95Ms, 2, 'ms'],
    ['Monte Carlo of one hole, 10 000 draws, p95', plans.risk.p95Ms, 60, 'ms'],
    ['working window 120 × 120, p95', plans.window.p95Ms, 40, 'ms'],
    ['ranking the kit for one hole, p95', plans.rank.p95Ms, 300, 'ms'],
    ['methods compared on one hole, p95', plans.compare.p95Ms, 300, 'ms'],
  );
  rows.push(
    ['bending of one hole as planned, p95', plans.bend.p95Ms, 700, 'ms'],
    ['plate 60 × 60, cold', plates.coldMs, 700, 'ms'],
    ['plate 60 × 60, load moved', plates.movedMs, 150, 'ms'],
    ['its factor, beside the library’s', plates.ownMs, plates.libraryMs, 'ms'],
    ['plate 120 × 120, memory', plates.memoryMb, 200, 'MB'],
    ['first pass of the map of odds, 400 × 300 pane', plates.firstMapMs, 3000, 'ms'],
  );
  const { learn500Ms, learn5000Ms } = await benchCore('learning.mts');
  rows.push(
    ['all that a log of 500 holes tells', learn500Ms, 300, 'ms'],
    ['all that a log of 5,000 holes tells', learn5000Ms, 1000, 'ms'],
  );
  const { interactiveMs, gzipKb } = await benchFirstLoad(server.address);
  rows.push(
    ['JavaScript of the first page, gzip', gzipKb, 900, 'kB'],
    ['first load to interactive', interactiveMs, 2500, 'ms'],
  );
  const demo = JSON.parse(await readFile(join(ROOT, 'demo', '1-dial-house.json'), 'utf8'));
  const { framesPerS, moved } = await benchDrag(server.address, demo);
  if (!moved) throw new Error('The hole was not dragged: nothing was measured.');
  rows.push(['dragging one of 200 holes, time of a frame', 1000 / framesPerS, 1000 / 55, 'ms']);
  rows.push([
    `API p95 at ${REQUESTS_PER_S}/s, ${HOLES} holes`,
    await benchApi(server.address),
    25,
    'ms',
  ]);
  const { alone, beside } = await benchBeside(server.address, demo);
  rows.push(
    ['a light request by itself, p99', alone.p99, 100, 'ms'],
    ['a light request while all heavy ones run, p50', beside.p50, 100, 'ms'],
    ['a light request while all heavy ones run, p99', beside.p99, 100, 'ms'],
  );
} finally {
  await server.stop();
  await database.stop();
  await rm(work, { recursive: true, force: true });
}
const shown = rows.map(([name, value, budget, unit]) => ({
  figure: name,
  value: Number(value.toFixed(value < 10 ? 3 : 0)),
  budget,
  unit,
  within: value <= budget,
}));
console.table(shown);
console.log(JSON.stringify(Object.fromEntries(shown.map(({ figure, ...rest }) => [figure, rest]))));
process.exit(shown.every((row) => row.within) ? 0 : 1);
