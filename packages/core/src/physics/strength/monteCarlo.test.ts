import { LOOSE_PANE } from './handlingFixtures';
import { normalMean } from '../../math/normalMean';
import { assessRisk } from './assessRisk';
import { drawDeviates, tryMany } from './monteCarlo';
import { handlingHazard } from './handlingHazard';
import { UNKNOWNS, type RiskModel } from './riskModel';
import { failureProbability } from './weibull';

const STILL = Object.fromEntries(
  UNKNOWNS.map((unknown) => [unknown, 0]),
) as unknown as RiskModel['sd'];
const SAME = { strengthFactor: 1, heatFactor: 1 };
const Z_90 = 1.2816;
const HANDLING = {
  ...LOOSE_PANE,
  hold: 'rig',
  sheetThicknessMm: null,
  abrasive: 'sintered',
} as const;
const KEPT = Math.exp(-handlingHazard(HANDLING, 1));

const RIM = { kind: 'rim', thermalMpa: 6, pressedMpa: 0, atRestMpa: 0, lengthShare: 1 } as const;

/** One cut of 100 s far over the glaze, in a strong piece on a rig. */
const model = (change: Partial<RiskModel> = {}, sd: Partial<RiskModel['sd']> = {}): RiskModel => ({
  sd: { ...STILL, ...sd },
  fixedS: 10,
  cuts: [{ seconds: 100, pressureMpa: 1, idleMpa: 0 }],
  sharpness: 1,
  identities: [{ share: 1, rateFactor: 1, chipFactor: 1, ...SAME }],
  strains: [{ sites: [RIM], heatGain: 1 }],
  builtInMpa: 0,
  strength: { fractileMpa: 20, weibullModulus: 7 },
  handling: HANDLING,
  treatmentOdds: 0,
  logged: { timeSpread: 1, hazardTimes: 1 },
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
  const closed = 1 - (1 - byStress) * KEPT;
  expect(risk.crackProbability / closed).toBeCloseTo(1, 1);
});

it('gives the Weibull odds themselves when nothing else is uncertain', () => {
  const risk = assessRisk(model());
  const closed = 1 - (1 - failureProbability(6, 20, 7)) * KEPT;
  expect(risk.crackProbability).toBeCloseTo(closed, 12);
  expect(risk.timeS).toEqual({ p10: 110, p50: 110, p90: 110 });
  expect(risk.unknowns).toEqual([]);
});

it('may crack in any of its cuts: 1 − (1 − P)ⁿ', () => {
  const strain = { sites: [RIM], heatGain: 1 };
  const thrice = assessRisk(model({ strains: [strain, strain, strain] }));
  const closed = 1 - (1 - failureProbability(6, 20, 7)) ** 3 * KEPT;
  expect(thrice.crackProbability).toBeCloseTo(closed, 12);
});

it('presses a rim that turns out duller harder, and pauses longer or shorter', () => {
  // t ∝ 1/(s·F) = s^−0.7: sd 0.7 · 0.3.
  const dull = assessRisk(model({ fixedS: 0 }, { sharpness: 0.3 }));
  expect(Math.log((dull.timeS?.p90 ?? 0) / 100) / (Z_90 * 0.7 * 0.3)).toBeCloseTo(1, 1);
  const slow = assessRisk(model({}, { pauses: 0.4 }));
  expect((slow.timeS?.p90 ?? 0) - 100).toBeCloseTo(10 * Math.exp(Z_90 * 0.4), 0);
});

it('keeps the mean of the handling however unsure it is, and spreads the odds', () => {
  const safe = { strains: [{ sites: [], heatGain: 1 }] };
  const sure = assessRisk(model(safe));
  const unsure = assessRisk(model(safe, { handling: 0.6 }));
  expect(unsure.crackProbability / sure.crackProbability).toBeCloseTo(1, 1);
  expect(unsure.crackOdds.p90 / unsure.crackOdds.p10).toBeCloseTo(Math.exp(2 * Z_90 * 0.6), 0);
});

it('narrows the spread of the cutting time by what the log says, about the same middle', () => {
  const logged = { timeSpread: 0.5, hazardTimes: 1 };
  const { timeS } = assessRisk(model({ logged, fixedS: 0 }, { rate: 0.3 }));
  expect(timeS?.p50).toBeCloseTo(100, 0);
  expect(Math.log((timeS?.p90 ?? 0) / 100) / (Z_90 * 0.3 * 0.5)).toBeCloseTo(1, 1);
  // What would never cut has no middle to narrow about.
  const cuts = [{ seconds: Infinity, pressureMpa: 0.1, idleMpa: 0.1 }];
  const never = tryMany(model({ logged, cuts }, { rate: 0.3 }), drawDeviates(9, 5));
  expect(new Set(never.timeS)).toEqual(new Set([Infinity]));
});

it('multiplies the hazard by what the log says: 1 − (1 − P)^k', () => {
  const once = assessRisk(model()).crackProbability;
  const logged = { timeSpread: 1, hazardTimes: 3 };
  expect(assessRisk(model({ logged })).crackProbability).toBeCloseTo(1 - (1 - once) ** 3, 12);
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

it('lists an unknown by what its spread does, and none that does nothing', () => {
  const pane = model({ chip: { widthMm: 2, sheetThicknessMm: 6 } }, { shelling: 0.2, pauses: 0.3 });
  const [pauses, shelling, ...others] = assessRisk(pane).unknowns;
  // Alone with the chip, and alone with the time: of two outcomes that spread, all of one.
  expect(shelling).toMatchObject({ unknown: 'shelling', timeShare: 0, oddsShare: 0, cost: 0.5 });
  expect(shelling?.chipShare).toBe(1);
  expect(pauses).toMatchObject({ unknown: 'pauses', timeShare: 1, chipShare: 0, cost: 0.5 });
  expect(pauses?.timeWithoutS).toEqual({ p10: 110, p50: 110, p90: 110 });
  expect(others).toEqual([]);
  // How tough it is matters to the chip alone.
  expect(assessRisk(model({ chip: null }, { toughness: 0.3 })).unknowns).toEqual([]);
  const identities = [0.5, 0.5].map((share, i) => ({
    share,
    rateFactor: 1 + i,
    chipFactor: 1,
    ...SAME,
  }));
  expect(assessRisk(model({ identities })).unknowns).toMatchObject([
    { unknown: 'identity', cost: 1 },
  ]);
});

it('shows twenty tries that stand for all: the middles of equal shares', () => {
  const sd = 0.3;
  const { likeTriesS } = assessRisk(model({ fixedS: 0 }, { rate: sd }));
  expect(likeTriesS).toHaveLength(20);
  // Φ⁻¹(0.025) = −1.960, Φ⁻¹(0.975) = 1.960.
  expect(Math.log((likeTriesS[0] ?? 0) / 100) / -(1.96 * sd)).toBeCloseTo(1, 1);
  expect(Math.log((likeTriesS[19] ?? 0) / 100) / (1.96 * sd)).toBeCloseTo(1, 1);
});

it('mixes what the piece may be by their shares', () => {
  const identities = [
    { share: 0.7, rateFactor: 1, chipFactor: 1, ...SAME },
    { share: 0.3, rateFactor: 0.25, chipFactor: 2, strengthFactor: 0.5, heatFactor: 1 },
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
