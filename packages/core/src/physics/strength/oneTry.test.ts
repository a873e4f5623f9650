import { LOOSE_PANE } from './handlingFixtures';
import { ageHazard, handlingBase, thinHazard } from './handlingHazard';
import { drawDeviates, PRESSED_FOR_DULL, tryMany } from './monteCarlo';
import { assessRisk } from './assessRisk';
import { UNKNOWNS, type RiskModel, type SpreadUnknown, type Unknown } from './riskModel';

const SD = 0.2;
const HANDLING = { ...LOOSE_PANE, sheetThicknessMm: 4 };
const MODEL: RiskModel = {
  sd: Object.fromEntries(UNKNOWNS.map((unknown) => [unknown, SD])) as unknown as RiskModel['sd'],
  fixedS: 20,
  cuts: [{ seconds: 100, pressureMpa: 1, idleMpa: 0.2 }],
  sharpness: 0.6,
  identities: [
    { share: 0.7, rateFactor: 1, chipFactor: 1, strengthFactor: 1, heatFactor: 1 },
    { share: 0.3, rateFactor: 2, chipFactor: 3, strengthFactor: 0.5, heatFactor: 1.5 },
  ],
  strains: [
    {
      sites: [
        { kind: 'rim', thermalMpa: 6, pressedMpa: 3, atRestMpa: 1, lengthShare: 1 },
        { kind: 'web', thermalMpa: 2, pressedMpa: 5, atRestMpa: 0.5, lengthShare: 0.4 },
      ],
      heatGain: 0.8,
    },
    // A second cut, at the boil.
    {
      sites: [{ kind: 'rim', thermalMpa: 4, pressedMpa: 1, atRestMpa: 0, lengthShare: 0.7 }],
      heatGain: 0.1,
    },
  ],
  builtInMpa: 1.5,
  strength: { fractileMpa: 20, weibullModulus: 7 },
  handling: HANDLING,
  treatmentOdds: 0.1,
  logged: { timeSpread: 1, hazardTimes: 1 },
  chip: { widthMm: 2, sheetThicknessMm: 4 },
};

/** One draw in which some unknowns stand so many sd off their middle. */
function oneTry(off: Partial<Record<SpreadUnknown, number>>, pick = 0, frozen?: Unknown) {
  const z = Float64Array.from(UNKNOWNS, (unknown) =>
    unknown === 'identity' ? 0 : (off[unknown] ?? 0),
  );
  const { timeS, chipMm, odds } = tryMany(
    MODEL,
    { draws: 1, z, pick: Float64Array.of(pick) },
    frozen,
  );
  return { timeS: timeS[0] ?? NaN, chipMm: chipMm[0] ?? NaN, odds: odds[0] ?? NaN };
}

/** The same by the relations: factors of force, speed, thickness and so on. */
interface Factors {
  readonly f?: number;
  readonly n?: number;
  readonly t?: number;
  readonly s?: number;
  readonly rate?: number;
  readonly pauses?: number;
  readonly chip?: number;
  /** Share of the power that stays in the piece. */
  readonly flux?: number;
  readonly heat?: number;
  readonly strength?: number;
  readonly m?: number;
  readonly hand?: number;
}
function byHand({ f = 1, n = 1, t = 1, s = 1, rate = 1, pauses = 1, chip = 1, ...more }: Factors) {
  const { flux = 1, heat = 1, strength = 1, m = 7, hand = 1 } = more;
  const sharp = 0.6 * s;
  const thin = (mm: number): number => 1 + (3 / mm) ** 2;
  const sites = MODEL.strains.flatMap((one) =>
    one.sites.map((site) => ({ ...site, heatGain: one.heatGain })),
  );
  const hazard = sites.reduce((sum, site) => {
    const stress =
      site.thermalMpa * (f * n * flux) ** site.heatGain * heat +
      (site.pressedMpa * f) / t ** 2 +
      site.atRestMpa / t +
      1.5;
    return sum + site.lengthShare * -Math.log(0.95) * (stress / (20 * strength)) ** m;
  }, 0);
  const handHazard =
    handlingBase(HANDLING) *
    thinHazard(4 * t) *
    ageHazard(Math.min(1, sharp), 'plated') *
    hand *
    Math.exp(-(SD ** 2) / 2);
  return {
    timeS: 20 * pauses + (((100 * 0.8) / (f - 0.2)) * t) / (n * s * rate),
    chipMm: 2 * chip * (thin(4 * t) / thin(4)) * ((f * (2 - sharp)) / 1.4) ** (2 / 3),
    odds: 1 - Math.exp(-hazard - handHazard) * 0.9,
  };
}

const up = Math.exp(SD);
it.each<[SpreadUnknown, Factors]>([
  ['force', { f: up }],
  ['speed', { n: up }],
  ['sharpness', { s: up, f: up ** -PRESSED_FOR_DULL }],
  ['rate', { rate: up }],
  ['mix', { rate: 1 / up }],
  ['pauses', { pauses: up }],
  ['toughness', { chip: up ** (-2 / 3) }],
  ['shelling', { chip: up }],
  ['thickness', { t: up }],
  ['heat', { flux: up }],
  ['constraint', { heat: up }],
  ['strength', { strength: up }],
  ['weibull', { m: 7 * (1 + SD) }],
  ['handling', { hand: up }],
])('carries %s through time, chip and odds', (unknown, factors) => {
  const tried = oneTry({ [unknown]: 1 });
  const expected = byHand(factors);
  expect(tried.timeS).toBeCloseTo(expected.timeS, 9);
  expect(tried.chipMm).toBeCloseTo(expected.chipMm, 9);
  expect(tried.odds).toBeCloseTo(expected.odds, 9);
  // Held still it is as if it were at its middle.
  const still = oneTry({ [unknown]: 1 }, 0, unknown);
  expect(still.timeS).toBeCloseTo(byHand({}).timeS, 9);
  expect(still.chipMm).toBeCloseTo(byHand({}).chipMm, 9);
});

it('carries several at once', () => {
  const tried = oneTry({ force: 1, speed: -1, thickness: 1, heat: 1, constraint: -2 });
  const expected = byHand({
    f: up,
    n: 1 / up,
    t: up,
    flux: up,
    heat: up ** -2,
  });
  expect(tried.timeS).toBeCloseTo(expected.timeS, 9);
  expect(tried.odds).toBeCloseTo(expected.odds, 9);
});

it('picks what the piece is by its share, and grinds, chips and cracks as that', () => {
  const first = oneTry({}, 0.69);
  const second = oneTry({}, 0.71);
  expect(first.timeS).toBeCloseTo(120, 9);
  expect(second.timeS).toBeCloseTo(70, 9);
  expect(second.chipMm).toBeCloseTo(3 * first.chipMm, 9);
  expect(second.odds).toBeCloseTo(byHand({ heat: 1.5, strength: 0.5 }).odds, 9);
  expect(oneTry({}, 0.71, 'identity').timeS).toBeCloseTo(120, 9);
});

it('never draws a modulus below two, nor a rim sharper than new', () => {
  expect(oneTry({ weibull: -20 }).odds).toBeCloseTo(byHand({ m: 2 }).odds, 9);
  const sharper = oneTry({ sharpness: 5 });
  expect(sharper.odds).toBeCloseTo(
    byHand({ s: Math.exp(5 * SD), f: Math.exp(-0.3 * 5 * SD) }).odds,
    9,
  );
});

it('leaves stress out where there is none to calculate, and the chip where nothing comes out', () => {
  const bare = { ...MODEL, strains: [{ sites: [], heatGain: 1 }], chip: null, treatmentOdds: 0 };
  const { odds, chipMm } = tryMany(bare, drawDeviates(1, 5), 'handling');
  expect(chipMm).toHaveLength(0);
  expect(odds[0]).toBeLessThan(0.2);
  expect(assessRisk(bare, 50).chipMm).toBeNull();
});

it('draws each unknown of each try once, the same for a seed', () => {
  const { z, pick } = drawDeviates(500, 9);
  expect(z).toHaveLength(500 * UNKNOWNS.length);
  expect(new Set(z).size).toBe(z.length);
  expect(new Set(pick).size).toBe(500);
  expect(Array.from(z).every(Number.isFinite)).toBe(true);
  expect(drawDeviates(500, 9).z).toEqual(z);
});

it('shows twenty tries at the middles of equal shares, and ranks what it does not know', () => {
  const { likeTriesS, timeS, unknowns } = assessRisk(MODEL, 4000);
  expect(likeTriesS).toHaveLength(20);
  expect(likeTriesS).toEqual([...likeTriesS].sort((a, b) => a - b));
  // The tenth and eleventh stand at 47.5 % and 52.5 %.
  expect(((likeTriesS[9] ?? 0) + (likeTriesS[10] ?? 0)) / 2 / (timeS?.p50 ?? 0)).toBeCloseTo(1, 2);
  expect(likeTriesS[0]).toBeLessThan(timeS?.p10 ?? 0);
  expect(likeTriesS[19]).toBeGreaterThan(timeS?.p90 ?? Infinity);
  const costs = unknowns.map(({ cost }) => cost);
  expect(costs).toEqual([...costs].sort((a, b) => b - a));
  expect(Math.min(...costs)).toBeGreaterThan(0.005);
  for (const one of unknowns) {
    expect(one.cost).toBeCloseTo((one.timeShare + one.chipShare + one.oddsShare) / 3, 12);
    expect(one.timeWithoutS?.p50).toBeGreaterThan(0);
  }
});

it('ranks by those outcomes alone that spread, and not what is known', () => {
  const sd = Object.fromEntries(
    UNKNOWNS.map((unknown) => [unknown, unknown === 'pauses' ? 0.3 : 0]),
  ) as unknown as RiskModel['sd'];
  const [first] = MODEL.identities;
  const one = { ...MODEL, sd, identities: first ? [{ ...first, share: 1 }] : [] };
  const { unknowns } = assessRisk(one, 500);
  expect(unknowns).toHaveLength(1);
  expect(unknowns[0]).toMatchObject({ unknown: 'pauses', chipShare: 0, oddsShare: 0 });
  // Time alone spreads, and all of it by the pauses.
  expect(unknowns[0]?.timeShare).toBeCloseTo(1, 9);
  expect(unknowns[0]?.cost).toBeCloseTo(1, 9);
});
