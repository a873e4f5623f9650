#!/usr/bin/env node
/** npm run mutate [-- ROOM or ROOM/FILE …]: breaks the core on purpose, one place at a time, and prints what the tests see, by room. */
import { spawn } from 'node:child_process';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { ROOT } from './setup/root.mjs';

const ALL = ['physics', 'plan', 'run', 'layout'];
/** Mutants that a room's tests must see, share. */
const WANTED = 0.85;
const SEEN = new Set(['Killed', 'Timeout']);
const UNSEEN = new Set(['Survived', 'NoCoverage']);

const rooms = process.argv.slice(2);
const code = await new Promise((resolve) => {
  const child = spawn(
    'setpriv',
    ['--pdeathsig', 'TERM', process.execPath, join(ROOT, 'node_modules', '.bin', 'stryker'), 'run'],
    {
      cwd: ROOT,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, NUCLEON_MUTATE: (rooms.length > 0 ? rooms : ALL).join(',') },
    },
  );
  child.on('error', () => resolve(1));
  child.on('exit', (status) => resolve(status ?? 1));
});
if (code !== 0) process.exit(code);

const { files } = JSON.parse(await readFile(join(ROOT, 'test-results', 'mutation.json'), 'utf8'));
const scores = new Map();
for (const [file, { mutants }] of Object.entries(files)) {
  const room = file.replace(/^packages\/core\/src\//, '').replace(/\/[^/]*$/, '');
  const score = scores.get(room) ?? { seen: 0, unseen: 0 };
  for (const { status } of mutants) {
    if (SEEN.has(status)) score.seen++;
    if (UNSEEN.has(status)) score.unseen++;
  }
  scores.set(room, score);
}
console.log('\nroom | mutants | seen');
for (const [room, { seen, unseen }] of [...scores].sort()) {
  const all = seen + unseen;
  const share = all === 0 ? 1 : seen / all;
  console.log(
    `${room} | ${all} | ${(100 * share).toFixed(0)} %${share < WANTED ? ' (too few)' : ''}`,
  );
}
