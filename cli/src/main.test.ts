import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { main } from './main';
import { NUCLEON_VERSION } from './version';

const DEMO = join(__dirname, '../../demo/1-dial-house.json');

async function run(...words: string[]): Promise<{ code: number; out: string; err: string }> {
  const out: string[] = [];
  const err: string[] = [];
  const code = await main(words, { out: (text) => out.push(text), err: (text) => err.push(text) });
  return { code, out: out.join('\n'), err: err.join('\n') };
}

function written(text: string): string {
  const path = join(mkdtempSync(join(tmpdir(), 'nucleon-cli-')), 'job.json');
  writeFileSync(path, text);
  return path;
}

const changed = (change: (file: any) => void): string => {
  const file = JSON.parse(readFileSync(DEMO, 'utf8')) as object;
  change(file);
  return written(JSON.stringify(file));
};

it('prints the plan of every hole with its reasons', async () => {
  const { code, out, err } = await run('plan', DEMO);
  expect([code, err]).toEqual([0, '']);
  const printed = JSON.parse(out) as {
    nucleon: string;
    model: string;
    holes: Record<string, unknown>[];
  };
  expect(printed.nucleon).toBe(NUCLEON_VERSION);
  expect(printed.holes).toHaveLength(4);
  for (const key of [
    'holeId',
    'rpm',
    'feedForceN',
    'contactPressureMpa',
    'rimSpeedMPerS',
    'rateMmPerS',
    'drillTimeS',
    'torqueNm',
    'powerW',
    'tempRiseK',
    'thermalStressMpa',
    'exitChipMm',
    'exitForceN',
    'lifts',
    'passes',
    'water',
    'gates',
    'steps',
    'reasons',
    'layers',
  ]) {
    expect(printed.holes[0]).toHaveProperty(key);
  }
});

it('prints an open stop and still ends well', async () => {
  const { code, out } = await run(
    'plan',
    changed((file) => (file.pieces[0].glassTreatment = 'tempered')),
  );
  expect(code).toBe(0);
  expect(JSON.parse(out).holes[0].gates[0]).toMatchObject({
    code: 'strengthened-glass',
    level: 'stop',
  });
});

it('says a sound file is sound', async () => {
  expect(await run('check', DEMO)).toEqual({
    code: 0,
    out: '“Clock court: dial house” is sound: 3 pieces, 4 holes.',
    err: '',
  });
});

it.each<[string, () => string, RegExp]>([
  ['bad JSON', () => written('{"format": '), /^\/: Not JSON at line 1, column 12/],
  ['a number that is not one', () => written('{"version": NaN}'), /cannot be NaN or Infinity/],
  [
    'wrong units',
    () => changed((file) => (file.pieces[0].thicknessMm = '1/4 in')),
    /^\/pieces\/0\/thicknessMm: thicknessMm is “1\/4 in”; it must be a number of mm/,
  ],
  [
    'a negative',
    () => changed((file) => (file.pieces[0].holes[0].diameterMm = -22)),
    /^\/pieces\/0\/holes\/0\/diameterMm: diameterMm is -22/,
  ],
  [
    'a missing field',
    () => changed((file) => delete file.pieces[1].outline),
    /^\/pieces\/1\/outline: outline is missing/,
  ],
  ['a huge number', () => changed((file) => (file.pieces[0].thicknessMm = 1e12)), /at most 5000/],
  [
    'an unknown material',
    () => changed((file) => (file.pieces[0].material = 'wood')),
    /^\/pieces\/0\/material: Material “wood” is not known/,
  ],
  [
    'a hole outside the piece',
    () => changed((file) => (file.pieces[0].holes[0].xMm = 999)),
    /^\/pieces\/0\/holes\/0: .*lies outside piece/,
  ],
  [
    'a bit bigger than the piece',
    () => changed((file) => (file.kit.bits[1].diameterMm = 500)),
    /^\/pieces\/0\/holes\/0\/setup\/bit: Bit “Cup saw 22” of 500 mm is bigger than the piece/,
  ],
  [
    'no such file',
    () => '/nowhere/job.json',
    /Cannot read “\/nowhere\/job.json”: there is no such file/,
  ],
  ['a folder', () => tmpdir(), /it is a folder/],
])('refuses %s in one clear line, from check and plan alike', async (_, path, message) => {
  const file = path();
  const checked = await run('check', file);
  expect(checked.code).toBe(1);
  expect(checked.out).toMatch(message);
  const planned = await run('plan', file);
  expect(planned).toMatchObject({ code: 1, out: '' });
  expect(planned.err).toBe(checked.out);
  expect(planned.err).not.toMatch(/\bat .*:\d+:\d+/);
});

it('explains itself when asked wrongly', async () => {
  expect((await run()).code).toBe(2);
  expect(await run('drill', 'x')).toMatchObject({
    code: 2,
    err: '“drill” is not a command; use plan or check.',
  });
  expect((await run('plan')).err).toContain('takes one FILE');
});

it('carries the version of its package', () => {
  expect(JSON.parse(readFileSync(join(__dirname, '../package.json'), 'utf8'))).toMatchObject({
    version: NUCLEON_VERSION,
  });
});
