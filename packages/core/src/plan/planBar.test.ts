import { wallOf } from '../setup/jobFixtures';
import { planBar } from './planBar';
import { BORED_CAVITY, coreBit, cutAt, FOUR_PASSES, workedOut } from './planFixtures';

const CORE = { ...FOUR_PASSES, setup: { bit: 'core' }, bits: [coreBit(62)] };
const { bar, headline, layers, setup } = cutAt(workedOut(CORE), 0);

it('is cut slower than the body round it, and wears the rim more', () => {
  expect(bar?.rateMmPerS).toBeGreaterThan(0);
  expect(bar?.rateMmPerS).toBeLessThan(headline.rateMmPerS);
  expect(bar?.lifeDepthMm).toBeLessThan(headline.lifeDepthMm);
  expect(planBar(layers, setup)).toEqual(bar);
  // A hammer breaks stone; steel it only dents.
  expect(planBar(layers, { ...setup, hammer: true })).toEqual(bar);
});

it('may stand in one leaf of masonry among others, and not in a pane', () => {
  const pane = cutAt(workedOut(), 0).layers;
  expect(planBar([...pane, ...layers], setup)).toEqual(bar);
  expect(planBar(pane, setup)).toBeNull();
});

it('is not cut by a bit that is not made for it, nor pressed too lightly to', () => {
  const bored = workedOut({
    ...BORED_CAVITY,
    piece: wallOf(['concrete', 60]),
  });
  expect(cutAt(bored, 0).bar).toBeNull();
  const lightly = { ...setup, wanted: { ...setup.wanted, contactPressureMpa: 0.001 } };
  expect(planBar(layers, lightly)).toBeNull();
});
