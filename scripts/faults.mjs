#!/usr/bin/env node
/**
 * npm run faults: takes parts of Nucleon away at random moments, in folders of its own and on the loopback
 * alone, and counts what came of it. Ends with 1 when anything was lost, doubled, left hanging or did not start.
 */
import { rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { parseArgs } from 'node:util';
import { backups } from './faults/backups.mjs';
import { badInputs } from './faults/badInputs.mjs';
import { browser } from './faults/browser.mjs';
import { cluster } from './faults/cluster.mjs';
import { disk } from './faults/disk.mjs';
import { folders } from './faults/folders.mjs';
import { freezes } from './faults/freezes.mjs';
import { kills, signedInKills, stops } from './faults/kills.mjs';
import { load } from './faults/load.mjs';
import { migrations } from './faults/migrations.mjs';
import { seeded } from './faults/random.mjs';
import { newFolder, orphansLeft } from './faults/stack.mjs';
import { writeReport } from './faults/report.mjs';
import {
  CHROMIUM,
  checkNode,
  ensureDebianPackages,
  ensureNpmPackages,
  MARIADB,
} from './setup/packages.mjs';
import { ensureWebBuild } from './setup/web.mjs';

const CAMPAIGNS = {
  folders,
  migrations,
  kills,
  signedInKills,
  stops,
  freezes,
  load,
  badInputs,
  disk,
  backups,
  browser,
  cluster,
};
/** What must be none. */
const BAD = ['lost', 'doubled', 'failedToStart', 'hung', 'cut', 'orphans', 'unsaid'];
const DEFAULT_SEED = 20261127;

const { values } = parseArgs({
  options: {
    short: { type: 'boolean', default: false },
    seed: { type: 'string', default: String(DEFAULT_SEED) },
    only: { type: 'string' },
    write: { type: 'boolean', default: false },
  },
});
const names = values.only?.split(',') ?? Object.keys(CAMPAIGNS);
const unknown = names.find((name) => !(name in CAMPAIGNS));
if (unknown) {
  console.error(`--only is “${unknown}”; it may be ${Object.keys(CAMPAIGNS).join(', ')}.`);
  process.exit(2);
}
checkNode();
await ensureNpmPackages();
await ensureDebianPackages({ ...MARIADB, ...CHROMIUM });
await ensureWebBuild();
const work = await newFolder(tmpdir(), 'nucleon-faults-');
const rows = [];
for (const name of names) {
  console.log(`▸ ${name}`);
  const began = Date.now();
  const random = seeded(Number(values.seed));
  const came = await CAMPAIGNS[name]({ work, random, short: values.short }).catch((error) => ({
    failedToStart: 1,
    why: error.message.slice(0, 300),
  }));
  const orphans = (came.orphans ?? 0) + (await orphansLeft());
  rows.push({ campaign: name, ...came, orphans, seconds: Math.round((Date.now() - began) / 1000) });
}
await rm(work, { recursive: true, force: true });
console.table(rows);
if (values.write) await writeReport(rows, values);
const failed = rows.filter((row) => BAD.some((name) => (row[name] ?? 0) > 0));
console.log(
  JSON.stringify({
    seed: Number(values.seed),
    passed: rows.length - failed.length,
    failed,
  }),
);
process.exit(failed.length === 0 ? 0 : 1);
