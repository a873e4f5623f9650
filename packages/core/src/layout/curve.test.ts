import { exitOffset, twoSidedMismatch } from './aim';
import { arcOfChord, chordOfArc, fullRingDepth, radiusAt } from './curve';

it('touches all round once it is as deep as the arc’s height', () => {
  // 3-4-5: R 50, D 60: 50 − √(2500 − 900) = 10
  expect(fullRingDepth(50, 60)).toBeCloseTo(10);
  expect(fullRingDepth(1e6, 20)).toBeCloseTo(0, 3);
  expect(fullRingDepth(20, 60)).toBe(20);
});

it('goes from arc to chord and back', () => {
  expect(chordOfArc(50, 50 * Math.PI)).toBeCloseTo(100);
  for (const arc of [1, 20, 90, 150]) expect(arcOfChord(50, chordOfArc(50, arc))).toBeCloseTo(arc);
});

it('knows the radius of a cone at a height', () => {
  const cone = { kind: 'cone', bottomDiameterMm: 100, topDiameterMm: 200, heightMm: 100 } as const;
  expect(radiusAt(cone, 0)).toBe(50);
  expect(radiusAt(cone, 50)).toBe(75);
  expect(radiusAt({ kind: 'cylinder', outerDiameterMm: 90, heightMm: 10 }, 5)).toBe(45);
  expect(radiusAt({ kind: 'circle', diameterMm: 90 }, 5)).toBeNull();
});

it('drifts by the angle each way of steering holds', () => {
  expect(exitOffset(100, 'freehand')).toBeCloseTo(3.492, 3);
  expect(exitOffset(100, 'rig')).toBeCloseTo(0.349, 3);
  expect(twoSidedMismatch(30, 'press')).toBeCloseTo(0.6111, 3);
});
