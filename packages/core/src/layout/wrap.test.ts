import {
  equalRound,
  layFlat,
  roundSetting,
  slantHeight,
  turnOf,
  unwrapPoint,
  wrapPoint,
} from './wrap';

const POT = { kind: 'cylinder', outerDiameterMm: 200, heightMm: 150 } as const;
const CONE = { kind: 'cone', bottomDiameterMm: 120, topDiameterMm: 200, heightMm: 90 } as const;

it('wraps a point onto a cylinder and a cone and back', () => {
  for (const outline of [POT, CONE]) {
    for (const [xMm, yMm] of [
      [0, 0],
      [10, 20],
      [314, 75],
      [500, 88],
    ] as const) {
      const back = unwrapPoint(outline, wrapPoint(outline, { xMm, yMm }));
      expect(back.xMm).toBeCloseTo(xMm, 9);
      expect(back.yMm).toBeCloseTo(yMm, 9);
    }
  }
  const quarter = wrapPoint(POT, { xMm: 50 * Math.PI, yMm: 30 });
  expect(quarter.X).toBeCloseTo(0);
  expect(quarter.Y).toBeCloseTo(100);
});

it('sets holes evenly round, each as far from the next', () => {
  const places = equalRound(POT, { xMm: 600, yMm: 40 }, 5);
  const turns = places.map(({ xMm }) => turnOf(POT, xMm)).sort((a, b) => a - b);
  turns.slice(1).forEach((turn, i) => {
    expect(turn - (turns[i] ?? 0)).toBeCloseTo(72);
  });
});

it('gives arc, chord, crescent and cradle by hand', () => {
  const set = roundSetting(POT, { xMm: 50 * Math.PI, yMm: 30 }, 120);
  expect(set.turnDeg).toBeCloseTo(90);
  expect(set.arcMm).toBeCloseTo(157.08, 2);
  expect(set.chordMm).toBeCloseTo(141.42, 2);
  // 100 − √(100² − 60²) = 20.
  expect(set.ringDepthMm).toBeCloseTo(20);
  expect(set.acrossArcMm).toBeCloseTo(200 * Math.asin(0.6));
  expect(set.tiltDeg).toBe(0);
  expect(roundSetting(POT, { xMm: 150 * Math.PI, yMm: 30 }, 10).cradleTurnDeg).toBeCloseTo(90);
  const onCone = roundSetting(CONE, { xMm: 0, yMm: 45 }, 10);
  expect(onCone.radiusMm).toBe(80);
  expect(onCone.tiltDeg).toBeCloseTo((Math.atan(40 / 90) * 180) / Math.PI);
});

it('lays a cone flat without stretching it', () => {
  const gap = (p: { xMm: number; yMm: number }, q: { xMm: number; yMm: number }) => {
    const [a, b] = [layFlat(CONE, p), layFlat(CONE, q)];
    return Math.hypot(a[0] - b[0], a[1] - b[1]);
  };
  expect(gap({ xMm: 40, yMm: 0 }, { xMm: 40, yMm: 90 })).toBeCloseTo(slantHeight(CONE));
  // A small step round at the foot, where the radius is 60: 60/100 of the x along the widest round.
  expect(gap({ xMm: 300, yMm: 0 }, { xMm: 301, yMm: 0 })).toBeCloseTo(0.6, 3);
  expect(gap({ xMm: 300, yMm: 90 }, { xMm: 301, yMm: 90 })).toBeCloseTo(1, 3);
  const upside = { ...CONE, bottomDiameterMm: 200, topDiameterMm: 120 };
  expect(layFlat(upside, { xMm: Math.PI * 100, yMm: 0 })).toEqual([0, 0]);
  expect(layFlat(POT, { xMm: 5, yMm: 6 })).toEqual([5, 6]);
});
