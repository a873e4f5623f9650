import { planBar } from './planBar';
import { coreBit, cutAt, FOUR_PASSES, workedOut } from './planFixtures';

it('a bar is cut by the numbers of the body at its steel, where the bit does so at all', () => {
  const { setup, layers } = cutAt(workedOut(FOUR_PASSES), 0);
  const core = cutAt(
    workedOut({
      ...FOUR_PASSES,
      setup: { bit: 'core' },
      bits: [coreBit(62)],
    }),
    0,
  );
  expect(core.bar?.rateMmPerS).toBeGreaterThan(0);
  expect(core.bar?.rateMmPerS).toBeLessThan(core.headline.rateMmPerS);
  expect(core.bar?.lifeDepthMm).toBeLessThan(core.headline.lifeDepthMm);
  expect(planBar(cutAt(workedOut({}), 0).layers, core.setup)).toBeNull();
  expect(planBar(layers, { ...setup, ...core.setup })).toEqual(core.bar);
});
