/**
 * npm run study, breaking: made-up workshops whose truth is known log holes that crack or do not. What is learned of them
 * is set against holes to come: odds told against odds that are true, by tenths, and what it costs to change a bit when it
 * is said to, over the least it could cost by the truth.
 */
import { changePoint } from '@nucleon/core/run/learning/changeBit';
import { oddsBand } from '@nucleon/core/run/learning/experience';
import { learn, type Learned } from '@nucleon/core/run/learning/learn';
import type { LoggedHole } from '@nucleon/core/run/learning/loggedHole';
import type { Target } from '@nucleon/core/run/learning/mixedModel';
import { normalDraws, seededRandom, type Random } from '@nucleon/core/math/seededRandom';
import { drawnEffects, FAMILIES, MATERIALS, PERSONS, pick, quantile } from './madeUp.mts';

const SHOPS = Number(process.env.NUCLEON_SHOPS ?? 200);
const RUNS = [50, 300, 1500] as const;
const TO_COME = 60;
const NOW = new Date('2026-06-01T00:00:00Z');
const WORN_AT = 90;
const MONEY = { bitMoney: 35, hourMoney: 40, pieceMoney: 60 };

/** What every plan says of a hole with a bit of that age: time, s, and odds. */
const planned = (holes: number): { readonly timeS: number; readonly crack: number } => ({
  timeS: 300 * (1 + holes / 60),
  crack: 0.02 * (1 + holes / 60),
});

/** ln of what is true over what is planned, of hazard and of time. */
function shopOf(random: Random) {
  const normal = normalDraws(random);
  const of = { overall: 0.5, material: 0.4, family: 0.3, bit: 0.4, person: 0.35 };
  const hazard = drawnEffects({ ...of, slope: 0.5 }, normal);
  const time = drawnEffects(
    { overall: 0.25, material: 0.2, family: 0.15, bit: 0.15, person: 0.15, slope: 0.15 },
    normal,
  );
  const levels = ({ material, family, bit, person }: Target) =>
    [
      ['overall', ''],
      ['material', material],
      ['family', family],
      ['bit', bit ?? ''],
      ['person', person ?? ''],
    ] as const;
  const age = (holes: number): number => Math.log1p(holes / 10);
  return {
    hazard: (hole: Target): number =>
      levels(hole).reduce((sum, [level, name]) => sum + hazard(level, name), 0) +
      // Never safer as it ages.
      0.3 * Math.exp(hazard('slope', hole.family)) * age(hole.holesBefore),
    time: (hole: Target): number =>
      levels(hole).reduce((sum, [level, name]) => sum + time(level, name), 0) +
      time('slope', hole.family) * age(hole.holesBefore),
    noise: () => 0.2 * normal(),
  };
}
type Shop = ReturnType<typeof shopOf>;

const oddsOf = (crack: number, lnHazard: number): number =>
  -Math.expm1(Math.log1p(-crack) * Math.exp(lnHazard));

/** What is so of a hole: its time, s, and its odds. */
const truthOf = ({ hazard, time }: Shop, hole: Target) => {
  const { timeS, crack } = planned(hole.holesBefore);
  return { timeS: timeS * Math.exp(time(hole)), crack: oddsOf(crack, hazard(hole)) };
};

/** What is told of it. */
function toldOf(learned: Learned, hole: Target) {
  const { timeS, crack } = planned(hole.holesBefore);
  const { time, hazard } = learned.factors(hole);
  const p50 = timeS * Math.exp(time?.mean ?? 0);
  const spread = Math.exp(1.2816 * (time?.sd ?? 0.55));
  return {
    timeS: { p10: p50 / spread, p50, p90: p50 * spread },
    crack: oddsBand(oddsOf(crack, hazard?.mean ?? 0), hazard?.sd ?? 0.7),
  };
}

const flat = (value: number) => ({ p10: value, p50: value, p90: value });

/** Mean cost of a hole where the bit is changed after n, by the truth. */
function costOf(shop: Shop, hole: Target, n: number): number {
  let sum = MONEY.bitMoney;
  for (let holesBefore = 0; holesBefore < n; holesBefore++) {
    const { timeS, crack } = truthOf(shop, { ...hole, holesBefore });
    sum += MONEY.pieceMoney * crack + (MONEY.hourMoney * timeS) / 3600;
  }
  return sum / n;
}

interface Tally {
  readonly told: { readonly odds: number; readonly truth: number }[];
  inside: number;
  readonly regret: number[];
  readonly regretByPlan: number[];
  readonly regretOfKeeping: number[];
}
const tallies = new Map<number, Tally>();

for (let shopNo = 0; shopNo < SHOPS; shopNo++) {
  const random = seededRandom(5000 + shopNo);
  const shop = shopOf(random);
  const runs = RUNS[shopNo % RUNS.length] ?? 50;
  const inUse = Array.from({ length: 6 }, (_, b) => ({
    name: `bit ${b}`,
    family: pick(random, FAMILIES),
    material: pick(random, MATERIALS),
    holes: 0,
    until: 10 + Math.floor(random() * 60),
  }));
  let bought = inUse.length;
  const next = (): { readonly hole: Target; readonly drilled: () => void } => {
    const bit = pick(random, inUse);
    if (bit.holes >= bit.until)
      Object.assign(bit, { name: `bit ${bought++}`, holes: 0, until: 10 + random() * 60 });
    return {
      hole: {
        material: random() < 0.7 ? bit.material : pick(random, MATERIALS),
        family: bit.family,
        bit: bit.name,
        person: pick(random, PERSONS),
        sheet: null,
        holesBefore: bit.holes,
      },
      drilled: () => {
        bit.holes++;
      },
    };
  };
  const log = Array.from({ length: runs }, (_, i): LoggedHole => {
    const { hole, drilled } = next();
    const { timeS, crack } = truthOf(shop, hole);
    const byPlan = planned(hole.holesBefore);
    drilled();
    return {
      ...hole,
      id: `run ${i}`,
      at: new Date(NOW.getTime() - (runs - i) * 3_600_000).toISOString(),
      takenS: timeS * Math.exp(shop.noise()),
      plannedS: { p10: byPlan.timeS / 2, p50: byPlan.timeS, p90: byPlan.timeS * 2 },
      share: 1,
      cracked: random() < crack,
      plannedCrack: byPlan.crack,
      exitChipMm: null,
      plannedChipMm: null,
      practice: false,
      doubts: [],
    };
  });
  const learned = learn(log, NOW);
  const tally = tallies.get(runs) ?? {
    told: [],
    inside: 0,
    regret: [],
    regretByPlan: [],
    regretOfKeeping: [],
  };
  tallies.set(runs, tally);
  for (let k = 0; k < TO_COME; k++) {
    const { hole, drilled } = next();
    const { p10, p50, p90 } = toldOf(learned, hole).crack;
    const { crack } = truthOf(shop, hole);
    drilled();
    tally.told.push({ odds: p50, truth: crack });
    if (p10 <= crack && crack <= p90) tally.inside++;
  }
  for (const { name, family, material } of inUse) {
    const hole: Target = {
      material,
      family,
      bit: name,
      person: 'Ada',
      sheet: null,
      holesBefore: 0,
    };
    const whenBy = (at: Parameters<typeof changePoint>[0]['at']): number =>
      changePoint({ ...MONEY, wornAt: WORN_AT, at }).changeAt.p50;
    const byLog = whenBy((holesBefore) => toldOf(learned, { ...hole, holesBefore }));
    const byTruth = whenBy((holesBefore) => {
      const { timeS, crack } = truthOf(shop, { ...hole, holesBefore });
      return { timeS: flat(timeS), crack: flat(crack) };
    });
    const byPlan = whenBy((holesBefore) => {
      const { timeS, crack } = planned(holesBefore);
      return { timeS: flat(timeS), crack: flat(crack) };
    });
    const least = costOf(shop, hole, byTruth);
    const over = (n: number): number => costOf(shop, hole, n) / least - 1;
    tally.regret.push(over(byLog));
    tally.regretByPlan.push(over(byPlan));
    tally.regretOfKeeping.push(over(WORN_AT));
  }
}

const percent = (share: number, digits = 1): string => `${(100 * share).toFixed(digits)} %`;
const mean = (values: readonly number[]): number =>
  values.reduce((sum, one) => sum + one, 0) / values.length;
for (const [runs, tally] of [...tallies].sort(([a], [b]) => a - b)) {
  const told = tally.told.toSorted((a, b) => a.odds - b.odds);
  const tenths = Array.from({ length: 10 }, (_, i) => {
    const some = told.slice((i * told.length) / 10, ((i + 1) * told.length) / 10);
    const [odds, truth] = [some.map((one) => one.odds), some.map((one) => one.truth)].map(mean);
    return `${percent(odds ?? 0)} → ${percent(truth ?? 0)}`;
  });
  const { regret, regretByPlan, regretOfKeeping, inside } = tally;
  process.stdout.write(
    [
      `${runs} holes logged:`,
      `  odds told → true, by tenths: ${tenths.join(', ')}`,
      `  true odds inside the band of 80 %: ${percent(inside / told.length)}`,
      `  changing a bit when said costs over the least: median ${percent(quantile(regret, 0.5), 2)}, ninth tenth ${percent(quantile(regret, 0.9))}`,
      `  by the plan alone ${percent(quantile(regretByPlan, 0.5), 2)} and ${percent(quantile(regretByPlan, 0.9))}, going on until it is worn ${percent(quantile(regretOfKeeping, 0.5), 2)} and ${percent(quantile(regretOfKeeping, 0.9))}`,
      '',
    ].join('\n'),
  );
}
