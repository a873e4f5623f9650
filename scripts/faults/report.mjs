/** docs/reliability.md: what `npm run faults` counted, as a page. */
import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { format } from 'prettier';
import { ROOT } from '../setup/root.mjs';

/** What each campaign takes away, and when. */
const WHAT = {
  folders: 'data folders that are read-only, of somebody else, half written, or in use',
  migrations: 'the server killed while it brings a database to a new version',
  kills:
    'server, database or both killed at random moments while devices write all that they write',
  signedInKills: 'the same with everybody signed in, behind a proxy',
  stops: 'server and database told to stop while devices write',
  freezes: 'the database frozen for seconds while devices write and read',
  load: 'four times the writes this machine can take',
  badInputs:
    'documents, files, archives and pictures spoiled by hand and at random, to every door that takes something',
  disk: 'a disk that fills up, and one that cannot be written to',
  backups: 'a copy or a restore killed at any moment',
  browser: 'the browser killed in the middle of a run, offline',
  cluster:
    'of three database nodes and two servers a node, a server, both, or two nodes, killed, frozen, stopped or cut off while three devices write',
};

/** What each count says. */
const COUNTS = {
  tried: 'tried',
  kills: 'killed',
  lost: 'acknowledged and gone',
  doubled: 'stored twice',
  unanswered: 'without an answer, kept or not',
  hung: 'left waiting',
  cut: 'cut off, or answered with an unexpected fault',
  unsaid: 'refused without a sentence',
  failedToStart: 'did not start',
  orphans: 'processes left behind',
  backWithinMs: 'back within, ms',
  waitedMs: 'a device waited, ms',
  withoutQuorumMs: 'a device waited where two of three nodes were gone, ms',
};

/** @param {{ campaign: string }[]} rows */
export async function writeReport(rows, { seed, short }) {
  const { version } = JSON.parse(await readFile(join(ROOT, 'package.json'), 'utf8'));
  const names = Object.keys(COUNTS).filter((name) => rows.some((row) => name in row));
  const line = (cells) => `| ${cells.join(' | ')} |`;
  const text = `# Reliability

Written by \`npm run faults -- ${short ? '--short ' : ''}--write\` (version ${version}, seed ${seed}); not by hand. Each campaign works on a data folder of
its own, with the whole program as a person starts it. What was acknowledged is held against the database afterwards.

${line(['what is taken away', ...names.map((name) => COUNTS[name])])}
${line(['---', ...names.map(() => '---:')])}
${rows.map((row) => line([WHAT[row.campaign], ...names.map((name) => row[name] ?? '')])).join('\n')}

Back within: a server that dies again and again is started later each time, by up to ten seconds; one that had stood for ten
is started after half a second.

A wait counts as one beyond what the machine itself stood still meanwhile, which a few bytes written through to the disk, again and
again, tell.

A number under “without an answer” is what a kill leaves open: the device keeps it and sends it again under the same id,
and the database has it once. \`npm test\` walks a short form of all of it.

Who may ask what, each of the routes as each role, as somebody of another workshop and as nobody, is in
[access.md](access.md), and tested by asking.
`;
  const path = join(ROOT, 'docs', 'reliability.md');
  await writeFile(
    path,
    await format(text, { parser: 'markdown', proseWrap: 'preserve', printWidth: 120 }),
  );
}
