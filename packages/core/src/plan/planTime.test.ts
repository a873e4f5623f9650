import { AROUND_SD, logNormalSpan, PAUSES_SD, spanSd } from '../physics/spread';
import type { LayerCut } from '../setup/cutLayers';
import { mixSpread, operationSpread, sumOf, totalTime, type CutTime } from './planTime';

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
