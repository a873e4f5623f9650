import { clampLimit } from './clamp';
import { cradle } from './cradle';
import { depthStop } from './depthStop';
import { holdingTorque, jamTorque } from './holdingTorque';

const pane = {
  widthMm: 400,
  heightMm: 300,
  thicknessMm: 6,
  youngModulusMpa: 70_000,
  poisson: 0.22,
  twistMm: 0,
  padDiameterMm: 20,
  spareMpa: 4,
};

it('clamps a flat piece as far as the pad’s rim bears', () => {
  const { byPadN, maxN, bound, flattenN } = clampLimit(pane);
  expect(byPadN).toBeCloseTo((2 * 4 * Math.PI * 100) / 0.56, 6);
  expect([maxN, bound, flattenN]).toEqual([byPadN, 'pad', 0]);
});

it('flattens a twist by Kirchhoff’s corner force, and no further than there is to spare', () => {
  const twisted = clampLimit({ ...pane, twistMm: 1 });
  expect(twisted.flattenMpa).toBeCloseTo((70_000 * 6) / (2 * 1.22 * 120_000), 9);
  const D_p = (70_000 * 216) / (12 * (1 - 0.22 ** 2));
  expect(twisted.flattenN).toBeCloseTo((2 * D_p * 0.78) / 120_000, 6);
  const tight = clampLimit({ ...pane, twistMm: 4 });
  expect(tight.bound).toBe('twist');
  expect(tight.maxN).toBeCloseTo((tight.flattenN * 4) / tight.flattenMpa, 6);
});

it('holds round ware in a right-angled V at a quarter turn either side', () => {
  const v = cradle(60, 20);
  expect(v.touchWidthMm).toBeCloseTo(120 * Math.SQRT1_2);
  expect(v.faceForceN).toBeCloseTo(20 / Math.SQRT2);
  expect(v.standsMm).toBeCloseTo(60 * (Math.SQRT2 - 1));
  expect(v.rollsAtMm).toBeLessThan(v.touchWidthMm / 2);
});

it('stops the drill past the far face with room for the chuck, or says there is none', () => {
  expect(depthStop(6, 30, true)).toEqual({
    collarAtMm: 8,
    chuckRoomMm: 22,
    stopHeightMm: 22,
    clears: true,
  });
  expect(depthStop(28, 30, true).clears).toBe(false);
  expect(depthStop(20, 30, false).collarAtMm).toBe(20);
});

it.each([
  [0.1, 'fingers'],
  [0.5, 'palm'],
  [1, 'clamp'],
] as const)('holds the piece against %s N·m with %s', (torque, holdWith) => {
  expect(holdingTorque(torque).holdWith).toBe(holdWith);
});

it('takes the clutch for what jams where there is one', () => {
  expect(jamTorque(55, 6)).toEqual({ jamNm: 6, heldBy: 'one-hand' });
  expect(jamTorque(45, 18).heldBy).toBe('two-hands');
  expect(jamTorque(25, null).heldBy).toBe('rig');
});
