import { BIT_FAMILIES } from '../../data/bits/bitFamilies';
import { bitGeometry, bySize } from './bitGeometry';

const cup = BIT_FAMILIES['plated-cup-saw'];
const [smallest, largest] = cup.diameterMm;

it('lies on the straight line between the family’s smallest and largest, and stays at its ends', () => {
  expect(bySize(cup, [10, 30], smallest)).toBe(10);
  expect(bySize(cup, [10, 30], largest)).toBe(30);
  expect(bySize(cup, [10, 30], (smallest + largest) / 2)).toBeCloseTo(20, 12);
  expect(bySize(cup, [10, 30], smallest / 2)).toBe(10);
  expect(bySize(cup, [10, 30], 2 * largest)).toBe(30);
});

it('takes the person’s own dimensions before the family’s', () => {
  const own = { rimWidthMm: 1.4, coverage: 0.6, usableDepthMm: 33 };
  expect(bitGeometry({ family: 'plated-cup-saw', diameterMm: 25, ...own })).toMatchObject(own);
  expect(bitGeometry({ family: 'plated-cup-saw', diameterMm: 25 })).toMatchObject({
    solid: false,
    rimWidthMm: bySize(cup, cup.rimWidthMm, 25),
    coverage: cup.coverage,
    usableDepthMm: bySize(cup, cup.usableDepthMm, 25),
  });
});

it('is all rim where it is solid, and never wider than half of itself', () => {
  expect(bitGeometry({ family: 'sintered-rod', diameterMm: 6 }).rimWidthMm).toBe(3);
  expect(bitGeometry({ family: 'brazed-tile-core', diameterMm: 3 }).rimWidthMm).toBe(1.5);
});
