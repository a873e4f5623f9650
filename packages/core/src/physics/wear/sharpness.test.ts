import { MATERIALS, type MaterialId } from '../../data/materials/materials';
import {
  bitSharpness,
  glazedSharpness,
  glazingTime,
  lifeDepth,
  meanSlowness,
  wornFurther,
  wornSharpness,
} from './sharpness';

const calm = { dry: false, tooFast: false, tooHard: false };

it('is new at no depth, half at its life, and only falls', () => {
  expect(wornSharpness(0, 300)).toBe(1);
  expect(wornSharpness(300, 300)).toBe(0.5);
  expect(wornSharpness(600, 300)).toBeLessThan(wornSharpness(500, 300));
});

it('goes by abrasive and material, the middle at the geometric mean, shortened by ill use', () => {
  const glass = lifeDepth('plated-cup-saw', MATERIALS['float-glass'], calm);
  // 60 to 215 mm, × 0.65 in a hard body: 39 to 140 mm.
  expect(glass.p10).toBeCloseTo(39);
  expect(glass.p90).toBeCloseTo(139.75);
  expect(glass.p50).toBeCloseTo(Math.sqrt(39 * 139.75));
  expect(
    lifeDepth('plated-cup-saw', MATERIALS['float-glass'], {
      dry: true,
      tooFast: true,
      tooHard: true,
    }).p50,
  ).toBeCloseTo(glass.p50 * 0.1 * 0.5 * 0.4);
  const dry = { ...calm, dry: true };
  const brick = MATERIALS['clay-brick'];
  expect(lifeDepth('dry-segmented-core', brick, dry)).toEqual(
    lifeDepth('dry-segmented-core', brick, calm),
  );
});

it('wears hard stone’s plated rims soonest, and loose grain the bond', () => {
  const plated = (id: MaterialId) => lifeDepth('plated-tube', MATERIALS[id], calm).p50;
  for (const id of ['granite', 'basalt', 'quartzite-agate', 'jade', 'engineered-quartz'] as const)
    expect(plated(id)).toBeLessThan(plated('marble'));
  const core = (id: MaterialId) => lifeDepth('segmented-core', MATERIALS[id], calm).p50;
  expect(core('clay-brick')).toBeLessThan(core('concrete'));
});

it('slows down inside a long hole as the rim wears', () => {
  // x from 0 to 1: mean of 1 + x² is 4/3; half worn at the start, from 1 to 2: ½·(1 + 7/3) = 5/3.
  expect(meanSlowness(1, 0, 300, 300)).toBeCloseTo(4 / 3);
  expect(meanSlowness(0.5, 0, 300, 300)).toBeCloseTo(5 / 3);
  expect(meanSlowness(1, 0, 1, 1e6)).toBeCloseTo(1);
});

it('takes longer where it only rubs: by the bite lost on the way', () => {
  expect(glazingTime(15, 1, 'hard')).toBe(15);
  // 20 s of grace, then t − t²/100 = 20 at t = 27.64.
  expect(glazingTime(40, 1, 'hard')).toBeCloseTo(47.64, 2);
  // 35 s to three tenths, 22.75 s of work done; the rest at three tenths.
  expect(glazingTime(72.75, 1, 'hard')).toBeCloseTo(20 + 35 + 30 / 0.3, 2);
  expect(glazingTime(40, 1, 'soft-abrasive')).toBe(40);
  expect(glazingTime(40, 0.3, 'hard')).toBe(40);
});

it('believes a sharpness set by hand', () => {
  expect(bitSharpness({ sharpness: 0.6, depthCutMm: 0 }, 300)).toBe(0.6);
  expect(bitSharpness({ depthCutMm: 300 }, 300)).toBe(0.5);
});

it('glazes after twenty seconds, down to three tenths', () => {
  expect(glazedSharpness(1, 20)).toBe(1);
  expect(glazedSharpness(1, 30)).toBeCloseTo(0.8);
  expect(glazedSharpness(1, 600)).toBe(0.3);
});

it('wears on from a sharpness set by hand as from the depth that would have worn it so', () => {
  expect(wornFurther(wornSharpness(120, 300), 80, 300)).toBeCloseTo(wornSharpness(200, 300), 12);
  expect(wornFurther(1, 300, 300)).toBeCloseTo(0.5, 12);
  // Below a hundredth there is no telling: it counts as one.
  expect(wornFurther(0.001, 10, 300)).toBeCloseTo(wornFurther(0.01, 10, 300), 12);
});

it('slows over a stretch by the mean of s₀/s, wherever in the hole the stretch lies', () => {
  const [from, to, life] = [40, 90, 200];
  const begun = 100;
  const s0 = wornSharpness(begun, life);
  const steps = 2000;
  let sum = 0;
  for (let i = 0; i < steps; i++)
    sum += s0 / wornSharpness(begun + from + ((i + 0.5) / steps) * (to - from), life);
  expect(meanSlowness(s0, from, to, life)).toBeCloseTo(sum / steps, 6);
});

it('takes as long as it would sharp within the grace, where nothing glazes and where it is glazed already', () => {
  expect(glazingTime(20, 1, 'hard')).toBe(20);
  expect(glazingTime(20.001, 1, 'hard')).toBeGreaterThan(20.001);
  expect(glazingTime(500, 1, 'soft-abrasive')).toBe(500);
  expect(glazingTime(500, 0.3, 'hard')).toBe(500);
  expect(glazingTime(Infinity, 1, 'hard')).toBe(Infinity);
});
