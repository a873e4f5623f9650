import { MIN_CUTTING_SHARE, pressedTime } from './pressedTime';

const cut = { seconds: 60, pressureMpa: 1, idleMpa: 0.2 };

it('takes t ∝ 1/(p·f − p_idle)', () => {
  expect(pressedTime([cut], 1)).toBeCloseTo(60, 12);
  expect(pressedTime([cut], 2)).toBeCloseTo((60 * 0.8) / 1.8, 12);
  expect(pressedTime([cut], 0.5)).toBeCloseTo((60 * 0.8) / 0.3, 12);
});

it('still cuts with a tenth of its force near the glaze', () => {
  expect(pressedTime([cut], 0.25)).toBeCloseTo((60 * 0.8) / MIN_CUTTING_SHARE, 12);
  // Planned below the glaze itself: the floor stands above and below the line alike.
  expect(pressedTime([{ ...cut, idleMpa: 0.95 }], 1)).toBeCloseTo(60, 12);
});

it('sums over cuts', () => {
  expect(pressedTime([cut, { ...cut, seconds: 30 }], 2)).toBeCloseTo((90 * 0.8) / 1.8, 12);
  expect(pressedTime([], 2)).toBe(0);
});
