import type { Operation } from '../documents/operation';
import { COOLANTS } from '../data/coolants';
import { BIT_SWAP_S, liftS, TURN_S } from '../physics/cutting/pauses';
import { caseIn, caseWith, jobWith, wallOf, type JobParts } from '../setup/jobFixtures';
import { cutsOf, type PlanContext } from './planContext';
import { operationNumbers, planNumbers } from './planNumbers';
import { operationSpread } from './planTime';
import { contextIn, coreBit } from './planFixtures';

const WALL: JobParts = {
  piece: wallOf(['engineering-brick', 60], ['cavity', 40], ['lightweight-block', 60]),
  hole: { diameterMm: 52 },
  setup: { bit: 'core', water: { kind: 'bottle' } },
  bits: [coreBit(52, 200)],
};

it('gives each leaf the time it takes, and a cavity none', () => {
  const context = contextIn(caseWith(WALL));
  const { layers } = planNumbers(context);
  expect(layers.map(({ name, fromMm, toMm }) => [name, fromMm, toMm])).toEqual([
    [context.layers[0]?.slowest?.material.name, 0, 60],
    ['Cavity', 60, 100],
    [context.layers[2]?.slowest?.material.name, 100, 160],
  ]);
  expect(layers[1]).toMatchObject({ class: null, cut: null });
  const rate = context.layers[2]?.rateMmPerS ?? NaN;
  expect(layers[2]?.cut?.cuttingTimeS).toBeCloseTo(60 / rate, 9);
  // Pressed so little that it only rubs.
  const stuck = contextIn(caseWith({ setup: { contactPressureMpa: 0.01 } }));
  expect(planNumbers(stuck).layers[0]?.cut?.cuttingTimeS).toBeNull();
  expect(planNumbers(stuck).drillTimeS).toBeNull();
});

it('names bit and machine where they are one’s own', () => {
  const context = contextIn(caseWith());
  const own = planNumbers(context).setup;
  expect([own.bitId, own.machineId]).toEqual(['cup25', 'free']);
  const { finishing } = context.setup;
  const presumed = planNumbers({
    ...context,
    setup: { ...context.setup, machineOwned: false, finishing: { ...finishing, owned: false } },
  }).setup;
  expect([presumed.bitId, presumed.machineId]).toEqual([null, null]);
  expect(presumed.bitName).toBe(own.bitName);
});

it('seats at the seat’s force, or the cut’s where it needs no seat; ticks by hold and swaps', () => {
  const context = contextIn(caseWith({ setup: { hold: 'freehand' } }));
  const plan = planNumbers(context);
  const seat = context.stages.find(({ kind }) => kind === 'seat');
  expect(plan.seatForceN).toBe(seat?.forceN);
  expect(plan.seatForceN).toBeLessThan(plan.feedForceN);
  const rest = context.stages.filter(({ kind }) => kind !== 'seat');
  expect(planNumbers({ ...context, stages: rest }).seatForceN).toBe(plan.feedForceN);
  expect(plan.clock).toMatchObject({ liftS: liftS('freehand'), bitSwapS: BIT_SWAP_S });
});

it('bends by what was worked out, and says nothing where it was not', () => {
  const context = contextIn(caseWith());
  const figures = ({
    bendingStressMpa,
    maxDeflectionMm,
    liftOffFraction,
  }: ReturnType<typeof planNumbers>) => [bendingStressMpa, maxDeflectionMm, liftOffFraction];
  expect(figures(planNumbers(context))).toEqual([null, null, null]);
  const bending = {
    kind: 'bent',
    stressMpa: 3,
    deflectionMm: 0.2,
    liftOffFraction: 0.1,
  } as PlanContext['bending'];
  expect(figures(planNumbers({ ...context, bending }))).toEqual([3, 0.2, 0.1]);
});

describe('smaller bits first', () => {
  const cups = [12, 25].map((diameterMm) => ({
    id: `cup${diameterMm}`,
    name: `Cup ${diameterMm}`,
    family: 'plated-cup-saw' as const,
    diameterMm,
    rimWidthMm: 1,
  }));
  const context = contextIn(
    caseWith({ piece: { thicknessMm: 12 }, setup: { bits: ['cup12', 'cup25'] }, bits: cups }),
  );

  it('are pilots, each with its own bit and time; the one to size is none', () => {
    const [small] = cutsOf(context);
    expect(planNumbers(context).pilots).toEqual([
      {
        bitId: 'cup12',
        bitName: 'Cup 12',
        lifeDepthMm: small?.headline.lifeDepthMm,
        diameterMm: 12,
        rimWidthMm: 1,
        solid: false,
        rpm: small?.headline.speed.rpm,
        forceN: small?.headline.force.feedForceN,
        timeS: small?.time.cuttingS,
      },
    ]);
  });

  it('take null seconds where they do not cut, and no name of one’s own where there is none', () => {
    const operations = context.operations.map((one) =>
      one.cut && !one.finishes
        ? {
            ...one,
            cut: {
              ...one.cut,
              time: { ...one.cut.time, cuttingS: Infinity },
              setup: { ...one.cut.setup, finishing: { ...one.cut.setup.finishing, owned: false } },
            },
          }
        : one,
    );
    expect(planNumbers({ ...context, operations }).pilots).toMatchObject([
      { bitId: null, bitName: 'Cup 12', timeS: null },
    ]);
  });

  it('and a counterbore, which is wider, is none', () => {
    const operations = context.operations.map((one) =>
      one.cut && !one.finishes
        ? {
            ...one,
            cut: { ...one.cut, operation: { ...one.cut.operation, does: 'counterbore' as const } },
          }
        : one,
    );
    expect(planNumbers({ ...context, operations }).pilots).toEqual([]);
  });
});

describe('one operation', () => {
  const operations: readonly Operation[] = [
    { id: 'core', does: 'core', bitId: 'core' },
    { id: 'turn', does: 'go-round' },
  ];
  const context = contextIn(
    caseIn(
      jobWith({
        ...WALL,
        piece: wallOf(['engineering-brick', 60], ['lightweight-block', 60]),
        hole: { diameterMm: 52, operations },
      }),
    ),
  );
  const [cored, turned] = context.operations;
  const [cut] = cutsOf(context);
  if (!cored || !turned || !cut) throw new Error('A core, and a turn.');

  it('of a bit goes at the mean rate of its leaves, with its own lifts, collar and ends', () => {
    const { layers, lifts, stop, sticksOutMm, ends, stages, bitDepthMm, setup, water } = cut;
    const [brick, block] = layers.map(({ rateMmPerS }) => rateMmPerS);
    expect(operationNumbers(cored)).toMatchObject({
      id: 'core',
      fromMm: 0,
      toMm: 120,
      bitId: 'core',
      machineId: 'free',
      extensionId: null,
      wet: COOLANTS[setup.coolant.id].kind !== 'dry',
      rateMmPerS: expect.closeTo(120 / (60 / (brick ?? NaN) + 60 / (block ?? NaN)), 9),
      timeS: cut.time.work && operationSpread(cut.time.work, cored.time),
      lifts: lifts.length,
      liftsAtMm: lifts,
      waterChanges: water.changeAtDepthMm.length,
      boreDepthMm: setup.finishing.geometry.boreDepthMm,
      collarAtMm: stop.collarAtMm,
      sticksOutMm,
      ends,
      stages,
      bitDepthMm,
      haltS: 0,
    });
    const geometry = { ...setup.finishing.geometry, solid: true };
    const solid = { ...setup, finishing: { ...setup.finishing, geometry, owned: false } };
    const other = { ...cored, cut: { ...cut, setup: { ...solid, machineOwned: false } } };
    expect(operationNumbers(other)).toMatchObject({
      boreDepthMm: null,
      bitId: null,
      machineId: null,
    });
    const stuck = layers.map((one, at) => (at === 0 ? { ...one, rateMmPerS: 0 } : one));
    expect(operationNumbers({ ...cored, cut: { ...cut, layers: stuck } }).rateMmPerS).toBeNull();
  });

  it('of hands stands at a depth and halts the drilling or stands around it', () => {
    const { operation } = turned;
    if (operation.kind !== 'hand') throw new Error('Hands turn it.');
    const numbers = operationNumbers(turned);
    expect(numbers).toMatchObject({
      id: 'turn',
      fromMm: operation.atMm,
      toMm: operation.atMm,
      bitId: null,
      timeS: operationSpread(null, turned.time),
      haltS: TURN_S['go-round'],
    });
    const around = { ...turned, time: { pauses: {}, around: { takeDown: 45 } } };
    expect(operationNumbers(around)).toMatchObject({
      haltS: 0,
      timeS: { p50: expect.closeTo(45, 9) as number },
    });
  });
});
