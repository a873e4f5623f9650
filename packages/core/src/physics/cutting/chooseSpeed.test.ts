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

const step = (rpm: number, stallTorqueNm = 1) => ({ minRpm: rpm, maxRpm: rpm, stallTorqueNm });
/** Rim speed of so many turns at 25 mm. */
const at = (rpm: number): number => (Math.PI * 25 * rpm) / 60_000;
const window = { low: at(500), best: at(800), high: at(1000) };

it('says what held it: the water only where it does, then the bit, then the machine', () => {
  const variable = [{ minRpm: 0, maxRpm: 5000, stallTorqueNm: 1 }];
  const asked = (parts: Partial<SpeedWish>) =>
    chooseSpeed(
      wish({
        window,
        settings: variable,
        wantedRimSpeedMPerS: at(800),
        throwOffMPerS: null,
        ...parts,
      }),
    );
  expect(asked({}).limits).toEqual([]);
  expect(asked({ throwOffMPerS: at(800) }).limits).toEqual([]);
  expect(asked({ bitMaxRpm: 800.000001 }).limits).toEqual([]);
  expect(asked({ throwOffMPerS: at(700), bitMaxRpm: 750 })).toMatchObject({
    limits: ['water-throw-off'],
  });
  expect(asked({ throwOffMPerS: at(700), bitMaxRpm: 650 }).limits).toEqual([
    'water-throw-off',
    'bit-limit',
  ]);
  expect(asked({}).isStep).toBe(false);
  expect(asked({ settings: [step(800)] })).toMatchObject({ isStep: true, limits: [] });
});

it('is within the window at its very ends', () => {
  const outside = (rpm: number) =>
    chooseSpeed(
      wish({ window, settings: [step(rpm)], wantedRimSpeedMPerS: at(800), throwOffMPerS: null }),
    ).outsideWindow;
  expect([outside(500), outside(1000)]).toEqual([null, null]);
  expect([outside(499), outside(1001)]).toEqual(['below', 'above']);
});

it('goes down within the window, else up within the caps, else down', () => {
  const chosen = (rpms: readonly number[], throwOffMPerS: number | null = null) =>
    chooseSpeed(
      wish({
        window,
        settings: rpms.map((rpm) => step(rpm)),
        wantedRimSpeedMPerS: at(800),
        throwOffMPerS,
      }),
    ).rpm;
  expect(chosen([300, 600, 900, 1200])).toBe(600);
  expect(chosen([300, 500, 900])).toBe(500);
  expect(chosen([300, 400, 900, 1200])).toBe(900);
  // What throws the water off lies below the next step up.
  expect(chosen([300, 400, 900], at(850))).toBe(400);
  expect(chosen([300, 400, 850], at(850))).toBe(850);
  expect(chosen([900, 1200], at(850))).toBe(900);
  expect(chosen([300])).toBe(300);
});

it('takes the strongest of the stretches that hold the speed, their ends among them', () => {
  const gears = [
    { minRpm: 0, maxRpm: 800, stallTorqueNm: 20 },
    { minRpm: 800, maxRpm: 2000, stallTorqueNm: 50 },
  ];
  const torque = (rpm: number): number =>
    chooseSpeed(
      wish({ window, settings: gears, wantedRimSpeedMPerS: at(rpm), throwOffMPerS: null }),
    ).setting.stallTorqueNm;
  expect(torque(790)).toBe(20);
  expect(torque(810)).toBe(50);
  const [slow] = gears;
  expect(
    chooseSpeed(
      wish({ window, settings: slow ? [slow] : [], wantedRimSpeedMPerS: at(900), bitMaxRpm: 800 }),
    ),
  ).toMatchObject({ rpm: 800, limits: ['bit-limit'] });
});

it('lists a machine’s speeds slowest first, its own torque before its kind’s', () => {
  const steps = speedSettings({
    kind: 'bench-drill-press',
    speeds: { kind: 'steps', rpm: [1200, 300, 700] },
    stallTorqueNm: 12,
  });
  expect(steps.map(({ minRpm, maxRpm }) => [minRpm, maxRpm])).toEqual([
    [300, 300],
    [700, 700],
    [1200, 1200],
  ]);
  expect(steps.every(({ stallTorqueNm }) => stallTorqueNm === 12)).toBe(true);
  const geared = speedSettings({
    kind: 'cordless-drill',
    speeds: {
      kind: 'gears',
      gears: [
        { minRpm: 0, maxRpm: 1800 },
        { minRpm: 0, maxRpm: 500, stallTorqueNm: 60 },
      ],
    },
    stallTorqueNm: 30,
  });
  expect(geared.map(({ maxRpm, stallTorqueNm }) => [maxRpm, stallTorqueNm])).toEqual([
    [500, 60],
    [1800, 30],
  ]);
  expect(
    speedSettings({ kind: 'cordless-drill', speeds: { kind: 'range', minRpm: 100, maxRpm: 900 } }),
  ).toMatchObject([{ minRpm: 100, maxRpm: 900 }]);
});
