import { armForce, restAllowance } from './armForce';
import { enduranceS, MAX_PUSH_N } from './pressing';

it('pushes twenty seconds, half of the endurance where that is less', () => {
  const rest = (f: number): number => {
    const T = enduranceS(f * MAX_PUSH_N);
    return 18 * (Math.min(20, T / 2) / T) ** 1.4 * (f - 0.15) ** 0.5;
  };
  for (const f of [0.16, 0.3, 0.5, 0.8])
    expect(restAllowance(f * MAX_PUSH_N)).toBeCloseTo(rest(f), 9);
  expect(restAllowance(80, 200)).toBeCloseTo(restAllowance(0.4 * MAX_PUSH_N), 9);
});

it('gives the most of the hold in one push, through spring and lever', () => {
  expect(armForce('freehand', {}, 'none', 0).onePushN).toBe(150);
  expect(armForce('guided', {}, 'none', 0).onePushN).toBe(250);
  // (250 − 8)·200/14.
  expect(armForce('press', {}, 'none', 0).onePushN).toBeCloseTo((242 * 200) / 14, 6);
  expect(armForce('guided', {}, 'weight', 0)).toEqual({ lastingN: 500, onePushN: 500 });
});

it('takes the force that cuts most with its rests, of those a hand can choose', () => {
  const idle = 60;
  const { lastingN } = armForce('guided', {}, 'none', idle);
  const pace = (handN: number): number => (handN - idle) / (1 + restAllowance(handN));
  for (let handN = 0.15 * MAX_PUSH_N; handN <= 250; handN += 0.5)
    expect(pace(handN)).toBeLessThan(pace(lastingN) * 1.01);
});

it('presses with all it has where even that only rubs', () => {
  expect(armForce('freehand', {}, 'none', 400).lastingN).toBe(150);
});
