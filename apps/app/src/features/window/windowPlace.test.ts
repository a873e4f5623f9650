import type { WindowView } from '../../workers/windowView';
import { nextSpeed, placeOf, pointUnder } from './windowPlace';

const view: WindowView = {
  areas: [],
  soft: [],
  fromRpm: 100,
  toRpm: 10_000,
  fromForceN: 1,
  toForceN: 100,
  machine: [
    { fromRpm: 480, toRpm: 480 },
    { fromRpm: 750, toRpm: 750 },
  ],
  diameterMm: 22,
  contactAreaMm2: 66,
};
const box = { left: 40, top: 10, width: 300, height: 200 };

it('draws where it is dragged to, there and back', () => {
  expect(placeOf(view, box, { rpm: 1000, forceN: 10 })).toEqual({ X: 190, Y: 110 });
  const under = pointUnder(view, box, 190, 110);
  expect(under.rpm).toBeCloseTo(1000);
  expect(under.forceN).toBeCloseTo(10);
});

it('keeps to the map', () => {
  expect(placeOf(view, box, { rpm: 1, forceN: 1e6 })).toEqual({ X: 40, Y: 10 });
  expect(pointUnder(view, box, -50, 9999)).toEqual({ rpm: 100, forceN: 1 });
});

it('steps along the lines of a machine with fixed speeds, and by a ratio along others', () => {
  expect(nextSpeed(view, 480, 1.03)).toBe(750);
  expect(nextSpeed(view, 750, 1.03)).toBe(750);
  expect(nextSpeed(view, 750, 1 / 1.03)).toBe(480);
  expect(nextSpeed({ ...view, machine: [{ fromRpm: 0, toRpm: 2000 }] }, 500, 1.1)).toBeCloseTo(550);
});
