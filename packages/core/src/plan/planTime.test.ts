import { BIT_SWAP_S, PAUSE_IDS, TURN_S } from '../physics/cutting/pauses';
import { mixtureQuantile } from '../math/logNormalMixture';
import { restAllowance } from '../physics/effort/armForce';
import { handForce } from '../physics/effort/pressing';
import {
  AROUND_SD,
  cuttingTimeParts,
  logNormalSpan,
  partsSd,
  PAUSES_SD,
  spanSd,
} from '../physics/spread';
import type { LayerCut } from '../setup/cutLayers';
import { wallOf, type JobParts } from '../setup/jobFixtures';
import { cutIfOther } from '../setup/possibilities';
import { cutsOf, type PlanContext } from './planContext';
import type { CutPlan } from './planCut';
import { mixSpread, operationSpread, sumOf, totalTime, type CutTime } from './planTime';
import { CAVITY_WALL, coreBit, cutAt, FOUR_PASSES, STEPPED_PANE, workedOut } from './planFixtures';

/** A cut of so many seconds, a tenth of it rests, from half to twice as long. */
const cut = (cuttingS: number, change: Partial<CutTime> = {}): CutTime => ({
  pauses: { start: 3, lifts: 10 },
  around: {},
  cuttingS,
  restsS: 0.1 * cuttingS,
  restShare: 0.1,
  work: { p10: 0.55 * cuttingS, p50: 1.1 * cuttingS, p90: 2.2 * cuttingS },
  sd: 0.4,
  cuts: [{ seconds: 1.1 * cuttingS, pressureMpa: 0.3, idleMpa: 0.02 }],
  ...change,
});
const HAND = { pauses: { coreBreaks: 40 }, around: { setUp: 60, takeDown: 20 } };

describe('a whole hole', () => {
  const cuts = [cut(100), cut(300)];
  const total = totalTime(cuts, [...cuts, HAND], null);

  it('takes the seconds of all that is done', () => {
    expect(total.cuttingS).toBe(400);
    expect(total.restsS).toBeCloseTo(40, 9);
    expect(total.restShare).toBeCloseTo(0.1, 12);
    expect(total.pauses).toMatchObject({ start: 6, lifts: 20, coreBreaks: 40, bitSwaps: 0 });
    expect(total.pausesS).toBe(66);
    expect(total.around).toEqual({ setUp: 60, takeDown: 20, lastCore: 0 });
    expect(total.cuts.map(({ seconds }) => Math.round(seconds))).toEqual([110, 330]);
    expect(total.spread?.p50).toBeCloseTo(440 + 66, 9);
    expect(total.altogether?.p50).toBeCloseTo(440 + 66 + 80, 9);
  });

  it('is slow in all its cuts or none, its pauses and what stands around them by themselves', () => {
    const pauses = logNormalSpan(66, PAUSES_SD);
    expect(total.spread?.p90).toBeCloseTo(506 + Math.hypot(880 - 440, pauses.p90 - 66), 9);
    expect(total.spread?.p10).toBeCloseTo(506 - Math.hypot(220 - 440, pauses.p10 - 66), 9);
    const around = logNormalSpan(80, AROUND_SD);
    const drilling = (total.spread?.p90 ?? NaN) - 506;
    expect(total.altogether?.p90).toBeCloseTo(586 + Math.hypot(drilling, around.p90 - 80), 9);
    // Of one cut as that says, of several as they span.
    expect(totalTime(cuts.slice(0, 1), cuts, null).sd).toBe(0.4);
    expect(total.sd).toBeCloseTo(spanSd({ p10: 220, p90: 880 }), 12);
  });

  it('is spread as the log leaves it where that tells, pauses and all', () => {
    const logged = totalTime(cuts, [...cuts, HAND], 0.2);
    const span = logNormalSpan(506, 0.2);
    expect(logged.spread?.p10).toBeCloseTo(span.p10, 9);
    expect(logged.spread?.p90).toBeCloseTo(span.p90, 9);
  });

  it('has no time where a cut does not cut', () => {
    const stuck = [cut(100), cut(Infinity, { work: null, restsS: 0 })];
    expect(totalTime(stuck, stuck, null)).toMatchObject({
      cuttingS: Infinity,
      restShare: 0,
      spread: null,
      altogether: null,
      sd: 0.4,
    });
  });
});

it('spreads one operation by its work, its pauses and what stands around it', () => {
  const work = { p10: 50, p50: 100, p90: 200 };
  const [pauses, around] = [logNormalSpan(40, PAUSES_SD), logNormalSpan(80, AROUND_SD)];
  const all = operationSpread(work, HAND);
  expect(all.p50).toBe(220);
  expect(all.p90).toBeCloseTo(220 + Math.hypot(100, pauses.p90 - 40, around.p90 - 80), 9);
  expect(operationSpread(null, HAND).p50).toBe(120);
  expect(sumOf(HAND.around)).toBe(80);
});

describe('a mix', () => {
  const layer = (lengthMm: number, rateMmPerS: number, ...rates: readonly number[]): LayerCut =>
    ({
      layer: { fromMm: 10, toMm: 10 + lengthMm },
      rateMmPerS,
      parts: rates.map((rate) => ({ cut: { rateMmPerS: rate } })),
    }) as unknown as LayerCut;

  it('takes its fastest to slowest body as the span of eight in ten', () => {
    // ln(4/1)/(2 · 1.2816), whatever stands between.
    expect(mixSpread([layer(20, 2, 4, 2, 1)])).toBeCloseTo(Math.log(4) / 2.5632, 12);
    expect(mixSpread([layer(20, 2, 4)])).toBe(0);
    expect(mixSpread([])).toBe(0);
  });

  it('counts each leaf by the time it takes, and none that is not cut', () => {
    // 30 s of a mix, 10 s of one body.
    const leaves = [layer(60, 2, 4, 1), layer(20, 2, 2), layer(50, 0, 3, 1)];
    expect(mixSpread(leaves)).toBeCloseTo((0.75 * Math.log(4)) / 2.5632, 12);
  });
});

describe('one cut', () => {
  function planned(parts: JobParts): CutPlan & Pick<PlanContext, 'possible' | 'thickness'> {
    const context = workedOut(parts);
    const { possible, thickness } = context;
    return { ...cutAt(context, 0), possible, thickness };
  }
  const HELD: JobParts = {
    hole: { diameterMm: 40 },
    setup: { bit: 'core', hold: 'freehand', water: { kind: 'spindle' } },
    bits: [coreBit(40, 300)],
  };

  it('is pressed, stage by stage, by the numbers of the leaf each lies in', () => {
    const piece = wallOf(['engineering-brick', 60], ['lightweight-block', 60]);
    const { time, stages, layers } = planned({ ...HELD, piece });
    const rested = 1 + time.restShare;
    expect(time.cuts).toHaveLength(stages.length);
    const idle = new Set<number>();
    for (const [index, { fromMm, toMm, forceN, timeS }] of stages.entries()) {
      const leaf = layers.find(
        ({ layer }) => fromMm >= layer.fromMm && toMm <= layer.toMm,
      )?.slowest;
      if (!leaf) throw new Error('A stage lies in a leaf.');
      const pressed = time.cuts[index];
      expect(pressed?.pressureMpa).toBe(forceN / leaf.contact.contactAreaMm2);
      expect(pressed?.idleMpa).toBe(leaf.window.pressureMpa.glaze / 2);
      expect(pressed?.seconds).toBeCloseTo((timeS ?? NaN) * rested, 9);
      idle.add(pressed?.idleMpa ?? NaN);
    }
    expect(idle.size).toBe(2);
  });

  it('tires the arms by its share of four minutes', () => {
    const { time, setup, headline } = planned({ ...HELD, piece: wallOf(['concrete', 30]) });
    const handN = handForce(headline.force.feedForceN, setup.hold, setup.machine, setup.feedAid);
    expect(restAllowance(handN)).toBeGreaterThan(0);
    expect(time.cuttingS).toBeLessThan(240);
    expect(time.restShare).toBeCloseTo((restAllowance(handN) * time.cuttingS) / 240, 9);
    expect(time.restsS).toBeCloseTo(time.restShare * time.cuttingS, 9);
  });

  it('spreads over all the piece may be where nobody is sure, by their shares', () => {
    const couldBe = [
      { material: 'marble', share: 0.6 },
      { material: 'quartzite-agate', share: 0.4 },
    ];
    const unsure = planned({ piece: { material: 'marble', form: 'slab', couldBe } });
    const { time, headline, setup, layers, possible, thickness } = unsure;
    const parts = cuttingTimeParts(time.cuts, headline.material, setup.hold, {
      thickness: thickness.relativeSd,
      mix: mixSpread(layers),
    });
    const workS = time.cuttingS * (1 + time.restShare);
    const all = possible.flatMap(({ material, share }) =>
      parts.map((part) => ({
        median:
          (part.median * workS * headline.rateMmPerS) / cutIfOther(headline, material).rateMmPerS,
        sd: part.sd,
        share: part.share * share,
      })),
    );
    for (const [of, q] of [
      ['p10', 0.1],
      ['p50', 0.5],
      ['p90', 0.9],
    ] as const)
      expect((time.work?.[of] ?? NaN) / mixtureQuantile(all, q)).toBeCloseTo(1, 5);
    // Its own scatter is that of one body.
    expect(time.sd).toBeCloseTo(partsSd(parts), 9);
  });

  it('has the time at the middle of everything as its middle where the body is known', () => {
    const { time } = planned({});
    expect(time.work?.p50).toBe(time.cuttingS * (1 + time.restShare));
    expect(time.sd).toBeCloseTo(spanSd(time.work ?? { p10: 1, p90: 1 }), 12);
  });
});

describe('several cuts', () => {
  const sum = (values: readonly number[]): number => values.reduce((all, one) => all + one, 0);

  it('has each pause once, of its own operation', () => {
    const context = workedOut(FOUR_PASSES);
    for (const id of PAUSE_IDS)
      expect(context.time.pauses[id]).toBeCloseTo(
        sum(context.operations.map(({ time }) => time.pauses[id] ?? 0)),
        9,
      );
    expect(context.time.pausesS).toBeCloseTo(sumOf(context.time.pauses), 9);
    expect(context.time.pauses.bitSwaps).toBe(0);
    expect(workedOut(STEPPED_PANE).time.pauses.bitSwaps).toBe(BIT_SWAP_S);
  });

  it('turns a pane over in a minute, and walks round a wall in five', () => {
    const turned = workedOut({ piece: { thicknessMm: 12 }, setup: { sides: 'two' } });
    expect(turned.time.pauses.turnOver).toBe(TURN_S['turn-over']);
    const round = workedOut({ ...CAVITY_WALL, setup: { ...CAVITY_WALL.setup, sides: 'two' } });
    expect(round.time.pauses.turnOver).toBe(TURN_S['go-round']);
  });

  it('adds the spans of its cuts: what makes one slow makes all slow', () => {
    const context = workedOut(FOUR_PASSES);
    const works = cutsOf(context).map(({ time }) => time.work);
    const p90 = sum(works.map((one) => one?.p90 ?? NaN));
    const p50 = sum(works.map((one) => one?.p50 ?? NaN));
    // ln(p90/p50)/1.2816 is the sd of a log-normal.
    expect(context.time.sd).toBeGreaterThan((0.8 * Math.log(p90 / p50)) / 1.2816);
    expect(context.time.sd).toBeLessThan((1.2 * Math.log(p90 / p50)) / 1.2816);
    expect(context.time.cuttingS).toBeCloseTo(
      sum(cutsOf(context).map(({ time }) => time.cuttingS)),
      9,
    );
    expect(context.time.restShare).toBeCloseTo(context.time.restsS / context.time.cuttingS, 12);
  });

  it('widens with a mix by its fastest to slowest body, weighed by time', () => {
    const mixed = workedOut({
      piece: {
        ...wallOf(['limestone', 60]),
        layers: [
          {
            material: 'limestone',
            thicknessMm: 60,
            mix: [
              { material: 'limestone', share: 0.5 },
              { material: 'granite', share: 0.5 },
            ],
          },
        ],
      },
      hole: { diameterMm: 52 },
      setup: { bit: 'core' },
      bits: [coreBit(52)],
    });
    const rates = mixed.layers[0]?.parts.map(({ cut }) => cut.rateMmPerS) ?? [];
    const span = Math.log(Math.max(...rates) / Math.min(...rates)) / 2.5632;
    expect(mixSpread(mixed.layers)).toBeCloseTo(span, 9);
    expect(mixSpread(workedOut(FOUR_PASSES).layers)).toBe(0);
  });
});

it('has the sd of its own span, and of the bodies’ own where nobody is sure', () => {
  const known = workedOut({});
  const [time] = cutsOf(known).map((cut) => cut.time);
  expect(time?.sd).toBeCloseTo(spanSd(time?.work ?? { p10: 1, p90: 1 }), 12);
  const unsure = cutAt(
    workedOut({
      piece: {
        material: 'marble',
        form: 'slab',
        couldBe: [
          { material: 'marble', share: 0.5 },
          { material: 'quartzite-agate', share: 0.5 },
        ],
      },
    }),
    0,
  ).time;
  // One body alone scatters less than not knowing which.
  expect(unsure.sd).toBeLessThan(0.9 * spanSd(unsure.work ?? { p10: 1, p90: 1 }));
  expect(unsure.sd).toBeGreaterThan(0);
});
