import type { Hole } from '../documents/hole';
import { cutsOf } from './planContext';
import { coreBreakS, lastCoreS } from '../physics/cutting/pauses';
import type { Face } from '../data/operations';
import type { ResolvedOperation } from '../setup/operations/operation';
import { passesOf, wholeLayers, type CoreOut } from './planCores';
import type { CutPlan, HoleTask } from './planCut';
import { CAVITY_WALL, cutAt, FOUR_PASSES, workedOut } from './planFixtures';

interface Cut {
  readonly face?: Face;
  readonly toMm: number;
  readonly ownMm?: number;
  readonly ends?: CutPlan['ends'];
  readonly solid?: boolean;
}
/** One of a bit that reaches `ownMm` by itself. */
const cutOf = ({
  face = 'near',
  toMm,
  ownMm = 500,
  ends = 'inside',
  solid = false,
}: Cut): CutPlan =>
  ({
    operation: { kind: 'cut', face, toMm },
    reach: { ownMm },
    ends,
    setup: { finishing: { geometry: { solid } } },
  }) as unknown as CutPlan;
const CORE: CoreOut = { atMm: 0, lengthMm: 45, why: 'barrel-full', diameterMm: 62, massKg: 0.3 };

type Step = CutPlan | 'turn' | { readonly face: Face; readonly atMm: number };
const out = (atMm: number, face: Face = 'near'): Step => ({ face, atMm });

/** The passes of what is done in order, in a wall 150 mm thick as entered and 8 mm more at its thickest. */
function passesIn(steps: readonly Step[], depth: 'through' | 'blind' = 'through') {
  const near = steps.flatMap((step) =>
    typeof step === 'object' && 'operation' in step && step.operation.face === 'near' ? [step] : [],
  );
  const operations = steps.map((step) => {
    if (step === 'turn')
      return { operation: { kind: 'hand', face: 'near' } as ResolvedOperation, core: null };
    if ('operation' in step) return { operation: step.operation, core: null };
    const operation = { kind: 'hand', face: step.face } as ResolvedOperation;
    return { operation, core: { ...CORE, atMm: step.atMm } };
  });
  const task = {
    hole: { depth: { kind: depth } },
    thickness: { thickestMm: 158 },
    piece: { thicknessMm: 150 },
  } as unknown as HoleTask;
  return passesOf(operations, near, task);
}

it('are one more than the cores that come out between the cuts from the near face', () => {
  const steps = [cutOf({ toMm: 45 }), out(45), cutOf({ toMm: 90 }), out(90)];
  const { count, coreBreaksAtMm, breaks } = passesIn(steps);
  // The last one is pushed out when the work is done.
  expect({ count, coreBreaksAtMm }).toEqual({ count: 2, coreBreaksAtMm: [45] });
  expect(breaks.map(({ massKg }) => massKg)).toEqual([0.3]);
  expect(passesIn([]).count).toBe(1);
});

it('leave out what comes out at the far face, or before that is cut', () => {
  const far = cutOf({ face: 'far', toMm: 70 });
  const turned = passesIn([cutOf({ toMm: 80 }), out(80), 'turn', far, out(70, 'far')]);
  expect(turned.count).toBe(1);
  const back = passesIn([far, out(70, 'far'), 'turn', cutOf({ toMm: 80 })]);
  expect(back.count).toBe(1);
});

describe('the reach', () => {
  const [first, second] = [cutOf({ toMm: 45 }), cutOf({ toMm: 90, ownMm: 100 })];
  const wall = (last: Omit<Cut, 'toMm'>): readonly Step[] => [
    first,
    out(45),
    second,
    out(90),
    cutOf({ toMm: 150, ownMm: 100, ...last }),
  ];

  it('is to the thickest place of a hole that opens the far face', () => {
    expect(passesIn(wall({ ends: 'face' })).extensionMm).toBe(58);
    expect(passesIn(wall({ ends: 'face' }), 'blind').extensionMm).toBe(50);
    expect(passesIn(wall({ ends: 'inside' })).extensionMm).toBe(50);
    expect(passesIn(wall({ ends: 'face', ownMm: 158 }))).toMatchObject({
      extensionMm: 0,
      extendAtMm: null,
    });
  });

  it('has the extension on at the last break before the bit ends, where a core comes out', () => {
    expect(passesIn(wall({ ends: 'face' })).extendAtMm).toBe(90);
    expect(passesIn(wall({ ends: 'face', ownMm: 60 })).extendAtMm).toBe(45);
    expect(passesIn(wall({ ends: 'face', solid: true }))).toMatchObject({
      extensionMm: 58,
      extendAtMm: null,
    });
  });

  it('is that of the last cut that is too short, to its own depth', () => {
    const steps = [
      cutOf({ toMm: 120, ownMm: 100 }),
      cutOf({ toMm: 150, ownMm: 200, ends: 'face' }),
    ];
    expect(passesIn(steps).extensionMm).toBe(20);
  });
});

describe('the leaves as they are cut', () => {
  const leaf = (fromMm: number, toMm: number) => ({ material: 'any', fromMm, toMm });
  const cut = (face: Face, ...layers: readonly (readonly [number, number, number | null])[]) =>
    ({
      operation: { face },
      layers: layers.map(([fromMm, toMm, rateMmPerS]) => ({
        layer: leaf(fromMm, toMm),
        pilotMm: 0,
        slowest: rateMmPerS === null ? null : { rateMmPerS },
        parts: [],
        rateMmPerS: rateMmPerS ?? Infinity,
      })),
    }) as unknown as CutPlan;
  const whole = (finishing: readonly CutPlan[], depthMm = 150) =>
    wholeLayers(
      {
        leaves: [leaf(0, 100), leaf(100, 150)],
        piece: { thicknessMm: 150 },
      } as unknown as HoleTask,
      finishing,
      depthMm,
    ).map(({ layer, slowest, rateMmPerS }) => ({
      span: [layer.fromMm, layer.toMm],
      slowest: (slowest as { readonly rateMmPerS: number } | null)?.rateMmPerS ?? null,
      rateMmPerS,
    }));

  it('stop at the hole’s depth', () => {
    const near = cut('near', [0, 100, 2], [100, 120, 1]);
    expect(whole([near], 120)).toEqual([
      { span: [0, 100], slowest: 2, rateMmPerS: 2 },
      { span: [100, 120], slowest: 1, rateMmPerS: 1 },
    ]);
    expect(whole([near], 100).map(({ span }) => span)).toEqual([[0, 100]]);
  });

  it('are seen from the near face, whatever face they are cut from', () => {
    // From behind the last 50 mm come first.
    expect(whole([cut('far', [0, 50, 3], [50, 150, 2])])).toEqual([
      { span: [0, 100], slowest: 2, rateMmPerS: 2 },
      { span: [100, 150], slowest: 3, rateMmPerS: 3 },
    ]);
  });

  it('take their length over their time where two cuts share one, and show the slower', () => {
    // 60 mm at 3 mm/s and 40 at 1: 100 mm in 60 s.
    const [first] = whole([cut('near', [0, 60, 3]), cut('far', [0, 50, 4], [50, 90, 1])]);
    expect(first).toEqual({ span: [0, 100], slowest: 1, rateMmPerS: 100 / 60 });
    const [other] = whole([cut('near', [0, 60, 1]), cut('far', [0, 50, 4], [50, 90, 3])]);
    expect(other?.slowest).toBe(1);
  });

  it('are open where nothing is cut', () => {
    expect(whole([cut('near', [0, 100, null], [100, 150, 2])])[0]).toEqual({
      span: [0, 100],
      slowest: null,
      rateMmPerS: Infinity,
    });
    expect(whole([])).toHaveLength(2);
  });
});

describe('in the context of a hole', () => {
  it('come out with all that was cut round them since the last, π(D − 2b)²/4·ρ heavy', () => {
    const context = workedOut(FOUR_PASSES);
    const { setup, headline } = cutAt(context, 0);
    const { diameterMm, rimWidthMm } = setup.finishing.geometry;
    const area = (Math.PI * (diameterMm - 2 * rimWidthMm) ** 2) / 4;
    const cores = context.operations.flatMap(({ core }) => (core ? [core] : []));
    expect(cores.map(({ atMm, lengthMm, why }) => [atMm, lengthMm, why])).toEqual([
      [45, 45, 'barrel-full'],
      [90, 45, 'barrel-full'],
      [135, 45, 'barrel-full'],
    ]);
    for (const { massKg, diameterMm: D } of cores) {
      expect(D).toBe(62);
      expect(massKg).toBeCloseTo(area * 45 * headline.material.densityKgPerM3 * 1e-9, 9);
    }
    expect(context.passes).toMatchObject({ count: 4, coreBreaksAtMm: [45, 90, 135] });
  });

  it('drop free at a cavity, as long as the leaf before it', () => {
    const context = workedOut(CAVITY_WALL);
    const [core] = context.operations.flatMap((one) => (one.core ? [one.core] : []));
    expect(core).toMatchObject({ atMm: 102, lengthMm: 102, why: 'cavity', diameterMm: 127 });
    const halt = context.operations.find((one) => one.core)?.time.pauses.coreBreaks;
    expect(halt).toBeCloseTo(20 + 0.2 * 127, 9);
    expect(core && coreBreakS(core, 127)).toBeCloseTo(halt ?? NaN, 9);
    // The last one is pushed out once the work is done.
    const clean = context.operations.at(-1);
    expect(clean?.time.around.lastCore).toBeCloseTo(lastCoreS(false, false, 127), 9);
  });

  it('want an extension where the bit does not reach, on at the last break it still reaches', () => {
    const deep = workedOut({
      ...FOUR_PASSES,
      bits: [
        {
          id: 'cup',
          name: 'Cup 62',
          family: 'plated-cup-saw',
          diameterMm: 62,
          usableDepthMm: 50,
          freeLengthMm: 100,
          shank: { kind: 'round', sizeMm: 10 },
        },
      ],
    });
    expect(deep.passes.extensionMm).toBeCloseTo(50, 9);
    expect(deep.passes.extendAtMm).toBe(90);
    expect(deep.extension).toBeNull();
  });
});

describe('leaves', () => {
  it('are the whole wall, each as its bit cuts it, whatever face it came from', () => {
    const one = workedOut(CAVITY_WALL);
    const both = workedOut({ ...CAVITY_WALL, setup: { ...CAVITY_WALL.setup, sides: 'two' } });
    for (const context of [one, both])
      expect(context.layers.map(({ layer }) => [layer.id, layer.fromMm, layer.toMm])).toEqual([
        ['clay-brick', 0, 102],
        ['cavity', 102, 172],
        ['lightweight-block', 172, 272],
      ]);
    expect(both.layers[1]).toMatchObject({ slowest: null, rateMmPerS: Infinity });
    expect(both.layers[2]?.slowest?.material.id).toBe('lightweight-block');
    expect(both.depthPerSideMm).toBe(102);
    expect(one.depthPerSideMm).toBe(272);
  });

  it('go at the harmonic mean of their passes', () => {
    const context = workedOut(FOUR_PASSES);
    const [leaf] = context.layers;
    const seconds = cutsOf(context).reduce(
      (so, { layers, operation }) =>
        so + (operation.toMm - operation.fromMm) / (layers[0]?.rateMmPerS ?? NaN),
      0,
    );
    expect(leaf?.rateMmPerS).toBeCloseTo(150 / seconds, 9);
  });
});

describe('the way a hole goes', () => {
  it('what is behind the bottom of a blind hole is no part of it', () => {
    const blind = workedOut({
      ...CAVITY_WALL,
      hole: { diameterMm: 127, depth: { kind: 'blind', depthMm: 102 } },
    });
    expect(blind.layers.map(({ layer }) => layer.id)).toEqual(['clay-brick']);
    expect(blind.depthMm).toBe(102);
  });

  it('reaches the thickest it was measured, through and no further where it is blind', () => {
    const measured = (depth: Hole['depth']) =>
      workedOut({
        ...FOUR_PASSES,
        piece: { ...FOUR_PASSES.piece, thicknessReadingsMm: [150, 158] },
        hole: { diameterMm: 62, depth },
        bits: (FOUR_PASSES.bits ?? []).map((bit) => ({ ...bit, usableDepthMm: 150 })),
      });
    expect(measured({ kind: 'through' }).passes.extensionMm).toBeCloseTo(8, 9);
    expect(measured({ kind: 'blind', depthMm: 140 }).passes.extensionMm).toBe(0);
  });
});
