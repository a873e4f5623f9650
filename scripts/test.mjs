#!/usr/bin/env node
/**
 * npm test: its own set-up, then every check; ends with one line that sums all tests.
 * npm test -- --only core (or another part, or several) runs that alone.
 */
import { spawn } from 'node:child_process';
import { readFile, rm } from 'node:fs/promises';
import { availableParallelism, tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { newFolder } from './faults/stack.mjs';
import { freePort } from './setup/freePort.mjs';
import {
  checkNode,
  CHROMIUM,
  ensureDebianPackages,
  ensureNpmPackages,
  MARIADB,
} from './setup/packages.mjs';
import { ROOT } from './setup/root.mjs';
import { capture } from './setup/run.mjs';
import { ensureServerBuild } from './setup/serverBuild.mjs';
import { ensurePseudoBuild, ensureWebBuild } from './setup/web.mjs';

const work = await newFolder(tmpdir(), 'nucleon-test-');

/** Runs one command of the project with its output shown; whether it passed. */
function passes(command, words, env = {}) {
  console.log(`\n▸ ${command} ${words.join(' ')}`);
  return new Promise((resolve) => {
    // Killed, a test takes what it started down with it.
    const program = [process.execPath, join(ROOT, 'node_modules', '.bin', command)];
    const child = spawn('setpriv', ['--pdeathsig', 'TERM', ...program, ...words], {
      cwd: ROOT,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, ...env },
    });
    child.on('error', () => resolve(false));
    child.on('exit', (code) => resolve(code === 0));
  });
}

const readJson = async (path) => JSON.parse(await readFile(path, 'utf8').catch(() => 'null'));

/** Each check counts as one test: format, lint, dependencies, imports, types. */
async function runChecks() {
  const types = [
    'packages/core/tsconfig.pure.json',
    'packages/core',
    'packages/contract',
    'packages/files',
    'apps/server',
    'cli',
    'apps/app',
    'e2e',
    'scripts',
  ];
  const checks = [
    ['prettier', ['--check', '--log-level', 'warn', '.']],
    ['eslint', ['.', '--max-warnings', '0']],
    // What is imported is declared, and what is declared is used.
    ['knip', ['--no-progress']],
    [
      'depcruise',
      [
        '--config',
        '.dependency-cruiser.cjs',
        'packages',
        'apps/server/src',
        'apps/app/src',
        'apps/app/app',
        'cli/src',
      ],
    ],
    ['depcruise', ['--config', '.dependency-cruiser.page.cjs', 'apps/app/app']],
    ...types.map((project) => ['tsc', ['-p', project]]),
  ];
  const failed = [];
  const left = [...checks];
  // One for each core, their output kept together.
  const worker = async () => {
    for (let next = left.shift(); next; next = left.shift()) {
      const [command, words] = next;
      const program = join(ROOT, 'node_modules', '.bin', command);
      const { code, out } = await capture(process.execPath, [program, ...words]);
      console.log(`\n▸ ${command} ${words.join(' ')}\n${out.trim()}`);
      if (code !== 0) failed.push(`${command} ${words.join(' ')}`);
    }
  };
  await Promise.all(Array.from({ length: availableParallelism() }, worker));
  return { passed: checks.length - failed.length, failed };
}

async function runJest(projects) {
  const out = join(work, 'jest.json');
  const chosen = ['--selectProjects', ...projects];
  const ok = await passes('jest', ['--json', `--outputFile=${out}`, ...chosen]);
  const report = await readJson(out);
  const failed = report ? report.numFailedTests + report.numRuntimeErrorTestSuites : 1;
  return {
    passed: report?.numPassedTests ?? 0,
    failed: Array(ok ? failed : Math.max(failed, 1)).fill('jest'),
  };
}

async function runPlaywright() {
  const out = join(work, 'playwright.json');
  const env = {
    NUCLEON_E2E_JSON: out,
    NUCLEON_E2E_PORTS: [await freePort(), await freePort()].join(),
    NUCLEON_E2E_DATA: join(work, 'e2e'),
  };
  const ok = await passes('playwright', ['test', '-c', 'e2e/playwright.config.ts'], env);
  const stats = (await readJson(out))?.stats;
  // What passes only when it is tried again has failed.
  const failed = stats ? stats.unexpected + stats.flaky : 1;
  return {
    passed: stats?.expected ?? 0,
    failed: Array(ok ? failed : Math.max(failed, 1)).fill('playwright'),
  };
}

/** The short form of the campaign that takes parts away; each of its parts counts as one test. */
async function runFaults() {
  console.log('\n▸ faults --short');
  const { code, out } = await capture(process.execPath, [
    join(ROOT, 'scripts', 'faults.mjs'),
    '--short',
  ]);
  console.log(out);
  const sum = /\{"seed".*\}/.exec(out)?.[0];
  const { passed, failed } = sum ? JSON.parse(sum) : { passed: 0, failed: [] };
  const said = failed.map((row) => `faults: ${JSON.stringify(row)}`);
  return { passed, failed: code === 0 || said.length > 0 ? said : ['faults'] };
}

const JEST_PARTS = ['core', 'contract', 'files', 'server', 'cli', 'scripts', 'app'];
const PARTS = ['checks', ...JEST_PARTS, 'faults', 'journeys'];

/** The parts that are asked for: all, unless some are named. */
function readParts() {
  const { values } = parseArgs({ options: { only: { type: 'string', multiple: true } } });
  const only = (values.only ?? []).flatMap((names) => names.split(','));
  for (const name of only)
    if (!PARTS.includes(name)) {
      console.error(`--only ${name} is no part of the tests; use ${PARTS.join(', ')}.`);
      process.exit(1);
    }
  return only.length > 0 ? only : PARTS;
}

const parts = readParts();
checkNode();
await ensureNpmPackages();
const database = ['server', 'faults', 'journeys'].some((part) => parts.includes(part));
const browser = parts.includes('journeys');
await ensureDebianPackages({ ...(database ? MARIADB : {}), ...(browser ? CHROMIUM : {}) });
const results = [];
if (parts.includes('checks')) results.push(await runChecks());
const projects = JEST_PARTS.filter((part) => parts.includes(part));
if (projects.length > 0) results.push(await runJest(projects));
if (parts.includes('faults') || browser) {
  await ensureWebBuild();
  await ensureServerBuild();
}
if (browser) await ensurePseudoBuild();
if (parts.includes('faults')) results.push(await runFaults());
if (browser) results.push(await runPlaywright());
await rm(work, { recursive: true, force: true });

const passed = results.reduce((sum, result) => sum + result.passed, 0);
const failed = results.flatMap((result) => result.failed);
if (failed.length > 0) console.log(`\nFailed: ${[...new Set(failed)].join('; ')}`);
console.log(`\n${passed} passed, ${failed.length} failed`);
process.exit(failed.length === 0 ? 0 : 1);
