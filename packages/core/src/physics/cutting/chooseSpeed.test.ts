import { speedSettings } from './speedSettings';
import { chooseSpeed, type SpeedWish } from './chooseSpeed';
import { rpmForRimSpeed } from './contact';

const press = speedSettings({ kind: 'bench-drill-press' });
const wish = (parts: Partial<SpeedWish> = {}): SpeedWish => ({
  diameterMm: 25,
  wantedRimSpeedMPerS: 1.2,
  window: { low: 0.5, best: 1.2, high: 2.5 },
  throwOffMPerS: 2.5,
  bitMaxRpm: undefined,
  settings: press,
  ...parts,
});

it('takes the highest step at or below the wish that lies in the window', () => {
  const chosen = chooseSpeed(wish());
  expect(chosen.rpm).toBe(750);
  expect(chosen.limits).toEqual(['machine']);
  expect(chosen.outsideWindow).toBeNull();
});

it('takes the lowest step above when none below lies in the window, and says it is outside', () => {
  const chosen = chooseSpeed(
    wish({
      diameterMm: 120,
      settings: [{ minRpm: 600, maxRpm: 600, stallTorqueNm: 1 }],
      throwOffMPerS: null,
    }),
  );
  expect(chosen.rpm).toBe(600);
  expect(chosen.outsideWindow).toBe('above');
});

it('never passes what throws the water off or the bit’s own limit', () => {
  const variable = [{ minRpm: 0, maxRpm: 5000, stallTorqueNm: 1 }];
  const thrown = chooseSpeed(
    wish({ wantedRimSpeedMPerS: 3, throwOffMPerS: 1.5, settings: variable }),
  );
  expect(thrown.rimSpeedMPerS).toBeCloseTo(1.5);
  expect(thrown.limits).toEqual(['water-throw-off']);
  const limited = chooseSpeed(wish({ bitMaxRpm: 700, settings: variable }));
  expect(limited.rpm).toBe(700);
  expect(limited.limits).toEqual(['bit-limit']);
  expect(chooseSpeed(wish({ bitMaxRpm: 700 })).rpm).toBe(480);
});

it('takes the gear with most torque that reaches the speed', () => {
  const drill = speedSettings({ kind: 'cordless-drill' });
  const slow = chooseSpeed(wish({ diameterMm: 60, settings: drill }));
  expect(slow.rpm).toBeCloseTo(rpmForRimSpeed(1.2, 60));
  expect(slow.setting.stallTorqueNm).toBe(55);
  expect(chooseSpeed(wish({ diameterMm: 25, settings: drill })).setting.stallTorqueNm).toBe(25);
});

it('warns below the window when the machine is too slow', () => {
  expect(chooseSpeed(wish({ diameterMm: 2, settings: press })).outsideWindow).toBe('below');
});
