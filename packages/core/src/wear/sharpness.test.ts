import { MATERIALS } from '../materials/materials';
import { bitSharpness, glazedSharpness, lifeDepth, wornSharpness } from './sharpness';

const calm = { dry: false, tooFast: false, tooHard: false };

it('is new at no depth, half at its life, and only falls', () => {
  expect(wornSharpness(0, 300)).toBe(1);
  expect(wornSharpness(300, 300)).toBe(0.5);
  expect(wornSharpness(600, 300)).toBeLessThan(wornSharpness(500, 300));
});

it('takes the geometric mean of the family’s range, shortened by hard bodies and ill use', () => {
  const glass = lifeDepth('plated-cup-saw', MATERIALS['float-glass'], calm);
  expect(glass).toBeCloseTo(Math.sqrt(0.15 * 0.5) * 1000);
  expect(lifeDepth('plated-cup-saw', MATERIALS['porcelain-tile'], calm)).toBeCloseTo(glass / 2);
  expect(
    lifeDepth('plated-cup-saw', MATERIALS['float-glass'], {
      dry: true,
      tooFast: true,
      tooHard: true,
    }),
  ).toBeCloseTo(glass * 0.1 * 0.5 * 0.4);
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
