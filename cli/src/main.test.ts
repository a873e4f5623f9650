import { existsSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { JobFile } from '@nucleon/core/documents/jobFile';
import { runNucleon as run } from './testingRun';
import { NUCLEON_VERSION } from './version';

const DEMO = join(__dirname, '../../demo/1-dial-house.json');

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
  expect(printed.holes).toHaveLength(10);
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
    'crackProbability',
    'edge',
    'risk',
    'timeline',
  ]) {
    expect(printed.holes[0]).toHaveProperty(key);
  }
});

it('prints an open stop and still ends well', async () => {
  const { code, out } = await run(
    'plan',
    changed((file) => (file.pieces[1].glassTreatment = 'tempered')),
  );
  expect(code).toBe(0);
  expect(
    JSON.parse(out).holes.find((hole: any) => hole.holeId.endsWith('01')).gates[0],
  ).toMatchObject({
    code: 'strengthened-glass',
    level: 'stop',
  });
});

it('says a sound file is sound', async () => {
  expect(await run('check', DEMO)).toEqual({
    code: 0,
    out: '“Clock court: dial house” is sound: 6 pieces, 10 holes.',
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
    err: '“drill” is not a command; use plan or check or choose or window or stress or fit or convert or pack or log or learn or identify or backup or restore or evidence.',
  });
  expect((await run('plan')).err).toContain('Use: nucleon plan FILE; got 0 words.');
});

it.each([
  [['plan', 'a', 'b'], /got 2 words/],
  [['fit', 'pipe'], /Use: nucleon fit PURPOSE/],
  [['check', 'x', '--json', '{}'], /and --json/],
  [['identify', '--colour', 'red'], /Unknown option '--colour'/],
])('says how to use %o', async (words, message) => {
  const { code, err } = await run(...words);
  expect(code).toBe(2);
  expect(err).toMatch(message);
});

describe('fit', () => {
  const fit = (purpose: string, part: unknown, ...more: string[]) =>
    run('fit', purpose, '--json', typeof part === 'string' ? part : JSON.stringify(part), ...more);

  it('prints what a part asks of its hole', async () => {
    const { code, out } = await fit('tank-fitting', { threadDiameterMm: 40, flangeDiameterMm: 60 });
    expect(code).toBe(0);
    expect(JSON.parse(out)).toMatchObject({
      purpose: 'tank-fitting',
      diameter: { leastMm: 41, targetMm: 41.5, mostMm: 42 },
      coverMm: 5.5,
      results: { worstShiftMm: 0.75 },
    });
  });
  it('takes the piece’s thickness and lengths in inches', async () => {
    const { out } = await fit(
      'pipe',
      { outerDiameterMm: '4 in', thicknessMm: 300, fallOneIn: 60 },
      '--inch',
    );
    expect(JSON.parse(out)).toMatchObject({
      diameter: { targetMm: 105.6 },
      results: { heightDifferenceMm: 5 },
    });
    expect(JSON.parse(out).reason.text).toMatch(/^4 in and/);
  });
  it.each([
    ['tube', {}, /“tube” is not a purpose; use one of pipe, tank-fitting/],
    ['pipe', { outerDiameterMm: 40 }, /^\/wallThicknessMm: Wall thickness is missing/],
    ['pipe', { outerDiameterMm: 40, thicknessMm: '9' }, /^\/thicknessMm: thicknessMm is "9"/],
    [
      'post-socket',
      { postWidthMm: 60, embedmentMm: 200, slabThicknessMm: 150 },
      /200 mm in does not fit a slab of 150 mm/,
    ],
    ['pipe', '{oops', /--json is not JSON/],
    ['pipe', '[1]', /must be an object/],
  ])('refuses %s of %o in one line', async (purpose, part, message) => {
    const { code, out, err } = await fit(purpose, part);
    expect([code, out]).toEqual([1, '']);
    expect(err.split('\n')).toHaveLength(1);
    expect(err).toMatch(message);
  });
});

describe('identify', () => {
  const identify = (given: unknown) => run('identify', '--json', JSON.stringify(given));

  it('ranks what a piece may be, nested answers or flat', async () => {
    const answers = { scratch: 'copper', acid: 'fizzes', look: 'sugar-veins' };
    const { code, out } = await identify({ kind: 'stone', answers });
    expect(code).toBe(0);
    const found = JSON.parse(out);
    expect(found.ranked[0]).toMatchObject({ id: 'marble', material: 'marble' });
    expect(found.hardnessBand).toEqual([2.4, 3.4]);
    expect(JSON.parse((await identify({ kind: 'stone', ...answers })).out)).toEqual(found);
  });
  it.each([
    [{ kind: 'wood' }, /^\/kind: kind is "wood"; use one of glass, ceramic, stone, masonry/],
    [{}, /^\/kind: kind is missing/],
    [
      { kind: 'stone', answers: { scratch: 'tooth' } },
      /^\/answers\/scratch: “tooth” is not an answer/,
    ],
    [{ kind: 'stone', answers: 3 }, /^\/answers: answers must be an object/],
  ])('refuses %o in one line', async (given, message) => {
    const { code, err } = await identify(given);
    expect(code).toBe(1);
    expect(err).toMatch(message);
  });
});

it('carries the version of its package', () => {
  expect(JSON.parse(readFileSync(join(__dirname, '../package.json'), 'utf8'))).toMatchObject({
    version: NUCLEON_VERSION,
  });
});

describe('convert', () => {
  const folder = mkdtempSync(join(tmpdir(), 'nucleon-convert-'));
  const at = (name: string): string => join(folder, name);
  const dial = ['--piece', 'Glass dial'];

  it.each(['dxf', 'svg'])('writes a piece as %s and makes a job of it again', async (kind) => {
    const there = await run('convert', DEMO, at(`dial.${kind}`), ...dial);
    expect([there.code, there.err]).toEqual([0, '']);
    const back = await run('convert', at(`dial.${kind}`), at(`${kind}.json`));
    expect(back.code).toBe(0);
    expect(back.out).toContain('taken 1 outline, 2 holes');
    const made = JSON.parse(readFileSync(at(`${kind}.json`), 'utf8')) as JobFile;
    expect(made.pieces[0]?.outline).toEqual({ kind: 'circle', diameterMm: 420 });
    expect((await run('check', at(`${kind}.json`))).code).toBe(0);
    expect((await run('plan', at(`${kind}.json`))).code).toBe(0);
  });

  it('writes a 1:1 PDF, and says which piece it took', async () => {
    const { code, out, err } = await run('convert', DEMO, at('first.pdf'), '--paper', 'letter');
    expect(code).toBe(0);
    expect(out).toContain('1:1');
    expect(err).toContain('the first of');
    expect(readFileSync(at('first.pdf')).subarray(0, 5).toString()).toBe('%PDF-');
  });

  it('names the value that will not do, and writes nothing', async () => {
    const said = async (...words: string[]): Promise<string> => {
      const { code, err } = await run('convert', ...words);
      expect(code).toBe(1);
      return err;
    };
    expect(await said(DEMO, at('x.png'))).toContain('not a conversion');
    expect(await said(DEMO, at('x.pdf'), '--paper', 'a9')).toContain('use a4 or letter');
    expect(await said(DEMO, at('x.dxf'), '--piece', 'nobody')).toContain(
      'There is no piece “nobody”',
    );
    expect(await said(at('missing.dxf'), at('x.json'))).toContain('ENOENT');
    writeFileSync(at('px.svg'), '<svg><rect width="50" height="50"/></svg>');
    expect(await said(at('px.svg'), at('x.json'))).toContain('give --unit mm or --unit inch');
    expect(await said(at('px.svg'), at('x.json'), '--unit', 'ell')).toContain(
      '“ell” is not a unit',
    );
    expect(await said(at('px.svg'), at('x.json'), '--unit', 'mm', '--layers', 'CUT')).toContain(
      'There is no layer “CUT”',
    );
    writeFileSync(at('half.dxf'), '0\nSECTION\n2\nENTITIES\n0\nLINE\n');
    expect(await said(at('half.dxf'), at('x.json'))).toContain('cut short');
    expect(existsSync(at('x.json'))).toBe(false);
  });
});

it('ranks what is owned for a hole, by its label or id', async () => {
  const { code, out, err } = await run('choose', DEMO, '--hole', 'Arbor');
  expect([code, err]).toEqual([0, '']);
  const printed = JSON.parse(out);
  expect(printed.ranked.length).toBeGreaterThan(1);
  expect(printed.ranked[0]).toMatchObject({ why: expect.any(String), effort: expect.any(String) });
  const costs = printed.ranked.map((one: any) => one.cost.totalMoney);
  expect(costs).toEqual([...costs].sort((a: number, b: number) => a - b));
  expect(printed.impossible.every((one: any) => one.obstacles.length > 0)).toBe(true);
  expect(printed.toGet.bit[0]).toContain('22 mm');
});

it('answers an empty kit with what to get', async () => {
  const { code, out } = await run(
    'choose',
    changed((file) => {
      delete file.kit;
      file.pieces.forEach((piece: any) => piece.holes.forEach((hole: any) => delete hole.setup));
    }),
    '--hole',
    'Arbor',
  );
  expect(code).toBe(0);
  expect(JSON.parse(out)).toMatchObject({ ranked: [], impossible: [] });
  expect(JSON.parse(out).toGet.machine.length).toBeGreaterThan(2);
});

it('prints the working window as a grid', async () => {
  const { code, out } = await run('window', DEMO, '--hole', 'Arbor', '--size', '12');
  expect(code).toBe(0);
  const grid = JSON.parse(out);
  expect([grid.columns, grid.rows, grid.rpm.length, grid.forceN.length]).toEqual([12, 12, 12, 12]);
  expect(grid.margins.glazes).toHaveLength(144);
  expect(grid.plan).toMatchObject({ area: expect.any(String) });
});

it.each([
  [['choose', DEMO, '--hole', 'Nowhere'], 1, /No hole “Nowhere”; the file has .*Arbor/],
  [['window', DEMO, '--hole', 'Arbor', '--size', '1'], 1, /--size 1 will not do/],
  [['choose', DEMO], 2, /Use: nucleon choose FILE --hole ID/],
])('says what is wrong with %j', async (words, code, err) => {
  const ran = await run(...words);
  expect(ran.code).toBe(code);
  expect(ran.err).toMatch(err);
});

it('gives the same risk each time it is asked', async () => {
  const riskOf = async () => JSON.parse((await run('plan', DEMO)).out).holes[0].risk;
  const risk = await riskOf();
  expect(risk.seed).toBe(20260);
  expect(await riskOf()).toEqual(risk);
});

it('sets the model against the bench, as text and as JSON', async () => {
  const text = await run('evidence');
  expect(text).toMatchObject({ code: 0, err: '' });
  expect(text.out).toMatch(/misses {2}shell-3-tube-4-time.*\n.*bench 0\.1–1\.5 min/);
  const { code, out } = await run('evidence', '--json');
  expect(code).toBe(0);
  const { rows } = JSON.parse(out) as { rows: Record<string, unknown>[] };
  expect(rows.length).toBeGreaterThan(30);
  for (const row of rows)
    expect(row).toMatchObject({
      id: expect.any(String) as string,
      figure: expect.any(String) as string,
      unit: expect.any(String) as string,
      band: [expect.any(Number), expect.any(Number)],
      ok: expect.any(Boolean) as boolean,
    });
  expect((await run('evidence', '--json', 'all')).code).toBe(2);
});
