import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { runNucleon as run } from './testingRun';

const DEMO = join(__dirname, '..', '..', 'demo', '1-dial-house.json');

interface DemoFile {
  pieces: { name: string; form: string; holes: { label: string; setup?: object }[] }[];
}

/** The demo with its dial changed. */
function changed(change: (dial: DemoFile['pieces'][number]) => void): string {
  const file = JSON.parse(readFileSync(DEMO, 'utf8')) as DemoFile;
  const dial = file.pieces.find((piece) => piece.holes.some(({ label }) => label === 'Arbor'));
  if (!dial) throw new Error('no dial');
  change(dial);
  const path = join(mkdtempSync(join(tmpdir(), 'nucleon-stress-')), 'job.json');
  writeFileSync(path, JSON.stringify(file));
  return path;
}
const heldBy = (support: object) =>
  changed((dial) => {
    dial.holes = dial.holes
      .filter(({ label }) => label === 'Arbor')
      .map((hole) => ({ ...hole, setup: { ...hole.setup, support } }));
  });

it('prints the bending with its whole field, and the plan prints the same', async () => {
  const { code, out } = await run('stress', DEMO, '--hole', 'Arbor');
  expect(code).toBe(0);
  const told = JSON.parse(out) as {
    bending: { stressMpa: number; deflectionMm: number; carriedN: number };
    field: { xMm: number[]; reactionN: number[]; triangles: number[] };
    holeId: string;
  };
  const given = told.field.reactionN.reduce((sum, one) => sum + one, 0);
  expect(given / told.bending.carriedN).toBeCloseTo(1, 3);
  expect(Math.max(...told.field.triangles)).toBe(told.field.xMm.length - 1);
  const plan = JSON.parse((await run('plan', DEMO)).out) as {
    holes: { holeId: string; bendingStressMpa: number; maxDeflectionMm: number }[];
  };
  const hole = plan.holes.find(({ holeId }) => holeId === told.holeId);
  expect(hole?.bendingStressMpa).toBe(told.bending.stressMpa);
  expect(hole?.maxDeflectionMm).toBe(told.bending.deflectionMm);
});

it('prints the map of odds, null where the hole cannot be', async () => {
  const { code, out } = await run('stress', DEMO, '--hole', 'Arbor', '--map', '--size', '6');
  expect(code).toBe(0);
  const map = JSON.parse(out) as { columns: number; rows: number; odds: (number | null)[] };
  expect(map.odds).toHaveLength(map.columns * map.rows);
  expect(map.odds[0]).toBeNull();
  expect(map.odds[3 * 6 + 3]).toBeGreaterThan(0);
});

it('says in words what holds nothing, and plans the rest', async () => {
  const path = heldBy({ kind: 'nothing', edgesHeld: 'none' });
  const { code, out } = await run('stress', path, '--hole', 'Arbor');
  expect(code).toBe(0);
  expect(JSON.parse(out)).toMatchObject({
    text: 'Nothing holds the piece. Add a bed or pads under it, or rest its edges on battens.',
    field: null,
  });
  const map = await run('stress', path, '--hole', 'Arbor', '--map');
  expect(map).toMatchObject({ code: 1, err: expect.stringContaining('No map: nothing holds') });
});

it.each([
  [
    { kind: 'foam', pads: [{ xMm: 900, yMm: 0, widthMm: 50, heightMm: 50 }] },
    /pads\/0.*lies outside the piece, which is 420 mm × 420 mm/,
  ],
  [
    { kind: 'foam', pads: [{ xMm: 0, yMm: 0, widthMm: 0, heightMm: 50 }] },
    /pads\/0.*(has no size|widthMm)/,
  ],
  [
    { kind: 'foam', clamps: [{ xMm: 2, yMm: 210, padDiameterMm: 30, forceN: 50 }] },
    /clamps\/0.*is not whole on the piece/,
  ],
  [{ kind: 'foam', twistMm: 50 }, /twistMm.*0 to 20|twistMm/],
])('refuses %j with a pointer and a sentence', async (support, message) => {
  const { code, out, err } = await run('check', heldBy(support));
  expect(code).toBe(1);
  expect(out + err).toMatch(message);
});

it.each([
  [['stress', DEMO, '--hole', 'Arbor', '--map', '--size', '1'], /--size 1 will not do/],
  [['stress', DEMO, '--hole', 'nowhere'], /No hole “nowhere”/],
])('says how to ask: %j', async (words, message) => {
  const { code, err } = await run(...words);
  expect(code).toBe(1);
  expect(err).toMatch(message);
});
