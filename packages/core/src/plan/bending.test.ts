import { stressText } from '../words/plan/stressText';
import { rememberingBend } from '../physics/plate/bender';
import { INCH_POUND, METRIC } from '../data/unitSystem';
import { caseWith, type JobParts } from '../setup/jobFixtures';
import { makePlan } from '../words/plan/makePlan';
import { contextOf } from './contextOf';
import { oddsMap, oddsSurface } from '../advice/risk/oddsMap';
import type { Plan } from '../documents/plan';
import { stressOf } from '../advice/risk/stressOf';

const bend = rememberingBend();
const planOf = (parts: JobParts): Plan => {
  const outcome = makePlan(caseWith(parts), METRIC, bend);
  if (outcome.kind !== 'planned') throw new Error(JSON.stringify(outcome.faults));
  return outcome.plan;
};
const PAD = { widthMm: 60, heightMm: 60 };

it('is in the plan, and adds to the odds of a crack', () => {
  const plan = planOf({});
  expect(plan.bendingStressMpa).toBeGreaterThan(0.5);
  expect(plan.bendingStressMpa).toBeLessThan(1);
  // The bed carries the force and the pane’s own weight: 6 mm of glass, 400 × 300.
  const weightN = 2500e-9 * 9.81 * 6 * 400 * 300;
  expect(plan.bending.kind === 'bent' && plan.bending.carriedN).toBeCloseTo(
    plan.feedForceN + weightN,
    3,
  );
  const without = makePlan(caseWith());
  if (without.kind !== 'planned') throw new Error('faulty');
  expect(without.plan.bendingStressMpa).toBeNull();
  expect(without.plan.crackProbability).toBeLessThan(plan.crackProbability);
  expect(without.plan.reasons.crackProbability?.text).toContain('still being worked out');
  expect(plan.reasons.bendingStressMpa?.text).toContain('On the far face, at');
});

it('bends more the softer the bed, and most with nothing under it', () => {
  const stress = (['sacrificial-hard', 'softwood', 'foam', 'sponge', 'nothing'] as const).map(
    (kind) => planOf({ setup: { support: { kind } } }).bendingStressMpa ?? 0,
  );
  expect(stress).toEqual([...stress].sort((a, b) => a - b));
  expect(stress[4]).toBeGreaterThan(3 * (stress[1] ?? 0));
});

it('a pad moved under the hole takes the stress off it', () => {
  const pads = (xMm: number) => [
    { xMm: 20, yMm: 120, ...PAD },
    { xMm: 320, yMm: 120, ...PAD },
    { xMm, yMm: 120, ...PAD },
  ];
  const support = (xMm: number) => ({ kind: 'softwood', pads: pads(xMm) }) as const;
  const away = planOf({ setup: { support: support(40) } });
  const under = planOf({ setup: { support: support(170) } });
  expect(under.bendingStressMpa).toBeLessThan((away.bendingStressMpa ?? 0) / 2);
  expect(under.crackProbability).toBeLessThan(away.crackProbability);
  // The load goes where the pad is, and the pads together carry all of it.
  const carried = under.bending.kind === 'bent' ? under.bending : null;
  expect(carried?.padsN[2]).toBeGreaterThan(3 * (carried?.padsN[0] ?? Infinity));
  const together = carried?.padsN.reduce((sum, one) => sum + one, 0);
  expect(together).toBeCloseTo(carried?.carriedN ?? 0, 3);
});

it('a pad of its own thickness is softer the thicker it is, of the bed’s kind or another', () => {
  const carried = (thicknessMm: number) => {
    const pads = [
      { xMm: 20, yMm: 120, ...PAD },
      { xMm: 320, yMm: 120, ...PAD },
      { xMm: 170, yMm: 120, thicknessMm, ...PAD },
    ];
    const { bending } = planOf({ setup: { support: { kind: 'softwood', pads } } });
    return bending.kind === 'bent' ? (bending.padsN[2] ?? NaN) : NaN;
  };
  expect(carried(180)).toBeLessThan(carried(18));
});

it('tips over a pad that is not under the load, and says what to add', () => {
  const plan = planOf({
    hole: { xMm: 380, yMm: 280, diameterMm: 25 },
    setup: { support: { kind: 'softwood', pads: [{ xMm: 0, yMm: 0, ...PAD }] } },
  });
  expect(plan.bending).toEqual({ kind: 'trouble', trouble: 'tips' });
  expect(plan.warnings.find(({ code }) => code === 'not-held')?.message).toContain(
    'Put a pad under the hole',
  );
});

it('says so where nothing holds it', () => {
  const plan = planOf({ setup: { support: { kind: 'nothing', edgesHeld: 'none' } } });
  expect(plan.bending).toEqual({ kind: 'trouble', trouble: 'unheld' });
  expect(plan.warnings[0]?.message).toContain('Add a bed or pads');
});

it('a twisted piece on a hard bed is strained before it is touched', () => {
  const flat = planOf({ setup: { support: { kind: 'softwood' } } });
  const twisted = planOf({ setup: { support: { kind: 'softwood', twistMm: 0.5 } } });
  expect(twisted.bendingStressMpa).toBeGreaterThan(2 * (flat.bendingStressMpa ?? 0));
  expect(twisted.liftOffFraction).toBeGreaterThan(0.5);
});

it('a board over the hole spreads what presses, and clamps add to what is there at rest', () => {
  const over = { kind: 'nothing', edgesHeld: 'four' } as const;
  const bare = planOf({ setup: { support: over } });
  const boards = [{ xMm: 100, yMm: 75, widthMm: 200, heightMm: 150, thicknessMm: 18 }];
  const boarded = planOf({ setup: { support: { ...over, boards } } });
  expect(boarded.bendingStressMpa).toBeLessThan((bare.bendingStressMpa ?? 0) / 1.5);
  const clamps = [{ xMm: 60, yMm: 150, padDiameterMm: 30, forceN: 100 }];
  const clamped = planOf({ setup: { support: { kind: 'foam', clamps } } });
  expect(clamped.bending.kind === 'bent' && clamped.bending.stressMpa).toBeGreaterThan(1.5);
});

it.each([
  ['thick', { piece: { thicknessMm: 90, form: 'block' } }],
  ['curved', { piece: { form: 'vessel' } }],
  ['built-in', { piece: { form: 'wall' } }],
] as [string, JobParts][])(
  'leaves out a piece that is %s, and plans it all the same',
  (why, parts) => {
    const plan = planOf(parts);
    expect(plan.bending).toEqual({ kind: 'declined', why });
    expect(plan.bendingStressMpa).toBeNull();
    expect(plan.crackProbability).toBeGreaterThan(0);
  },
);

it('an open hole beside it raises the stress', () => {
  const keepOff = [
    { id: 'old', kind: 'hole', shape: { kind: 'circle', xMm: 232, yMm: 150, diameterMm: 30 } },
  ] as const;
  const support = { kind: 'nothing', edgesHeld: 'four' } as const;
  const alone = planOf({ setup: { support } });
  const beside = planOf({ piece: { keepOff }, setup: { support } });
  expect(beside.bendingStressMpa).toBeGreaterThan(1.2 * (alone.bendingStressMpa ?? 0));
});

it('maps the odds over the piece, the same on both sides and worse at the edges', () => {
  const worked = contextOf(caseWith(), bend);
  if (worked.kind === 'faulty') throw new Error('faulty');
  const prepared = oddsSurface(worked.context, bend);
  if (prepared.kind !== 'surface') throw new Error(prepared.kind);
  const { columns, rows, stressMpa, odds, safest } = oddsMap(prepared.surface, 8);
  expect([columns, rows]).toEqual([8, 6]);
  const at = (column: number, row: number): number => stressMpa[row * columns + column] ?? NaN;
  for (const row of [1, 2]) expect(at(1, row) / at(6, row)).toBeCloseTo(1, 1);
  expect(at(3, 0)).toBeGreaterThan(1.2 * at(3, 2));
  expect(safest?.odds).toBe(Math.min(...odds.filter((one) => !Number.isNaN(one))));
});

it('says in a line what it comes to, in inches too', () => {
  const told = stressOf(caseWith(), bend);
  expect(told.kind === 'stressed' && stressText(told.stress.context, INCH_POUND)).toMatch(
    /psi altogether, .* % of the allowable stress of .* psi.* in/,
  );
  expect(told.kind === 'stressed' && told.stress.field?.mesh.x.length).toBeGreaterThan(300);
});
