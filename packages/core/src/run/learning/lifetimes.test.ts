import { lifetimes, lifetimesOf } from './lifetimes';

const worn = (count: number, share: number) =>
  Array.from({ length: count }, () => ({ share, isWornOut: true }));

it('is the plan where nothing is known', () => {
  const { mean, sd } = lifetimes([]);
  expect(mean).toBe(0);
  expect(sd).toBeCloseTo(Math.hypot(0.4, 0.35), 9);
});

it('shrinks bits that are worn out as in closed form: n·y/(n + σ²/τ²)', () => {
  const { mean } = lifetimes(worn(4, 0.5));
  expect(mean).toBeCloseTo((4 * Math.log(0.5)) / (4 + (0.35 / 0.4) ** 2), 9);
});

it('takes a bit that was lost early for next to nothing, and one in use past its time for longer life', () => {
  const early = lifetimes([{ share: 0.05, isWornOut: false }]).mean;
  const late = lifetimes([{ share: 2, isWornOut: false }]).mean;
  expect(Math.abs(early)).toBeLessThan(1e-3);
  expect(late).toBeGreaterThan(0.3);
});

it('believes a worn bit its end only where the log holds its beginning', () => {
  const holes = Array.from({ length: 3 }, () => ({ bit: 'a', livesUsed: 0.5 }));
  const bit = { id: 'a', holesCut: 3, retired: true, retiredWhy: 'worn' } as const;
  const of = (more: object) => lifetimesOf(holes, [{ ...bit, ...more }]);
  expect(of({})).toEqual([{ share: 0.5, isWornOut: true }]);
  expect(of({ holesCut: 40 })).toEqual([{ share: 0.5, isWornOut: false }]);
  expect(of({ retiredWhy: 'lost' })).toEqual([{ share: 0.5, isWornOut: false }]);
  expect(of({ retired: false, retiredWhy: undefined, state: 'bald' })[0]?.isWornOut).toBe(true);
});
