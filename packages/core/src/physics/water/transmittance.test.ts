import { clearness, settlingTime } from './transmittance';
import { CLEAR_ENOUGH, turbidityLimit } from './turbidity';

it('lets exactly the least light through at the limit, and its square at twice that', () => {
  const limitG = turbidityLimit(10) * 2;
  expect(clearness(limitG, 2, 10).light).toBeCloseTo(CLEAR_ENOUGH, 12);
  expect(clearness(limitG, 2, 10).isClear).toBe(true);
  expect(clearness(2 * limitG, 2, 10).light).toBeCloseTo(CLEAR_ENOUGH ** 2, 12);
  expect(clearness(1.01 * limitG, 2, 10).isClear).toBe(false);
  expect(clearness(0, 2, 10).light).toBe(1);
});

it('is as clear with coarser fines as with more water', () => {
  // Cross-section per mass goes as 1/d: double the grain, double the fines.
  expect(clearness(4, 2, 10, 20).light).toBeCloseTo(clearness(4, 4, 10, 10).light, 12);
});

it('sinks by Stokes: 10 µm of glass through 30 mm in six minutes', () => {
  // v = 9.81·1500·(10e-6)²/(18·1e-3) = 81.75 µm/s.
  expect(settlingTime(30, 2500, 10)).toBeCloseTo(0.03 / 81.75e-6, 6);
  expect(settlingTime(30, 2500, 20)).toBeCloseTo(settlingTime(30, 2500, 10) / 4, 6);
});
