import type { JobFile } from '../../documents/jobFile';
import type { Piece } from '../../documents/piece';
import { caseIn, caseWith, jobWith, type JobParts } from '../../setup/jobFixtures';
import { makePlan } from '../../words/plan/makePlan';
import type { Plan } from '../../documents/plan';

function planOf(parts: JobParts = {}): Plan {
  const outcome = makePlan(caseWith(parts));
  if (outcome.kind !== 'planned') throw new Error(JSON.stringify(outcome.faults));
  return outcome.plan;
}

const span = (plan: Plan): number => {
  const { p10, p90 } = plan.drillTimeS ?? { p10: 1, p90: 1 };
  return p90 / p10;
};

it('eases off for the thinnest place, reaches for the thickest, and widens the time', () => {
  const even = planOf();
  const uneven = planOf({ piece: { thicknessReadingsMm: [5.4, 6, 6.6] } });
  expect((even.easeOffAtMm ?? 0) - (uneven.easeOffAtMm ?? 0)).toBeCloseTo(0.6);
  expect(span(uneven)).toBeGreaterThan(span(even));
  const short: JobParts['bits'] = [
    { id: 'b', name: 'B', family: 'plated-cup-saw', diameterMm: 25, usableDepthMm: 11.2 },
  ];
  expect(planOf({ bits: short }).passes).toBe(1);
  expect(planOf({ bits: short, piece: { thicknessReadingsMm: [5.4, 6, 6.6] } }).passes).toBe(2);
});

it('refuses a thickness outside its own readings', () => {
  const outcome = makePlan(caseWith({ piece: { thicknessReadingsMm: [8, 9] } }));
  expect(outcome).toMatchObject({
    kind: 'faulty',
    faults: [{ pointer: '/pieces/0/thicknessMm' }],
  });
});

describe('a stone nobody is sure of', () => {
  const stone = (couldBe: Piece['couldBe']): JobParts => ({
    piece: { material: 'granite', thicknessMm: 20, ...(couldBe ? { couldBe } : {}) },
  });
  const unsure = stone([
    { material: 'granite', share: 0.6 },
    { material: 'quartzite-agate', share: 0.3 },
    { material: 'marble', share: 0.1 },
  ]);
  it('widens the time over all it may be', () => {
    const known = planOf(stone(undefined));
    const plan = planOf(unsure);
    expect(span(plan)).toBeGreaterThan(1.5 * span(known));
    expect(plan.drillTimeS?.p90).toBeGreaterThan(known.drillTimeS?.p90 ?? 0);
    expect(plan.couldBe.map((one) => one.material)).toEqual([
      'granite',
      'quartzite-agate',
      'marble',
    ]);
    expect(plan.warnings.map((one) => one.code)).toContain('material-not-sure');
  });
  it('presses no harder than the tenderest stands', () => {
    const parts = { ...unsure, setup: { pace: 'brisk' as const } };
    // marble's high pressure, 1.2 MPa, under granite's brisk 1.5
    expect(planOf(parts).contactPressureMpa).toBeCloseTo(1.2);
    expect(
      planOf({ ...stone(undefined), setup: { pace: 'brisk' } }).contactPressureMpa,
    ).toBeCloseTo(1.5);
  });
  it('is as sure as before when only one thing is likely', () => {
    const plan = planOf(stone([{ material: 'granite', share: 1 }]));
    expect(plan.drillTimeS).toEqual(planOf(stone(undefined)).drillTimeS);
    expect(plan.couldBe).toEqual([]);
  });
});

describe('the purpose of a hole', () => {
  const fitting = (flangeDiameterMm: number): JobParts => ({
    hole: { purpose: { kind: 'tank-fitting', threadDiameterMm: 23.5, flangeDiameterMm } },
  });
  it('allows the chip that the part hides', () => {
    const wide = planOf(fitting(60));
    const tight = planOf(fitting(33));
    expect(wide.fit?.coverMm).toBeGreaterThan(5);
    expect(tight.fit?.coverMm).toBeCloseTo(0.25);
    expect(tight.exitForceN ?? 0).toBeLessThan(wide.exitForceN ?? 0);
    expect(tight.warnings.find((one) => one.code === 'exit-force-below-glaze')?.message).toMatch(
      /The part hides 0\.25 mm of chip\./,
    );
  });
  it('joins its steps before the marking and after the cleaning', () => {
    const titles = planOf(fitting(60)).steps.map((step) => step.title);
    expect(titles[0]).toBe('Drill from outside');
    expect(titles.slice(-3)).toEqual(['Fit and test', 'If it weeps', 'Done']);
  });
  it('minds a bit that does not suit the part', () => {
    const shaft = planOf({ hole: { purpose: { kind: 'shaft', shaftDiameterMm: 20 } } });
    expect(shaft.warnings.map((one) => one.code)).toContain('bit-outside-fit');
  });
  it('tells what clashes without losing the plan, and waits for what is missing', () => {
    const clash = planOf(fitting(20));
    expect(clash.fit).toBeNull();
    expect(clash.warnings.find((one) => one.code === 'purpose-clash')?.message).toMatch(
      /20 mm .* 23\.5 mm/,
    );
    const half = planOf({ hole: { purpose: { kind: 'tank-fitting' } } });
    expect(half.warnings.map((one) => one.code)).not.toContain('purpose-clash');
    expect(planOf({ hole: { purpose: { kind: 'something-new', sizeMm: 3 } } }).fit).toBeNull();
  });
});

it('says how likely a crack is at least, and more when it is chipped or dull', () => {
  const sound = planOf();
  expect(sound.crackProbability).toBeGreaterThan(0.004);
  expect(planOf({ piece: { damage: 'mended' } }).crackProbability).toBeGreaterThan(
    sound.crackProbability,
  );
  const dull: JobParts['bits'] = [
    { id: 'b', name: 'B', family: 'plated-cup-saw', diameterMm: 25, sharpness: 0.4 },
  ];
  expect(planOf({ bits: dull }).crackProbability).toBeGreaterThan(sound.crackProbability);
  const dry = planOf({ setup: { water: { kind: 'none' } } });
  expect(dry.crackProbability).toBeGreaterThan(0.3);
  const wall = planOf({ piece: { form: 'wall', material: 'clay-brick', thicknessMm: 215 } });
  // Λ₀ 0.0036 · a tenth in masonry · (6/8)⁵ where it is thick, and what the arms push into the drop.
  expect(wall.crackProbability).toBeGreaterThan(0.0036 * 0.1 * 0.2373);
  expect(wall.crackProbability).toBeLessThan(0.0005);
});

it('uses a material of the person’s own, and refuses one whose windows do not rise', () => {
  const own = (file: JobFile, best: number): JobFile => ({
    ...file,
    customMaterials: [
      {
        id: 'local-slate',
        name: 'Slate of the quarry',
        class: 'stone',
        pressureMpa: { glaze: 0.1, low: 0.2, best, high: 0.9 },
        rimSpeedMPerS: { low: 0.6, best: 1.3, high: 2.5 },
        specificEnergyJPerMm3: 3.6,
        friction: 0.28,
        heatShare: 0.25,
        youngModulusMpa: 60_000,
        poisson: 0.2,
        edgeStrengthMpa: 35,
        weibullModulus: 10,
        toughnessMpaSqrtM: 1.5,
        conductivityWPerMK: 2,
        specificHeatJPerKgK: 760,
        densityKgPerM3: 2780,
        expansionPerK: 9e-6,
        mohs: 4,
        heatConstraint: 0.08,
        exitChipFactor: 2.8,
        finesColour: '#8E979C',
        grainSizeUm: 10,
        dust: 'silica',
        abrasiveness: 'medium',
      },
    ],
  });
  const slate = planOf({ piece: { material: 'slate' } });
  const custom = makePlan(caseIn(own(jobWith({ piece: { material: 'local-slate' } }), 0.45)));
  if (custom.kind !== 'planned') throw new Error('faulty');
  // Twice the work to grind it away: half the rate.
  expect(custom.plan.rateMmPerS / slate.rateMmPerS).toBeCloseTo(0.5);
  expect(makePlan(caseIn(own(jobWith(), 0.1)))).toMatchObject({
    kind: 'faulty',
    faults: [{ pointer: '/customMaterials/0/pressureMpa/best' }],
  });
});
