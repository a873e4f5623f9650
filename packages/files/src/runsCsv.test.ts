import { runRecord } from '@nucleon/core/run/runRecord';
import { readRunsCsv, writeRunsCsv } from './runsCsv';

const HEAD = 'Date,Job,Piece,Hole,Material,Thickness mm,Diameter mm,Minutes,Outcome,Exit chip mm';
const idOf = (text: string): string => `id${text.length}`;
const rowsOf = (...lines: string[]) => {
  const outcome = readRunsCsv([HEAD, ...lines].join('\n'), idOf);
  if (outcome.kind === 'refused') throw new Error(outcome.message);
  return outcome.rows;
};

it('makes a run of a past hole, beside today’s plan for such a hole', () => {
  const [row] = rowsOf('2025-03-02,Court,Dial,Arbor,float glass,6,22,"3,5",fine,0.4');
  if (row?.outcome.kind !== 'good') throw new Error(JSON.stringify(row));
  const record = runRecord('r', row.outcome.run.events);
  expect(record).toMatchObject({
    phase: 'done',
    verdict: 'fine',
    holeName: 'Arbor',
    material: 'float-glass',
    exitChipMm: 0.4,
    depthMm: 6,
    flagCount: 0,
  });
  expect(record?.plannedS?.p50).toBeGreaterThan(10);
  expect((record?.tookS ?? 0) / 60).toBeCloseTo(3.5, 0);
});

it('keeps a crack a crack, and the same row the same run', () => {
  const line = '2025-03-02,Court,Dial,Arbor,slate,20,8,2,cracked,';
  const [a, b] = rowsOf(line, line);
  if (a?.outcome.kind !== 'good' || b?.outcome.kind !== 'good') throw new Error('refused');
  expect(runRecord('r', a.outcome.run.events)).toMatchObject({ phase: 'cracked', cracked: true });
  expect(a.outcome.run.runId).toBe(b.outcome.run.runId);
});

it.each([
  ['yesterday,,,,slate,20,8,2,fine,', 'date is “yesterday”'],
  ['2025-01-01,,,,cheese,20,8,2,fine,', 'material is “cheese”'],
  ['2025-01-01,,,,slate,0,8,2,fine,', 'thickness_mm is “0”'],
  ['2025-01-01,,,,slate,20,8,-3,fine,', 'minutes is “-3”'],
  ['2025-01-01,,,,slate,20,8,2,splendid,', 'outcome is “splendid”'],
  ['2025-01-01,,,,slate,20,8,2,fine,-1', 'exit_chip_mm is “-1”'],
])('refuses a row by the value that will not do: %s', (line, why) => {
  const [bad, good] = rowsOf(line, '2025-01-01,,,,slate,20,8,2,fine,');
  expect(bad?.outcome).toMatchObject({
    kind: 'refused',
    why: expect.stringContaining(why) as string,
  });
  expect(good?.outcome.kind).toBe('good');
});

it('says which columns a list lacks', () => {
  expect(readRunsCsv('a,b\n1,2', idOf)).toMatchObject({
    kind: 'refused',
    message: expect.stringContaining('no column date, material') as string,
  });
});

it('writes a line a run, planned beside actual', () => {
  const [row] = rowsOf('2025-03-02,Court,"Dial, round",Arbor,float-glass,6,22,3.5,fine,0.4');
  if (row?.outcome.kind !== 'good') throw new Error('refused');
  const record = runRecord('r', row.outcome.run.events);
  const [head, line] = writeRunsCsv(record ? [record] : []).split('\r\n');
  expect(head).toContain('minutes,planned_minutes');
  expect(line).toContain('"Dial, round",Arbor,float-glass,6,22');
});

it('writes no formulas', () => {
  const [row] = rowsOf('2025-03-02,=1+1,Dial,+Arbor,float glass,6,22,3.5,fine,0.4');
  if (row?.outcome.kind !== 'good') throw new Error(JSON.stringify(row));
  const record = runRecord('r', row.outcome.run.events);
  const text = writeRunsCsv(record ? [record] : []);
  expect(text).toContain("'=1+1");
  expect(text).toContain("'+Arbor");
});
