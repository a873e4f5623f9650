import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PDFDocument } from '@cantoo/pdf-lib';
import { runNucleon as run } from './testingRun';

const DEMO = join(__dirname, '..', '..', 'demo', '1-dial-house.json');

const target = (): string => join(mkdtempSync(join(tmpdir(), 'nucleon-pack-')), 'out.pdf');

it('prints the runs of a job, planned beside actual', async () => {
  const { code, out } = await run('log', DEMO);
  expect(code).toBe(0);
  const { runs } = JSON.parse(out) as {
    runs: { holeName: string; phase: string; tookS: number; plannedS: { p90: number } }[];
  };
  expect(runs.map(({ holeName, phase }) => `${holeName} ${phase}`)).toEqual([
    'Try-out done',
    'Bore done',
    'Ring cracked',
  ]);
  const csv = await run('log', DEMO, '--csv');
  expect(csv.out.split('\r\n')).toHaveLength(4);
  expect(csv.out).toContain('planned_minutes');
});

it('puts a job on paper: a list, a card a hole, templates', async () => {
  const to = target();
  const { code, out } = await run('pack', DEMO, to);
  expect([code, out]).toEqual([0, expect.stringMatching(/: \d+ pages\.$/)]);
  const pdf = await PDFDocument.load(readFileSync(to));
  // A packing list and six cards before the templates.
  expect(pdf.getPageCount()).toBeGreaterThan(7);
  const { width, height } = pdf.getPage(1).getSize();
  expect([width / 72, height / 72].map((inch) => Math.round(inch * 25.4))).toEqual([210, 297]);
});

it('puts one hole on one page, and says which holes there are', async () => {
  const to = target();
  expect((await run('pack', DEMO, to, '--hole', 'Arbor', '--paper', 'letter')).out).toMatch(
    /: 1 page\.$/,
  );
  expect((await PDFDocument.load(readFileSync(to))).getPageCount()).toBe(1);
  const bad = await run('pack', DEMO, to, '--hole', 'Nose');
  expect([bad.code, bad.err]).toEqual([
    1,
    expect.stringContaining('no hole “Nose”; the file has Try-out, Arbor'),
  ]);
  expect((await run('pack', DEMO, to, '--paper', 'a9')).err).toBe(
    '“a9” is not a paper; use a4 or letter.',
  );
});
