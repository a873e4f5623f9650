import { coreMassOf } from './planCores';
import { START_S, TURN_S } from '../physics/cutting/pauses';
import { caseWith, wallOf, type JobParts } from '../setup/jobFixtures';
import { makePlan } from '../words/plan/makePlan';
import { cutsOf, type PlanContext } from './planContext';
import { sumOf } from './planTime';
import { timelineOf } from './timeline';
import {
  BORED_CAVITY,
  CAVITY_WALL,
  coreBit,
  cutAt,
  FOUR_PASSES,
  STEPPED_PANE,
  TILED_BLOCK,
  workedOut,
} from './planFixtures';

const planOf = (parts: JobParts) => {
  const outcome = makePlan(caseWith(parts));
  if (outcome.kind === 'faulty') throw new Error(JSON.stringify(outcome.faults));
  return outcome.plan;
};

const TWO_LEAVES: JobParts = {
  piece: {
    form: 'wall',
    material: 'clay-brick',
    thicknessMm: 322,
    outline: { kind: 'rectangle', widthMm: 2000, heightMm: 2000 },
    layers: [
      { material: 'clay-brick', thicknessMm: 102 },
      { material: 'cavity', thicknessMm: 70 },
      { material: 'lightweight-block', thicknessMm: 150 },
    ],
  },
  hole: { xMm: 900, yMm: 900, diameterMm: 96 },
  setup: { water: { kind: 'spindle' } },
  bits: [
    { id: 'seg', name: 'Core 96', family: 'segmented-core', diameterMm: 96, usableDepthMm: 150 },
  ],
};

it.each<[string, JobParts]>([
  ['a pane', {}],
  ['a pane from both sides', { setup: { sides: 'two' } }],
  ['a cavity wall', TWO_LEAVES],
  ['a smaller bit before the one to size', STEPPED_PANE],
  [
    'thick granite',
    { piece: { material: 'granite', form: 'block', thicknessMm: 90 }, setup: { hold: 'press' } },
  ],
])('ends when the plan says the hole is done: %s', (_, parts) => {
  const plan = planOf(parts);
  const end = plan.timeline.at(-1);
  expect(end?.kind).toBe('end');
  expect(end?.atS).toBeCloseTo(plan.drillTimeS?.p50 ?? NaN, 6);
  const clock = plan.timeline.map(({ atS }) => atS ?? NaN);
  expect(clock).toEqual([...clock].sort((a, b) => a - b));
});

it('goes through a wall leaf by leaf, with the water off before the far face', () => {
  const plan = planOf(TWO_LEAVES);
  expect(plan.timeline.map(({ kind, depthMm }) => `${kind} ${depthMm.toFixed(0)}`)).toEqual(
    expect.arrayContaining([
      'seat 0',
      'core-drop 102',
      'extension 102',
      'cavity 102',
      'leaf 172',
      'water-off 302',
      'core-break 317',
      'end 322',
    ]),
  );
  const drop = plan.timeline.find(({ kind }) => kind === 'core-drop');
  // π/4·(96 − 2·3.3)²·102 mm³ of brick at 1800 kg/m³: 1.15 kg.
  expect(drop?.detail).toMatch(/About 1\.[12] kg, 102 mm long/);
  expect(plan.passes).toBe(3);
  expect(plan.water.offAtMm).toBe(302);
  expect(plan.steps.some((step) => step.title === 'Shut the water at 302 mm')).toBe(true);
});

it('leaves the water running where that is wanted, and in what is not a wall', () => {
  const running = planOf({
    ...CAVITY_WALL,
    setup: { water: { kind: 'spindle', offBeforeFarFaceMm: 0 } },
  });
  expect(running.water.offAtMm).toBeNull();
  expect(planOf({ setup: { water: { kind: 'spindle' } } }).water.offAtMm).toBeNull();
});

it('has no clock past where it does not cut', () => {
  const plan = planOf({ setup: { contactPressureMpa: 0.01 } });
  expect(plan.timeline.at(-1)?.atS).toBeNull();
});

const at = (context: PlanContext) =>
  timelineOf(context).map(({ kind, side, depthMm }) => `${kind} ${side} ${depthMm}`);
const kindsAt = (context: PlanContext, kind: string) =>
  timelineOf(context)
    .filter((one) => one.kind === kind)
    .map(({ depthMm }) => depthMm);
const HOLLOW: JobParts = {
  piece: wallOf(['clay-brick', 100], ['cavity', 50], ['lightweight-block', 100]),
  hole: { diameterMm: 52 },
  setup: { bit: 'core', water: { kind: 'none' } },
  bits: [coreBit(52, 140)],
};

describe('moment by moment', () => {
  it('a hollow wall from one face: the core drops, then the extension goes on, the cavity, the next leaf', () => {
    const context = workedOut(HOLLOW);
    expect(at(context)).toEqual([
      'seat 1 0',
      'core-drop 1 100',
      'extension 1 100',
      'cavity 1 100',
      'leaf 1 150',
      expect.stringMatching(/^ease-off 1 247/),
      'end 1 250',
    ]);
    const [near, far] = cutsOf(context);
    const moments = timelineOf(context);
    const first = near ? near.time.cuttingS * (1 + near.time.restShare) : NaN;
    // Before the next leaf: the first cut and its start, and the core that dropped.
    const dropS = moments[1]?.haltS ?? NaN;
    expect(moments[1]?.atS).toBeCloseTo(first + sumOf(near?.time.pauses ?? {}), 9);
    for (const index of [2, 3, 4])
      expect(moments[index]?.atS).toBeCloseTo((moments[1]?.atS ?? NaN) + dropS, 9);
    expect(moments[4]).toMatchObject({
      material: far?.headline.material.name,
      forceN: far?.headline.force.feedForceN,
    });
    expect(moments.map(({ eased }) => eased).filter((one) => one !== undefined)).toEqual([false]);
  });

  it('the same from both faces: round to the other side between, and no leaf is come into', () => {
    const context = workedOut({ ...HOLLOW, setup: { ...HOLLOW.setup, sides: 'two' } });
    expect(at(context)).toEqual([
      'seat 1 0',
      'cavity 1 100',
      'flip 1 100',
      'seat 2 0',
      'cavity 2 100',
      'end 2 100',
    ]);
    const moments = timelineOf(context);
    const flip = moments[2];
    expect(flip).toMatchObject({ round: true, haltS: TURN_S['go-round'] });
    // The other face is begun once one is there.
    expect((moments[3]?.atS ?? NaN) - (flip?.atS ?? NaN)).toBeCloseTo(TURN_S['go-round'], 9);
    expect(timelineOf(workedOut({ piece: { thicknessMm: 12 }, setup: { sides: 'two' } }))).toEqual(
      expect.arrayContaining([expect.objectContaining({ kind: 'flip', round: false })]),
    );
  });

  it('a smaller bit first takes its time and shows no moments; the last core is the last bit’s own', () => {
    const context = workedOut(STEPPED_PANE);
    expect(at(context)).toEqual(['seat 1 0', 'ease-off 1 11.5', 'end 1 12']);
    const [small] = cutsOf(context);
    const { cuttingS = NaN, restShare = NaN, pauses = {} } = small?.time ?? {};
    const [seat, , end] = timelineOf(context);
    expect(seat?.atS).toBeCloseTo(cuttingS * (1 + restShare) + sumOf(pauses), 9);
    expect(pauses).toMatchObject({ start: START_S[context.setup.start] });
    // π/4·(23² − 12²)·12 mm³ of glass at 2500 kg/m³.
    expect(end?.core?.massKg).toBeCloseTo((Math.PI / 4) * (23 ** 2 - 12 ** 2) * 12 * 2.5e-6, 9);
    expect(end?.core?.lengthMm).toBeCloseTo(12, 9);
  });

  it('a tile, then the block behind it: the bit is changed, and what stands in the way chiselled out', () => {
    const parts: JobParts = {
      piece: wallOf(['glazed-wall-tile', 7], ['lightweight-block', 93]),
      hole: { diameterMm: 8, depth: { kind: 'blind', depthMm: 50 } },
      bits: [
        { id: 'tile', name: 'Tile 8', family: 'plated-tube', diameterMm: 8 },
        { id: 'mas', name: 'Masonry 8', family: 'masonry-bit', diameterMm: 8, usableDepthMm: 100 },
      ],
      setup: { bit: 'tile' },
    };
    const context = workedOut(parts, [
      { id: 'a', does: 'core', bitId: 'tile', toMm: 7 },
      { id: 'c', does: 'chisel' },
      { id: 'b', does: 'bore', bitId: 'mas' },
      { id: 'o', does: 'clean' },
    ]);
    expect(at(context)).toEqual([
      'seat 1 0',
      'chisel 1 7',
      'bit-change 1 7',
      'leaf 1 7',
      'end 1 50',
    ]);
    const change = timelineOf(context).find(({ kind }) => kind === 'bit-change');
    expect(change).toMatchObject({ bitName: 'Masonry 8' });
    expect(change?.haltS).toBe(cutsOf(context)[1]?.time.pauses.bitSwaps);
    // A solid bit leaves no core.
    expect(timelineOf(context).at(-1)?.core).toBeUndefined();
  });
});

it('comes into a cavity and the leaf behind it where one bit goes through them all', () => {
  const through = workedOut(BORED_CAVITY);
  expect(kindsAt(through, 'cavity')).toEqual([60]);
  expect(kindsAt(through, 'leaf')).toEqual([100]);
});

it('puts the clock to each break after what went before it', () => {
  const context = workedOut(FOUR_PASSES);
  const moments = timelineOf(context);
  const breaks = moments.filter(({ kind }) => kind === 'core-break');
  expect(breaks.map(({ depthMm, haltS }) => [depthMm, haltS])).toEqual(
    [45, 90, 135].map((depthMm) => [depthMm, 25 + 0.5 * 62 + 0.1 * 45]),
  );
  const cuts = cutsOf(context);
  let atS = 0;
  for (const [index, one] of breaks.entries()) {
    const { time } = cuts[index] ?? cutAt(context, 0);
    atS += time.cuttingS * (1 + time.restShare) + sumOf(time.pauses);
    expect(one.atS).toBeCloseTo(atS, 6);
    atS += one.haltS;
  }
  expect(moments.at(-1)).toMatchObject({ kind: 'end', depthMm: 150 });
});

it('each new leaf is said at its top, and no pass is one', () => {
  expect(kindsAt(workedOut(FOUR_PASSES), 'leaf')).toEqual([]);
  expect(kindsAt(workedOut(CAVITY_WALL), 'leaf')).toEqual([172]);
  expect(kindsAt(workedOut(CAVITY_WALL), 'cavity')).toEqual([102]);
  const tiled = workedOut(TILED_BLOCK);
  expect(kindsAt(tiled, 'leaf')).toEqual([9]);
  expect(kindsAt(tiled, 'bit-change')).toEqual([9]);
});

it('the last core is as long as what was cut since the one before', () => {
  const { core } = timelineOf(workedOut(FOUR_PASSES)).at(-1) ?? {};
  expect(core?.lengthMm).toBeCloseTo(15, 9);
  expect(core?.massKg).toBeCloseTo(coreMassOf(cutAt(workedOut(FOUR_PASSES), 3)), 12);
});
