import { bitGeometry } from './bitGeometry';
import { contactOf } from './contact';
import { liftDepths } from './lifts';
import { corePasses } from './passes';
import { solidCentreSeatTime, stagesOf } from './stages';

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
  expect(corePasses([{ fromMm: 0, toMm: 95 }], 100)).toMatchObject({
    count: 1,
    coreBreaksAtMm: [],
    extensionMm: 0,
  });
  expect(corePasses([{ fromMm: 0, toMm: 200 }], 100)).toMatchObject({
    count: 3,
    coreBreaksAtMm: [95, 190],
    extensionMm: 100,
  });
});

it('lets the core drop free behind a leaf, and begins the next with an empty barrel', () => {
  const wall = [
    { fromMm: 0, toMm: 102 },
    { fromMm: 172, toMm: 322 },
  ];
  expect(corePasses(wall, 150)).toMatchObject({
    count: 3,
    breaks: [
      { atMm: 102, lengthMm: 102, why: 'cavity' },
      { atMm: 317, lengthMm: 145, why: 'barrel-full' },
    ],
    lastCoreMm: 5,
    extensionMm: 172,
    extendAtMm: 102,
  });
  expect(corePasses(wall, 450)).toMatchObject({ count: 2, coreBreaksAtMm: [102], extensionMm: 0 });
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
