import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { normalDraws, seededRandom } from '@nucleon/core/math/seededRandom';
import { runNucleon as run } from './testingRun';

interface Band {
  readonly p10: number;
  readonly p50: number;
  readonly p90: number;
}
interface Report {
  readonly runs: number;
  readonly used: number;
  readonly doubted: readonly { readonly id: string; readonly doubts: readonly string[] }[];
  readonly levels: readonly {
    readonly level: string;
    readonly name: string;
    readonly rate: Band;
    readonly runs: number;
  }[];
  readonly predictions: readonly {
    readonly holeId: string;
    readonly bitId: string | null;
    readonly person: string | null;
    readonly timeS: Band;
    readonly priorTimeS: Band;
    readonly exitChipMm: { readonly p50: number; readonly p90: number };
    readonly crackProbability: Band;
  }[];
  readonly bits: readonly {
    readonly bitId: string;
    readonly holesCut: number;
    readonly changeAt: Band;
    readonly costPerHole: number;
    readonly costIfKept: number;
  }[];
  readonly calibration: { readonly timeBand80: number | null; readonly n: number };
}

const BITS = ['Slow cup', 'Plain cup'].map((name, i) => ({
  id: `b${i + 1}`,
  name,
  family: 'plated-cup-saw',
  diameterMm: 22,
  price: 30,
}));
const JOB = {
  format: 'nucleon-job',
  version: 1,
  job: { id: 'job', name: 'Panes' },
  kit: {
    bits: BITS,
    machines: [{ id: 'm', name: 'Press', kind: 'bench-drill-press' }],
  },
  pieces: [
    {
      id: 'p',
      name: 'Pane',
      form: 'sheet',
      material: 'float-glass',
      thicknessMm: 6,
      glassTreatment: 'annealed',
      outline: { kind: 'rectangle', widthMm: 400, heightMm: 300 },
      holes: BITS.map(({ id }, i) => ({
        id: `h${i + 1}`,
        xMm: 100 + 200 * i,
        yMm: 150,
        diameterMm: 22,
        depth: { kind: 'through' },
        setup: { bit: id, machine: 'm' },
      })),
    },
  ],
};

const folder = mkdtempSync(join(tmpdir(), 'nucleon-learn-'));
const file = (name: string, text: string): string => {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
};
const job = file('job.json', JSON.stringify(JOB));
const HEAD =
  'date,material,thickness_mm,diameter_mm,minutes,outcome,bit,bit_holes,machine,hold,person,exit_chip_mm,cracked_at';

/** So many holes with each bit, the slow one taking so many times as long. */
function list(each: number, factor: number, minutes: number): string {
  const draw = normalDraws(seededRandom(4));
  const rows = BITS.flatMap(({ name }, b) =>
    Array.from({ length: each }, (_, i) => {
      const took = minutes * (b === 0 ? factor : 1) * Math.exp(0.12 * draw());
      const day = String((i % 27) + 1).padStart(2, '0');
      return `2026-03-${day}T0${b}:${String(i).padStart(2, '0')}:00Z,float-glass,6,22,${took.toFixed(3)},fine,${name},${i % 3},Press,press,Ada,0.6,`;
    }),
  );
  return [HEAD, ...rows].join('\n');
}

const learned = async (...words: readonly string[]): Promise<Report> => {
  const { code, out } = await run('learn', job, '--json', ...words);
  expect(code).toBe(0);
  return JSON.parse(out) as Report;
};
const hole = ({ predictions }: Report, id: string) => {
  const found = predictions.find(({ holeId }) => holeId === id);
  if (!found) throw new Error(`no prediction of ${id}`);
  return found;
};

it('gives the plans back where nothing was logged', async () => {
  const report = await learned();
  expect(report).toMatchObject({ runs: 0, used: 0, calibration: { timeBand80: null, n: 0 } });
  for (const { timeS, priorTimeS } of report.predictions) expect(timeS).toEqual(priorTimeS);
  expect(report.bits.map(({ bitId }) => bitId)).toEqual(['b1', 'b2']);
});

it('tells a slow bit from a plain one of its kind, and gets narrower', async () => {
  const prior = hole(await learned(), 'h1').priorTimeS;
  const csv = file('two-bits.csv', list(30, 1.8, (1.3 * prior.p50) / 60));
  const report = await learned('--runs', csv);
  expect(report).toMatchObject({ runs: 60, used: 60 });
  const [slow, plain] = [hole(report, 'h1'), hole(report, 'h2')];
  expect(slow.person).toBe('Ada');
  expect(slow.timeS.p50 / slow.priorTimeS.p50).toBeGreaterThan(1.9);
  expect(slow.timeS.p50 / slow.priorTimeS.p50).toBeLessThan(2.8);
  expect(plain.timeS.p50 / plain.priorTimeS.p50).toBeGreaterThan(1.1);
  expect(plain.timeS.p50 / plain.priorTimeS.p50).toBeLessThan(1.6);
  const width = (band: Band): number => Math.log(band.p90 / band.p10);
  expect(width(slow.timeS)).toBeLessThan(0.7 * width(slow.priorTimeS));
  const rate = (name: string): number =>
    report.levels.find((one) => one.level === 'bit' && one.name === name)?.rate.p50 ?? NaN;
  expect(rate('Slow cup')).toBeGreaterThan(1.15);
  expect(rate('Plain cup')).toBeLessThan(0.9);
  expect(report.calibration.n).toBe(60);
  expect(report.calibration.timeBand80).toBeGreaterThan(0.65);
});

it('tells a stranger’s hand less', async () => {
  const csv = file('hands.csv', list(30, 1.8, 6));
  const width = (report: Report): number => {
    const { p10, p90 } = hole(report, 'h1').timeS;
    return Math.log(p90 / p10);
  };
  expect(width(await learned('--runs', csv, '--person', 'Stranger'))).toBeGreaterThan(
    width(await learned('--runs', csv, '--person', 'Ada')),
  );
});

it('plans with a bit as old as a list has made it, and tells what it takes by then', async () => {
  const fresh = hole(await learned(), 'h2');
  const rows = Array.from(
    { length: 24 },
    (_, i) =>
      `2026-05-01T00:${String(i).padStart(2, '0')}:00Z,float-glass,6,22,20,fine,Plain cup,${i},Press,press,Ada,,`,
  );
  const aged = hole(await learned('--runs', file('aged.csv', [HEAD, ...rows].join('\n'))), 'h2');
  expect(aged.priorTimeS.p50).toBeGreaterThan(1.5 * fresh.priorTimeS.p50);
  // Twenty minutes each, whatever the age: that is what the next one takes.
  expect(aged.timeS.p10).toBeLessThan(1200);
  expect(aged.timeS.p90).toBeGreaterThan(1200);
});

it('raises the odds for who cracks more, and brings the change of the bit forward', async () => {
  const rows = Array.from({ length: 60 }, (_, i) => {
    const cracked = i >= 40 && i % 2 === 0;
    const day = String((i % 27) + 1).padStart(2, '0');
    return `2026-04-${day}T00:${String(i).padStart(2, '0')}:00Z,float-glass,6,22,6,${cracked ? 'cracked' : 'fine'},Plain cup,${i},Press,press,Ada,,`;
  });
  const before = await learned();
  const report = await learned('--runs', file('cracks.csv', [HEAD, ...rows].join('\n')));
  const odds = (one: Report): Band => hole(one, 'h2').crackProbability;
  expect(odds(report).p50).toBeGreaterThan(2 * odds(before).p50);
  const change = (one: Report) => one.bits.find(({ bitId }) => bitId === 'b2');
  expect(change(report)?.holesCut).toBe(60);
  expect(change(report)?.costIfKept).toBeGreaterThan(change(report)?.costPerHole ?? Infinity);
});

it('keeps what does not go together, marks it and believes none of it', async () => {
  const sound = '2026-03-01,float-glass,6,22,6,fine,Plain cup,3,Press,press,Ada,0.6,';
  const csv = file(
    'doubts.csv',
    [
      HEAD,
      sound,
      sound,
      '2199-03-01,float-glass,6,22,6,fine,Plain cup,3,Press,press,Ada,0.6,',
      '2026-03-02,float-glass,6,22,6,fine,Plain cup,3,Press,press,Ada,0.6,middle',
      '2026-03-03,float-glass,6,22,60000,fine,Plain cup,3,Press,press,Ada,0.6,',
    ].join('\n'),
  );
  const report = await learned('--runs', csv);
  expect(report).toMatchObject({ runs: 5, used: 1 });
  expect(report.doubted.map(({ doubts }) => doubts.join())).toEqual([
    'twice',
    'contradicts',
    'absurd',
    'future',
  ]);
});

it('says which rows it cannot read, and reads the others', async () => {
  const csv = file(
    'bad.csv',
    [
      HEAD,
      '2026-03-01,cheese,6,22,6,fine,,,,,,,',
      '2026-03-01,float-glass,6,22,6,fine,,,,,,,',
    ].join('\n'),
  );
  const { code, out, err } = await run('learn', job, '--runs', csv);
  expect(code).toBe(0);
  expect(err).toMatch(/line 2: material is “cheese”/);
  expect(out).toMatch(/^1 of 1 holes are used/);
  expect((await run('learn', job, '--runs', join(folder, 'none.csv'))).err).toMatch(
    /Cannot read .*none\.csv/,
  );
  expect((await run('learn', job, '--runs', file('short.csv', 'date,minutes\n'))).err).toMatch(
    /has no column material/,
  );
});
