import type { Plan } from '../documents/plan';
import { caseIn, caseWith, jobWith, type JobParts } from '../setup/jobFixtures';
import { makePlan } from '../words/plan/makePlan';

function planOf(parts: JobParts = {}): Plan {
  const outcome = makePlan(caseWith(parts));
  if (outcome.kind !== 'planned') throw new Error(JSON.stringify(outcome.faults));
  return outcome.plan;
}

/** Known answers hold to half a per cent. */
function near(actual: number | null | undefined, expected: number): void {
  expect(Math.abs((actual ?? NaN) / expected - 1)).toBeLessThan(0.005);
}

const granite: JobParts = {
  piece: { form: 'slab', material: 'granite', thicknessMm: 20 },
  hole: { diameterMm: 35 },
  bits: [
    {
      id: 'core35',
      name: 'Core 35',
      family: 'plated-cup-saw',
      diameterMm: 35,
      rimWidthMm: 2,
      coverage: 1,
    },
  ],
  setup: { water: { kind: 'spindle' } },
};
const concrete: JobParts = {
  piece: { form: 'wall', material: 'concrete', thicknessMm: 150 },
  hole: { diameterMm: 102 },
  bits: [
    {
      id: 'seg102',
      name: 'Segmented 102',
      family: 'segmented-core',
      diameterMm: 102,
      rimWidthMm: 3.5,
    },
  ],
  setup: { hold: 'rig', water: { kind: 'spindle' }, contactPressureMpa: 1.5 },
};
const basalt: JobParts = {
  piece: { form: 'bead', material: 'basalt', thicknessMm: 8 },
  hole: { diameterMm: 1.5 },
  bits: [{ id: 'point', name: 'Point', family: 'plated-point', diameterMm: 1.5 }],
  setup: { rimSpeedMPerS: 0.8 },
};

describe('worked values', () => {
  it('float glass 6 mm, cup saw 25/1.0, still bath', () => {
    const plan = planOf();
    near(plan.rpm, 916.73);
    near(plan.feedForceN, 26.389);
    near(plan.meanSpeedMPerS, 1.152);
    // e of float glass 1.6 J/mm³, × 0.75 with a plated rim.
    near(plan.rateMmPerS, 0.0744);
    near(plan.depthMm / plan.rateMmPerS, 80.65);
    near(plan.torqueNm, 0.0792);
    near(plan.powerW, 7.6);
    // h_c with t = 80.65 s: 2π·1/(0.001·(ln(16·5.556e-7·80.65/1e-6) − 0.5772)) = 1048 W/m²K.
    near(plan.tempRiseK, 7.152);
    // A hot spot's half: ½·70 000·9e-6·7.152.
    near(plan.thermalStressMpa, 2.253);
    near(plan.water.finesG, 1.131);
  });

  it('the same plate dry', () => {
    const plan = planOf({ setup: { water: { kind: 'none' } } });
    near(plan.rateMmPerS, 0.04464);
    near(plan.tempRiseK, 102.51);
    near(plan.thermalStressMpa, 32.29);
    expect(plan.warnings.map((warning) => warning.code)).toContain('overheats');
  });

  it('granite 20 mm, core 35/2.0, spindle water', () => {
    const plan = planOf(granite);
    near(plan.rpm, 1091.35);
    near(plan.feedForceN, 207.35);
    near(plan.meanSpeedMPerS, 1.8857);
    near(plan.rateMmPerS, 0.181029);
    near(plan.torqueNm, 1.026);
    near(plan.powerW, 117.3);
    near(plan.tempRiseK, 8.54);
    near(plan.thermalStressMpa, 0.2505);
    near(plan.water.flowLPerMin, 0.5);
    expect(plan.lifts).toEqual([]);
  });

  it('concrete 150 mm, segmented 102/3.5, spindle water', () => {
    const plan = planOf(concrete);
    near(plan.rpm, 524.28);
    near(plan.feedForceN, 812.3);
    near(plan.meanSpeedMPerS, 2.7039);
    near(plan.rateMmPerS, 0.374944);
    near(plan.torqueNm, 12.0);
    near(plan.powerW, 658.9);
    // π · 102 mm · 0.25 mm · 0.4 m/s, for 400 s.
    near(plan.water.flowLPerMin, 1.923);
    near(plan.water.slurryL, 12.82);
    expect(plan.thermalStressMpa).toBe(0);
  });

  it('basalt 8 mm, solid point 1.5', () => {
    const plan = planOf(basalt);
    near(plan.rpm, 10_185.9);
    near(plan.feedForceN, 5.5665);
    near(plan.meanSpeedMPerS, 0.5333);
    near(plan.rateMmPerS, 0.1624);
    near(plan.tempRiseK, 14.53);
    near(plan.thermalStressMpa, 0.436);
  });
});

describe('the same physics whichever way it is asked', () => {
  const force = (plan: Plan): number => plan.feedForceN;

  it('more force is never slower inside the window', () => {
    const rates = [0.15, 0.25, 0.35, 0.6, 0.9].map(
      (contactPressureMpa) => planOf({ setup: { contactPressureMpa } }).rateMmPerS,
    );
    expect(rates).toEqual([...rates].sort((a, b) => a - b));
  });

  it('dry is never cooler, duller never faster', () => {
    expect(planOf({ setup: { water: { kind: 'none' } } }).tempRiseK).toBeGreaterThan(
      planOf().tempRiseK,
    );
    const rates = [1, 0.8, 0.5, 0.3].map(
      (sharpness) =>
        planOf({
          bits: [{ id: 'cup25', name: 'Cup', family: 'plated-cup-saw', diameterMm: 25, sharpness }],
        }).rateMmPerS,
    );
    expect(rates).toEqual([...rates].sort((a, b) => b - a));
  });

  it('a bigger core at the same pressure needs more force', () => {
    const forces = [10, 25, 40, 68].map((diameterMm) =>
      force(
        planOf({
          hole: { diameterMm },
          bits: [{ id: 'cup', name: 'Cup', family: 'plated-cup-saw', diameterMm }],
        }),
      ),
    );
    expect(forces).toEqual([...forces].sort((a, b) => a - b));
  });

  it('gives the same numbers in either unit system', () => {
    const metric = makePlan(caseWith());
    const inch = makePlan(caseWith(), { length: 'inch', force: 'lbf' });
    if (metric.kind !== 'planned' || inch.kind !== 'planned') throw new Error('not planned');
    expect(inch.plan.feedForceN).toBe(metric.plan.feedForceN);
    expect(inch.plan.reasons.feedForceN?.text).toContain('psi');
    expect(metric.plan.reasons.feedForceN?.text).toContain('MPa');
  });
});

describe('stages, lifts and steps', () => {
  it('covers the depth once, seat to exit', () => {
    const { stages, depthMm, drillTimeS } = planOf();
    expect(stages[0]).toMatchObject({ kind: 'seat', fromMm: 0, toMm: 0.5 });
    stages
      .slice(1)
      .forEach((stage, index) => expect(stage.fromMm).toBeCloseTo(stages[index]?.toMm ?? NaN));
    expect(stages.at(-1)).toMatchObject({ kind: 'exit', toMm: depthMm });
    expect(drillTimeS?.p10).toBeLessThan(drillTimeS?.p50 ?? 0);
    expect(drillTimeS?.p50).toBeLessThan(drillTimeS?.p90 ?? 0);
  });

  it('a blind hole and a ring have no exit', () => {
    for (const kind of ['blind', 'ring'] as const) {
      const plan = planOf({ hole: { depth: { kind, depthMm: 3 } } });
      expect(plan.exitChipMm).toBeNull();
      expect(plan.stages.at(-1)?.kind).toBe('main');
      expect(plan.steps.some((step) => step.kind === 'through')).toBe(false);
    }
  });

  it('drills half from each face with no chip at either', () => {
    const plan = planOf({ setup: { sides: 'two' } });
    expect(plan.depthPerSideMm).toBe(3);
    expect(plan.exitChipMm?.p50).toBe(0);
    expect(plan.steps.some((step) => step.kind === 'flip')).toBe(true);
    expect(plan.stages.filter((stage) => stage.kind === 'seat')).toHaveLength(2);
  });

  it('walks a layered wall and shows its slowest leaf', () => {
    const plan = planOf({
      ...concrete,
      piece: {
        form: 'wall',
        material: 'clay-brick',
        thicknessMm: 272,
        layers: [
          { material: 'engineering-brick', thicknessMm: 102 },
          { material: 'cavity', thicknessMm: 70 },
          { material: 'lightweight-block', thicknessMm: 100 },
        ],
      },
      setup: { water: { kind: 'spindle' } },
    });
    expect(plan.layers.map((layer) => layer.cut === null)).toEqual([false, true, false]);
    expect(plan.rateMmPerS).toBe(
      Math.min(...plan.layers.flatMap((layer) => layer.cut?.rateMmPerS ?? [])),
    );
    expect(plan.passes).toBe(Math.ceil(272 / (plan.setup.usableDepthMm - 5)));
    expect(plan.coreBreaksAtMm).toHaveLength(plan.passes - 1);
  });

  it('widens the time of a mixed leaf', () => {
    const layers = (mix?: { material: string; share: number }[]) => ({
      ...concrete,
      piece: {
        form: 'wall' as const,
        material: 'clay-brick',
        thicknessMm: 100,
        layers: [{ material: 'clay-brick', thicknessMm: 100, ...(mix ? { mix } : {}) }],
      },
      setup: { water: { kind: 'spindle' as const } },
    });
    const plain = planOf(layers()).drillTimeS;
    const mixed = planOf(
      layers([
        { material: 'clay-brick', share: 0.5 },
        { material: 'engineering-brick', share: 0.5 },
      ]),
    ).drillTimeS;
    const width = (t: typeof plain): number => (t ? t.p90 / t.p10 : NaN);
    expect(width(mixed)).toBeGreaterThan(width(plain));
  });

  it('steps up through a chain of bits, each in the hole of the last', () => {
    const point = { id: 'p', name: 'Point 2', family: 'plated-point' as const, diameterMm: 2 };
    const rod = { id: 'r', name: 'Rod 4', family: 'sintered-rod' as const, diameterMm: 4 };
    const single = planOf({ ...basalt, hole: { diameterMm: 4 }, bits: [rod], setup: { bit: 'r' } });
    const chain = planOf({
      ...basalt,
      hole: { diameterMm: 4 },
      bits: [point, rod],
      setup: { bits: ['p', 'r'] },
    });
    expect(chain.setup.bitName).toBe('Rod 4');
    expect(chain.feedForceN).toBeLessThan(single.feedForceN);
    expect(single.reasons.drillTimeS?.inputs.some((one) => one.value === '48 s')).toBe(true);
  });

  it('says so when it would not cut at all', () => {
    const plan = planOf({ setup: { contactPressureMpa: 0.02 } });
    expect(plan.drillTimeS).toBeNull();
    expect(plan.warnings.map((warning) => warning.code)).toContain('does-not-cut');
    expect(JSON.stringify(plan)).not.toContain('Infinity');
  });

  it('gives every figure a reason with a source', () => {
    const { reasons } = planOf();
    for (const key of [
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
    ]) {
      expect(reasons[key]?.text).toBeTruthy();
      expect(reasons[key]?.source).toBeTruthy();
    }
  });

  it('flushes a shallow pool mid-hole, not a bath', () => {
    const plan = planOf({ setup: { water: { kind: 'pool', coverMm: 1 } } });
    expect(plan.water.changeAtDepthMm.length).toBeGreaterThan(0);
    expect(plan.steps.some((step) => step.kind === 'water-change')).toBe(true);
    expect(planOf().water.changeAtDepthMm).toEqual([]);
    expect(planOf().water.holesPerFill).toBeGreaterThan(1);
  });
});

describe('what the planner fills in', () => {
  it('assumes a new bit of the size where none is owned, and says so', () => {
    const file = jobWith({ bits: [] });
    const bare = {
      ...file,
      kit: {},
      pieces: file.pieces.map((piece) => ({
        ...piece,
        holes: piece.holes.map(({ setup: _, ...hole }) => hole),
      })),
    };
    const outcome = makePlan(caseIn(bare));
    if (outcome.kind !== 'planned') throw new Error('faulty');
    expect(outcome.plan.setup).toMatchObject({
      bitId: null,
      bitFamily: 'plated-cup-saw',
      bitDiameterMm: 25,
      waterKind: 'still-bath',
    });
    expect(outcome.plan.setup.assumed).toEqual(
      expect.arrayContaining(['bit', 'machine', 'support', 'water', 'hold', 'pace']),
    );
    expect(outcome.plan.reasons.bit?.text).toContain('Assumed');
  });

  it('warns of a bit that misses the size and of a short reach', () => {
    const codes = planOf({
      hole: { diameterMm: 30 },
      piece: { thicknessMm: 40, form: 'slab' },
    }).warnings.map((w) => w.code);
    expect(codes).toEqual(expect.arrayContaining(['bit-off-size', 'extension-needed']));
  });
});
