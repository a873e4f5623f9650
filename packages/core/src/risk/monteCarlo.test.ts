import { normalMean } from '../numeric/normalMean';
import { assessRisk } from './assessRisk';
import { drawDeviates, tryMany } from './monteCarlo';
import type { RiskModel } from './riskModel';
import { failureProbability } from './weibull';

const STILL = { force: 0, speed: 0, sharpness: 0, rate: 0, toughness: 0, thickness: 0, mix: 0 };
const Z_90 = 1.2816;

/** One cut of 100 s far over the glaze, in a strong piece on a rig. */
const model = (change: Partial<RiskModel> = {}, sd: Partial<RiskModel['sd']> = {}): RiskModel => ({
  sd: { ...STILL, ...sd },
  fixedS: 10,
  cuts: [{ seconds: 100, pressureMpa: 1, idleMpa: 0 }],
  sharpness: 1,
  identities: [{ share: 1, rateFactor: 1, chipFactor: 1 }],
  heat: { thermalStressMpa: 6, builtInMpa: 0 },
  bending: { atRestMpa: 0, pressedMpa: 0 },
  strength: { fractileMpa: 20, weibullModulus: 7 },
  handling: { hold: 'rig', sheetThicknessMm: null, masonry: false },
  handlingAlone: false,
  chip: { widthMm: 2, sheetThicknessMm: null },
  ...change,
});

it('comes to the closed forms when only the force is uncertain', () => {
  const sd = 0.25;
  const risk = assessRisk(model({}, { force: sd }));
  expect(risk.timeS?.p50).toBeCloseTo(110, 0);
  expect((risk.timeS?.p90 ?? 0) / (10 + 100 * Math.exp(Z_90 * sd))).toBeCloseTo(1, 1);
  expect((risk.timeS?.p10 ?? 0) / (10 + 100 * Math.exp(-Z_90 * sd))).toBeCloseTo(1, 1);
  // The chip goes with the force to the two thirds.
  expect((risk.chipMm?.p90 ?? 0) / (2 * Math.exp((2 / 3) * Z_90 * sd))).toBeCloseTo(1, 1);
  const byStress = normalMean((z) => failureProbability(6 * Math.exp(sd * z), 20, 7));
  const closed = 1 - (1 - byStress) * 0.999;
  expect(risk.crackProbability / closed).toBeCloseTo(1, 1);
});

it('gives the Weibull odds themselves when nothing else is uncertain', () => {
  const risk = assessRisk(model());
  const closed = 1 - (1 - failureProbability(6, 20, 7)) * 0.999;
  expect(risk.crackProbability).toBeCloseTo(closed, 12);
  expect(risk.timeS).toEqual({ p10: 110, p50: 110, p90: 110 });
  expect(risk.unknowns).toEqual([]);
});

it('gives the same answer for the same seed, and another for another', () => {
  const uncertain = model({}, { force: 0.2, rate: 0.3, sharpness: 0.1, thickness: 0.02 });
  expect(assessRisk(uncertain, 500, 1)).toEqual(assessRisk(uncertain, 500, 1));
  expect(assessRisk(uncertain, 500, 1).timeS).not.toEqual(assessRisk(uncertain, 500, 2).timeS);
});

it('weighs unknowns by the variance they bring, the costliest first', () => {
  const { unknowns } = assessRisk(model({ chip: null }, { force: 0.1, rate: 0.3, speed: 0.05 }));
  const time = Object.fromEntries(unknowns.map((one) => [one.unknown, one.timeShare]));
  const total = 0.1 ** 2 + 0.3 ** 2 + 0.05 ** 2;
  // Variances of logarithms add up, but for the fixed tenth of the time.
  expect(time['rate']).toBeCloseTo(0.3 ** 2 / total, 1);
  expect(time['force']).toBeCloseTo(0.1 ** 2 / total, 1);
  const byTime = [...unknowns].sort((a, b) => b.timeShare - a.timeShare);
  expect(byTime[0]?.unknown).toBe('rate');
});

it('mixes what the piece may be by their shares', () => {
  const identities = [
    { share: 0.7, rateFactor: 1, chipFactor: 1 },
    { share: 0.3, rateFactor: 0.25, chipFactor: 2 },
  ];
  const tries = tryMany(model({ identities }), drawDeviates(20_000, 5));
  const slow = tries.timeS.filter((seconds) => seconds > 300).length / 20_000;
  expect(slow).toBeCloseTo(0.3, 1);
  const frozen = tryMany(model({ identities }), drawDeviates(200, 5), 'identity');
  expect(new Set(frozen.timeS)).toEqual(new Set([110]));
});

it('has no time where it would not cut, and no chip where nothing is opened', () => {
  const risk = assessRisk(
    model({ cuts: [{ seconds: Infinity, pressureMpa: 0.1, idleMpa: 0.1 }], chip: null }),
  );
  expect(risk.timeS).toBeNull();
  expect(risk.chipMm).toBeNull();
  expect(risk.crackProbability).toBeGreaterThan(0);
});
