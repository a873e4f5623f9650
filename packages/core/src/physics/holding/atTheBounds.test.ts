import { ONE_HAND_NM, TWO_HANDS_NM } from '../effort/handLimits';
import { clampLimit } from './clamp';
import { cradle } from './cradle';
import { depthStop } from './depthStop';
import { FINGERS_NM, GRAB, holdingTorque, jamTorque, PALM_NM } from './holdingTorque';

it('holds with fingers to half a newton-metre of grab, a palm to two', () => {
  expect(holdingTorque(0.1).grabNm).toBeCloseTo(0.3, 12);
  expect(holdingTorque(FINGERS_NM / GRAB).holdWith).toBe('fingers');
  expect(holdingTorque((FINGERS_NM / GRAB) * 1.01).holdWith).toBe('palm');
  expect(holdingTorque((PALM_NM / GRAB) * 0.99).holdWith).toBe('palm');
  expect(holdingTorque((PALM_NM / GRAB) * 1.01).holdWith).toBe('clamp');
});

it('leaves a jam to one hand, two hands, a rig, each to its own limit', () => {
  expect(jamTorque(ONE_HAND_NM, null).heldBy).toBe('one-hand');
  expect(jamTorque(ONE_HAND_NM * 1.01, null).heldBy).toBe('two-hands');
  expect(jamTorque(TWO_HANDS_NM, null).heldBy).toBe('two-hands');
  expect(jamTorque(TWO_HANDS_NM * 1.01, null).heldBy).toBe('rig');
});

it('takes five millimetres for room under a chuck, and a blind hole no overrun', () => {
  expect(depthStop(23, 30, true)).toMatchObject({ chuckRoomMm: 5, clears: true });
  expect(depthStop(23.1, 30, true).clears).toBe(false);
  expect(depthStop(40, 30, false)).toMatchObject({ chuckRoomMm: -10, stopHeightMm: 0 });
});

it('opens a V by its angle', () => {
  const v = cradle(60, 20, 120);
  // β = 30°.
  expect(v.touchWidthMm).toBeCloseTo(60, 9);
  expect(v.minWidthMm).toBeCloseTo(90, 9);
  expect(v.standsMm).toBeCloseTo(60 / Math.cos(Math.PI / 6) - 60, 9);
  expect(v.faceForceN).toBeCloseTo(20 / (2 * Math.cos(Math.PI / 6)), 9);
  expect(v.rollsAtMm).toBeCloseTo((0.3 * 60) / Math.cos(Math.PI / 6), 9);
  // A very flat V lets it go at the touch.
  expect(cradle(60, 20, 176).rollsAtMm).toBeCloseTo(60 * Math.sin((2 * Math.PI) / 180), 9);
});

it('is bound by the pad as long as the twist asks for no more than there is to spare', () => {
  const piece = {
    widthMm: 400,
    heightMm: 300,
    thicknessMm: 6,
    youngModulusMpa: 70_000,
    poisson: 0.22,
    twistMm: 1,
    padDiameterMm: 20,
    spareMpa: 4,
  };
  const { flattenMpa } = clampLimit(piece);
  expect(clampLimit({ ...piece, spareMpa: flattenMpa }).bound).toBe('pad');
  const tight = clampLimit({ ...piece, spareMpa: flattenMpa * 0.5 });
  expect(tight.maxN).toBeCloseTo(Math.min(tight.byPadN, tight.flattenN / 2), 9);
});
