import { caseWith, type JobParts } from '../setup/jobFixtures';
import { makePlan } from '../words/plan/makePlan';
import type { Plan } from '../documents/plan';
import { METRIC } from '../data/unitSystem';
import { sectionOf, stageAt, tellingDepth } from './sectionOf';

function planOf(parts: JobParts = {}): Plan {
  const outcome = makePlan(caseWith(parts));
  if (outcome.kind !== 'planned') throw new Error('faulty');
  return outcome.plan;
}
const sectionAt = (plan: Plan, atDepthMm: number, pieceThicknessMm = 6) =>
  sectionOf(plan, { pieceThicknessMm, units: METRIC, atDepthMm });

it('draws the bit to scale, its rim at the asked depth', () => {
  const { primitives } = sectionAt(planOf(), 3);
  const rims = primitives.filter((one) => one.kind === 'area' && one.tone === 'rim');
  expect(rims.map((rim) => rim.kind === 'area' && [rim.x0, rim.x1, rim.z1])).toEqual([
    [-12.5, -11.5, 3],
    [11.5, 12.5, 3],
  ]);
});

it('keeps all it draws within its own frame', () => {
  for (const parts of [
    {},
    { setup: { water: { kind: 'pool' as const } } },
    { setup: { water: { kind: 'spindle' as const } } },
    { setup: { water: { kind: 'drip' as const } } },
    {
      bits: [{ id: 'p', name: 'P', family: 'plated-point' as const, diameterMm: 2 }],
      hole: { diameterMm: 2 },
    },
  ]) {
    const { primitives, halfWidthMm, topMm, bottomMm } = sectionAt(planOf(parts), 2);
    for (const one of primitives) {
      if (one.kind !== 'area') continue;
      expect(Math.max(Math.abs(one.x0), Math.abs(one.x1))).toBeLessThanOrEqual(halfWidthMm + 1e-9);
      expect(one.z0).toBeGreaterThanOrEqual(topMm - 1e-9);
      expect(one.z1).toBeLessThanOrEqual(bottomMm + 1e-9);
      expect(one.z0).toBeLessThanOrEqual(one.z1);
    }
  }
});

it('marks every lift, the ease-off depth and the force of the stage it is in', () => {
  const plan = planOf();
  const { primitives, labels } = sectionAt(plan, 0.2);
  expect(primitives.filter((one) => one.kind === 'line' && one.dashed)).toHaveLength(1);
  expect(primitives.filter((one) => one.kind === 'line' && one.heavy === false)).toHaveLength(
    plan.lifts.length,
  );
  expect(stageAt(plan, 0.2)?.kind).toBe('seat');
  expect(labels.find((label) => label.side === 'force')?.text).toBe('7.9 N');
  expect(stageAt(plan, 99)?.kind).toBe('exit');
});

it('says ease off where the force falls, and how much is left where it does not', () => {
  const named = (plan: Plan) => {
    const { labels, description } = sectionAt(plan, 1);
    return [labels.find(({ tone, side }) => tone === 'rim' && side === 'right')?.text, description];
  };
  expect(named(planOf())).toEqual([
    'Ease off 5.5 mm',
    expect.stringContaining('ease off from 5.5 mm'),
  ]);
  const held = named(planOf({ setup: { exit: 'hold' } }));
  expect(held[0]).toMatch(/^Last 0\.\d+ mm$/);
  expect(held[1]).toMatch(/nearly through from 5\.\d+ mm/);
});

it('shows the rest of the piece under a blind hole, and says what it draws', () => {
  const plan = planOf({ hole: { depth: { kind: 'blind', depthMm: 2 } } });
  const { labels, description } = sectionAt(plan, 1);
  expect(labels.filter((label) => label.side === 'left').map((label) => label.text)).toEqual([
    '0',
    '2 mm',
    '6 mm',
  ]);
  expect(description).toMatch(
    /Cup saw 25, 25 mm across, in Float glass 6 mm thick.*Still bath, 6 mm over the face; Expanded foam behind/,
  );
});

it('opens on the leaf that the big numbers speak of', () => {
  const plan = planOf({
    piece: {
      form: 'wall',
      thicknessMm: 272,
      layers: [
        { material: 'lightweight-block', thicknessMm: 100 },
        { material: 'cavity', thicknessMm: 70 },
        { material: 'engineering-brick', thicknessMm: 102 },
      ],
    },
    bits: [{ id: 'seg', name: 'Seg', family: 'segmented-core', diameterMm: 60 }],
    hole: { diameterMm: 60 },
  });
  const depth = tellingDepth(plan);
  expect(depth).toBeGreaterThan(170);
  expect(stageAt(plan, depth)?.forceN).toBe(plan.feedForceN);
});
