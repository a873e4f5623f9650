import { bitGeometry } from './bitGeometry';
import { contactOf } from './contact';
import { liftDepths } from './lifts';
import { coreBreaks, extendAt } from './passes';
import { easedBefore, easesOff, seatDepth, solidCentreSeatTime, stagesOf } from './stages';

const cup = bitGeometry({ family: 'plated-cup-saw', diameterMm: 25, rimWidthMm: 1 });

it('lifts from one millimetre, never closer than half a millimetre', () => {
  expect(liftDepths(cup, contactOf(cup).kerfAreaMm2, 3, () => 0.0558)).toEqual([1, 1.5, 2, 2.5]);
});

it('spaces lifts by time where it cuts fast', () => {
  expect(liftDepths(cup, contactOf(cup).kerfAreaMm2, 6, () => 0.25)).toEqual([1, 3, 5]);
});

it('needs no lift in a hole too shallow for one', () => {
  expect(liftDepths(cup, 75, 1, () => 0.05)).toEqual([]);
});

it('breaks the core every usable depth less five', () => {
  const at = (toMm: number): number[] =>
    coreBreaks([{ fromMm: 0, toMm }], 100).map(({ atMm }) => atMm);
  expect(at(95)).toEqual([]);
  // Exactly a stroke is not yet one too much.
  expect(at(95.0000000001)).toEqual([]);
  expect(at(200)).toEqual([95, 190]);
  expect(coreBreaks([], 100)).toEqual([]);
});

it('lets the core drop free behind a leaf, and begins the next with an empty barrel', () => {
  const wall = [
    { fromMm: 0, toMm: 102 },
    { fromMm: 172, toMm: 322 },
  ];
  expect(coreBreaks(wall, 150)).toEqual([
    { atMm: 102, lengthMm: 102, why: 'cavity' },
    { atMm: 317, lengthMm: 145, why: 'barrel-full' },
  ]);
  expect(coreBreaks(wall, 450).map(({ atMm }) => atMm)).toEqual([102]);
  // One that begins below the face is as long as its leaf.
  const below = [
    { fromMm: 10, toMm: 30 },
    { fromMm: 50, toMm: 90 },
  ];
  expect(coreBreaks(below, 300)).toEqual([{ atMm: 30, lengthMm: 20, why: 'cavity' }]);
  // A leaf that begins behind another without a cavity is cut in one stroke with it.
  const joined = [
    { fromMm: 0, toMm: 20 },
    { fromMm: 20, toMm: 60 },
  ];
  expect(coreBreaks(joined, 100)).toEqual([]);
});

it('puts the extension on with a core that is out anyway, else where the bit ends', () => {
  const breaks = coreBreaks([{ fromMm: 0, toMm: 320 }], 150);
  expect(extendAt(breaks, 150)).toBe(145);
  expect(extendAt(breaks, 300)).toBe(290);
  expect(extendAt(breaks, 100)).toBe(100);
});

it('seats a thin piece within three tenths of it and leaves no gap', () => {
  const stages = stagesOf({
    depthMm: 1,
    feedForceN: 10,
    exitForceN: 5,
    rpm: 1000,
    minRpm: 0,
    glazeForceN: 1,
    exitChipDepthMm: 0.1,
    opensFarFace: true,
  });
  expect(stages.map((stage) => [stage.kind, stage.fromMm, stage.toMm])).toEqual([
    ['seat', 0, 0.3],
    ['main', 0.3, 0.5],
    ['exit', 0.5, 1],
  ]);
  expect(stages[0]).toMatchObject({ forceN: 3, rpm: 600 });
});

it('gives a solid bit twelve seconds a millimetre, none in a pilot', () => {
  const point = bitGeometry({ family: 'plated-point', diameterMm: 1.5 });
  expect(solidCentreSeatTime(point, 0)).toBe(18);
  expect(solidCentreSeatTime(point, 1)).toBe(0);
  expect(solidCentreSeatTime(cup, 0)).toBe(0);
});

it('finds contact of rings, discs and annuli', () => {
  expect(contactOf(cup).kerfAreaMm2).toBeCloseTo(75.398, 3);
  const rod = bitGeometry({ family: 'sintered-rod', diameterMm: 6 });
  expect(contactOf(rod).meanRadiusMm).toBeCloseTo(2);
  const annulus = contactOf(rod, 4);
  expect(annulus.kerfAreaMm2).toBeCloseTo((Math.PI * (36 - 16)) / 4);
  expect(annulus.meanRadiusMm).toBeGreaterThan(2);
});

it('grinds the ring’s own area where the pilot is within its core, an annulus where it is wider', () => {
  // D = 25, w = 1: A = π·24·1, r_m = 12; by the annulus of 23 to 25 it is the same.
  expect(contactOf(cup, 10)).toEqual(contactOf(cup));
  expect(contactOf(cup).meanRadiusMm).toBe(12);
  const wider = contactOf(cup, 24);
  expect(wider.kerfAreaMm2).toBeCloseTo((Math.PI * (25 ** 2 - 24 ** 2)) / 4, 9);
  expect(wider.meanRadiusMm).toBeCloseTo((25 ** 3 - 24 ** 3) / (3 * (25 ** 2 - 24 ** 2)), 9);
  expect(contactOf({ ...cup, coverage: 0.5 }).contactAreaMm2).toBeCloseTo(
    contactOf(cup).kerfAreaMm2 / 2,
    9,
  );
});

it('fills a groove’s gap by its two walls: z_next = z·(1 + π(2D − 2w)·c/(4·A_k))', () => {
  const wide = { solid: false, diameterMm: 50, rimWidthMm: 2, clearancePerSideMm: 4 };
  const area = Math.PI * 48 * 2;
  const share = (0.25 * Math.PI * (50 + 46) * 4) / area;
  const [first, second, third] = liftDepths(wide, area, 20, () => 0);
  expect(first).toBe(1);
  expect(second).toBeCloseTo(1 + share, 9);
  expect(third).toBeCloseTo((1 + share) * (1 + share), 9);
  // A solid has one wall.
  const solid = liftDepths({ ...wide, solid: true }, area, 20, () => 0);
  expect(solid[1]).toBeCloseTo(1 + (0.25 * Math.PI * 50 * 4) / area, 9);
});

it('seats half a millimetre, three tenths of a thin piece', () => {
  expect(seatDepth(10)).toBe(0.5);
  expect(seatDepth(1)).toBeCloseTo(0.3, 12);
});

it('eases off before two ligaments and at least half a millimetre', () => {
  expect(easedBefore(1)).toBe(2);
  expect(easedBefore(0.1)).toBe(0.5);
  expect(easesOff(9, 10)).toBe(true);
  expect(easesOff(9.995, 10)).toBe(false);
  expect(easesOff(10, 10)).toBe(false);
});

it('seats at a tenth over the glaze where three tenths of the force would polish, never above the force', () => {
  const inputs = {
    depthMm: 10,
    feedForceN: 10,
    exitForceN: 5,
    rpm: 1000,
    minRpm: 700,
    glazeForceN: 6,
    exitChipDepthMm: 0.5,
    ligamentMm: 0.9,
    exitEarlyMm: 0.4,
    opensFarFace: true,
  };
  const [seat, main, exit] = stagesOf(inputs);
  expect(seat?.forceN).toBeCloseTo(6.6, 9);
  // It cannot turn slower than its lowest step.
  expect(seat?.rpm).toBe(700);
  expect(main).toMatchObject({ fromMm: 0.5, forceN: 10, rpm: 1000 });
  // max(3·0.5, 2·0.9) + 0.4 = 2.2 before the end.
  expect(exit?.fromMm).toBeCloseTo(7.8, 9);
  expect(stagesOf({ ...inputs, glazeForceN: 20 })[0]?.forceN).toBe(10);
  expect(stagesOf({ ...inputs, opensFarFace: false }).map(({ kind }) => kind)).toEqual([
    'seat',
    'main',
  ]);
  expect(stagesOf({ ...inputs, depthMm: 0.6, exitChipDepthMm: 2 }).map(({ kind }) => kind)).toEqual(
    ['seat', 'exit'],
  );
});
