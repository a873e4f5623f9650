/**
 * npm run study, times: made-up workshops whose truth is known. Each logs holes; the model is fitted, and its bands of eight in
 * ten are set against holes to come: with a bit it knows, a new bit, a new pair of material and bit, a new person. Then
 * with the log's results shuffled among its holes, which must tell nothing of bits and stones.
 */
import { fitMixed, type Target, type Trial } from '@nucleon/core/run/learning/mixedModel';
import { Z_90 } from '@nucleon/core/math/normal';
import { normalDraws, seededRandom, type Random } from '@nucleon/core/math/seededRandom';
import { drawnEffects, FAMILIES, MATERIALS, PERSONS, pick } from './madeUp.mts';

const SHOPS = Number(process.env.NUCLEON_SHOPS ?? 200);
const RUNS = [50, 150, 500, 1500, 5000] as const;
const TO_COME = 40;
const PLANNED_SD = 0.55;
/** Degrees of freedom of the noise: one hole in some dozens is nothing like the others. */
const NU = 5;

/** A shop: its sds scattered about what the prior believes, its effects drawn from them. */
function shopOf(random: Random) {
  const normal = normalDraws(random);
  const sd = (typical: number): number => typical * Math.exp(0.35 * normal());
  const sds = {
    overall: 0.25,
    material: sd(0.22),
    family: sd(0.17),
    pair: sd(0.19),
    bit: sd(0.17),
    person: sd(0.15),
    sheet: sd(0.12),
    wear: sd(0.16),
    noise: sd(0.19),
  };
  const effect = drawnEffects(sds, normal);
  const tNoise = (): number => {
    let chi2 = 0;
    for (let k = 0; k < NU; k++) chi2 += normal() ** 2;
    return (sds.noise * normal()) / Math.sqrt(chi2 / NU);
  };
  const truth = (hole: Target): number =>
    effect('overall', '') +
    effect('material', hole.material) +
    effect('family', hole.family) +
    effect('pair', `${hole.material} ${hole.family}`) +
    (hole.bit === null ? 0 : effect('bit', hole.bit)) +
    (hole.person === null ? 0 : effect('person', hole.person)) +
    (hole.sheet === null ? 0 : effect('sheet', hole.sheet)) +
    effect('wear', hole.family) * Math.log1p(hole.holesBefore / 10);
  return { truth, taken: (hole: Target): number => truth(hole) + tNoise() };
}

interface Tally {
  inside: number;
  of: number;
  width: number;
}
const tallies = new Map<string, Tally>();
function note(kind: string, inside: boolean, width: number): void {
  const tally = tallies.get(kind) ?? { inside: 0, of: 0, width: 0 };
  tallies.set(kind, {
    inside: tally.inside + (inside ? 1 : 0),
    of: tally.of + 1,
    width: tally.width + width,
  });
}

let slowestMs = 0;
const shuffledMeans: number[] = [];
for (let shop = 0; shop < SHOPS; shop++) {
  const random = seededRandom(1000 + shop);
  const { taken } = shopOf(random);
  const runs = RUNS[shop % RUNS.length] ?? 50;
  const bits = Array.from({ length: Math.max(4, Math.round(runs / 25)) }, (_, b) => ({
    name: `bit ${b}`,
    family: pick(random, FAMILIES),
    holes: 0,
  }));
  // One pair of material and family is kept back, to be met after the log.
  const [keptMaterial, keptFamily] = [MATERIALS[0], FAMILIES[0]];
  const holeWith = (bit: (typeof bits)[number]): Target => {
    let material: string = pick(random, MATERIALS);
    while (bit.family === keptFamily && material === keptMaterial)
      material = pick(random, MATERIALS);
    return {
      material,
      family: bit.family,
      bit: bit.name,
      person: pick(random, PERSONS),
      sheet: random() < 0.5 ? null : `sheet ${Math.floor(random() * Math.max(3, runs / 20))}`,
      holesBefore: bit.holes,
    };
  };
  const trials: Trial[] = Array.from({ length: runs }, () => {
    const bit = pick(random, bits);
    const hole = holeWith(bit);
    const lnRatio = taken(hole);
    bit.holes = bit.holes > 60 ? 0 : bit.holes + 1;
    return { ...hole, lnRatio, share: 1, plannedSd: PLANNED_SD };
  });
  const began = performance.now();
  const fit = fitMixed(trials, PLANNED_SD);
  slowestMs = Math.max(slowestMs, runs === 5000 ? performance.now() - began : 0);
  const set = (kind: string, hole: Target): void => {
    const { mean, sd } = fit.predict(hole);
    note(kind, Math.abs(taken(hole) - mean) <= Z_90 * sd, sd / PLANNED_SD);
  };
  for (let k = 0; k < TO_COME; k++) {
    const bit = pick(random, bits);
    const hole = holeWith(bit);
    set('known bit', hole);
    set('new bit', { ...hole, bit: `new ${k}`, holesBefore: 0 });
    set('new person', { ...hole, person: `new ${k}` });
    set('new pair', { ...hole, material: keptMaterial, family: keptFamily, bit: `kept ${k}` });
  }
  if (runs === 500) {
    const mixed = trials.map((one) => ({ ...one, lnRatio: pick(random, trials).lnRatio }));
    const { effects } = fitMixed(mixed, PLANNED_SD);
    for (const { level, mean } of effects) if (level === 'bit') shuffledMeans.push(mean);
  }
}

process.stdout.write(`${SHOPS} workshops of ${RUNS.join(', ')} holes\n`);
for (const [kind, { inside, of, width }] of tallies)
  process.stdout.write(
    `${kind}: ${((100 * inside) / of).toFixed(1)} % inside the band of 80 %, ${((100 * width) / of).toFixed(0)} % as wide as the plan’s\n`,
  );
const rms = Math.sqrt(shuffledMeans.reduce((sum, one) => sum + one ** 2, 0) / shuffledMeans.length);
process.stdout.write(
  `shuffled: bits’ effects are ${rms.toFixed(3)} in ln(time), root mean square\n`,
);
process.stdout.write(`5,000 runs in ${(slowestMs / 1000).toFixed(2)} s at the slowest\n`);
