/**
 * npm run bench: a log of 5,000 holes, 333 bits and 200 sheets is learned from. A workshop has some bits in use at a
 * time and half of what it drills comes of sheets, one after another. Prints one line of JSON.
 */
import { learnAll } from '@nucleon/core/run/learning/learningReport';
import type { LoggedHole } from '@nucleon/core/run/learning/loggedHole';
import { normalDraws, seededRandom } from '@nucleon/core/math/seededRandom';

const RUNS = 5000;
const BITS = 333;
const SHEETS = 200;
/** Bits in use at a time. */
const IN_USE = 6;
const MATERIALS = ['float-glass', 'granite', 'porcelain-tile', 'slate', 'stoneware', 'basalt'];
const FAMILIES = ['sintered-core', 'plated-cup-saw', 'brazed-tile-core'] as const;
const PERSONS = ['Ada', 'Ben', 'Cleo'];

const random = seededRandom(1);
const normal = normalDraws(random);
const one = <T,>(from: readonly T[]): T => from[Math.floor(random() * from.length)] as T;
const bits = Array.from({ length: BITS }, (_, b) => ({
  id: `bit ${b}`,
  name: `Bit ${b}`,
  family: one(FAMILIES),
  diameterMm: 20,
  holesCut: RUNS / BITS,
}));
const holes = Array.from({ length: RUNS }, (_, i): LoggedHole => {
  const since = Math.floor((i / RUNS) * (BITS - IN_USE));
  const bit = one(bits.slice(since, since + IN_USE));
  return {
    id: `run ${i}`,
    at: new Date(Date.UTC(2024, 0, 1, i * 3)).toISOString(),
    material: one(MATERIALS),
    family: bit.family,
    bit: bit.id,
    person: one(PERSONS),
    sheet: random() < 0.5 ? null : `sheet ${Math.floor((i / RUNS) * SHEETS)}`,
    holesBefore: 0,
    share: 1,
    practice: random() < 0.05,
    cracked: random() < 0.03,
    takenS: 600 * Math.exp(0.3 * normal()),
    plannedS: { p10: 300, p50: 600, p90: 1200 },
    plannedCrack: 0.02,
    exitChipMm: one([0, 0.3, 0.5, 1, 2]),
    plannedChipMm: { p50: 0.5, p90: 1 },
    doubts: [],
  };
});
const input = { bits, cases: [], now: '2027-01-01T00:00:00Z' } as const;
const timeOf = (count: number): number => {
  const began = performance.now();
  learnAll({ ...input, holes: holes.slice(0, count) });
  return performance.now() - began;
};
timeOf(500);
process.stdout.write(`${JSON.stringify({ learn500Ms: timeOf(500), learn5000Ms: timeOf(RUNS) })}\n`);
