import { LOOSE_PANE } from './handlingFixtures';
import {
  ageHazard,
  dropShare,
  handlingBase,
  handlingHazard,
  handlingSd,
  oddsOf,
  thinHazard,
  type HandlingCase,
} from './handlingHazard';

const usual = LOOSE_PANE;
/** By how much a change multiplies the hazard. */
const times = (parts: Partial<HandlingCase>): number =>
  handlingBase({ ...usual, ...parts }) / handlingBase(usual);

it('is 0.36 % with a new bit in a guide through a loose sheet of 6 mm', () => {
  expect(handlingHazard(usual, 1)).toBeCloseTo(0.0036, 12);
  expect(oddsOf(0.0036)).toBeCloseTo(1 - Math.exp(-0.0036), 12);
});

it.each([
  [{ hold: 'freehand' }, 1.1],
  [{ hold: 'press' }, 0.6],
  [{ hold: 'rig' }, 0.3],
  [{ assembled: true }, 1.9],
  [{ start: 'tape' }, 1.05],
  [{ start: 'tilt' }, 1.1],
  [{ start: 'pilot' }, 1],
  [{ start: 'seat' }, 1],
  [{ damage: 'edge-chip' }, 1.3],
  [{ damage: 'mended' }, 2],
  [{ damage: 'crack' }, 5],
  [{ wobbleMm: 0.5 }, Math.exp(0.65)],
  [{ dropShare: 1 }, 2],
  [{ masonry: true }, 0.1],
  [{ unsure: true }, 1.5],
  [{ person: Math.log(3) }, 3],
] as const)('goes with %o by %s', (parts, factor) => {
  expect(times(parts)).toBeCloseTo(factor, 9);
});

it('falls with the fifth power of the thickness, to 8 mm', () => {
  expect(thinHazard(3)).toBeCloseTo(32, 9);
  expect(thinHazard(6)).toBe(1);
  expect(thinHazard(12)).toBe(thinHazard(8));
  expect(thinHazard(null)).toBe(thinHazard(8));
});

it('grows as a rim goes bald: thrice as steeply for a single layer', () => {
  expect(ageHazard(1, 'plated')).toBe(1);
  expect(ageHazard(0.5, 'plated')).toBe(4);
  expect(ageHazard(0.5, 'sintered')).toBe(2);
});

it('takes the mean over how sharp the rim really is, never sharper than new', () => {
  const σ = 0.4;
  const s0 = 0.6;
  // By numeric integration over z of 1 + 3·(1/min(1, s₀·e^(σz)) − 1).
  let mean = 0;
  const steps = 4000;
  for (let i = 0; i < steps; i++) {
    const z = -6 + ((i + 0.5) / steps) * 12;
    const s = Math.min(1, s0 * Math.exp(σ * z));
    mean += (1 + 3 * (1 / s - 1)) * Math.exp((-z * z) / 2) * (12 / steps);
  }
  mean /= Math.sqrt(2 * Math.PI);
  expect(handlingHazard(usual, s0, σ) / handlingBase(usual)).toBeCloseTo(mean, 3);
  expect(handlingHazard(usual, s0, 1e-9)).toBeCloseTo(handlingHazard(usual, s0), 6);
});

it('is less sure away from 6 mm', () => {
  expect(handlingSd(6)).toBe(0.6);
  expect(handlingSd(3)).toBeCloseTo(Math.hypot(0.6, 2 * Math.log(2)), 12);
  expect(handlingSd(null)).toBe(handlingSd(8));
});

it('drops with F²/2k behind the last web, not in a stand, and less into a thick piece', () => {
  // 60² / 3 / 1000 = 1.2 J over 0.6.
  expect(dropShare('freehand', 60, 6)).toBeCloseTo(2, 12);
  expect(dropShare('guided', 60, 3)).toBeCloseTo(2, 12);
  expect(dropShare('guided', 60, 12)).toBeCloseTo(0.5, 12);
  expect([dropShare('press', 60, 6), dropShare('rig', 60, 6)]).toEqual([0, 0]);
});
