import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Keeper } from './console';
import { main } from './main';

const COPIED = '/data/backups/before-restore.sql.gz';
const keeper: Keeper = {
  backUp: (path) => writeFile(path, 'a backup'),
  restore: (path) =>
    Promise.resolve(
      path.endsWith('good.gz')
        ? { kind: 'restored', head: { at: '2026-05-02T09:00:00.000Z' }, copiedTo: COPIED }
        : { kind: 'refused', why: `“${path}” cannot be put back: it was cut short.` },
    ),
};

async function run(given: { readonly keeper?: Keeper }, ...words: string[]) {
  const lines = { out: [] as string[], err: [] as string[] };
  const code = await main(words, {
    out: (line) => lines.out.push(line),
    err: (line) => lines.err.push(line),
    ...given,
  });
  return { code, out: lines.out.join(), err: lines.err.join() };
}

it('writes a backup under a new name, and over nothing', async () => {
  const path = join(await mkdtemp(join(tmpdir(), 'nucleon-')), 'mine.gz');
  expect(await run({ keeper }, 'backup', path)).toMatchObject({
    code: 0,
    out: `${path}: 0.0 MB, read back and sound.`,
  });
  expect(await run({ keeper }, 'backup', path)).toMatchObject({
    code: 1,
    err: `“${path}” is there already; give another name. Nothing was written.`,
  });
});

it('says what was put back, and where what stood there lies', async () => {
  expect(await run({ keeper }, 'restore', 'good.gz', '--data', '/data')).toEqual({
    code: 0,
    out: `All is as it was at 2026-05-02T09:00:00.000Z. What stood there is in ${COPIED}.`,
    err: '',
  });
  expect(await run({ keeper }, 'restore', 'bad.gz')).toMatchObject({
    code: 1,
    err: '“bad.gz” cannot be put back: it was cut short.',
  });
});

it('says so where no database is within reach, or none can be written', async () => {
  expect(await run({}, 'restore', 'good.gz')).toMatchObject({
    code: 1,
    err: 'No database is within reach here.',
  });
  const full = { ...keeper, backUp: () => Promise.reject(new Error('the disk is full')) };
  expect(await run({ keeper: full }, 'backup', '/nowhere/x.gz')).toMatchObject({
    code: 1,
    err: 'the disk is full',
  });
});
