import type { Clash } from '../setup/jobFault';
import { METRIC } from '../data/unitSystem';
import { outlineFaultText } from './layout/outlineFaultText';
import { clashText } from './faults';
import { misfitText } from './run/storyWords';

it.each<[Clash, RegExp]>([
  [{ code: 'same-id', what: 'bit', id: 'a' }, /^Two bits are called “a”/],
  [{ code: 'bit-not-in-kit', id: 'x', known: [] }, /which has none\.$/],
  [{ code: 'machine-not-in-kit', id: 'x', known: ['a', 'b'] }, /which has a, b\.$/],
  [{ code: 'board-without-thickness' }, /0 mm spreads nothing/],
  [{ code: 'patch-without-size', what: 'pad', widthMm: 0, heightMm: 5 }, /^A pad of 0 mm × 5 mm/],
])('names both values of %j', (clash, said) => {
  expect(clashText(clash)).toMatch(said);
});

it('says why points are no outline, and what does not fit in a record', () => {
  expect(outlineFaultText({ code: 'too-few-points', count: 2 })).toContain('2 so far');
  expect(outlineFaultText({ code: 'crosses-itself', at: { xMm: 50, yMm: 50 } })).toContain(
    'near 50 × 50 mm',
  );
  expect(misfitText({ code: 'event-missing', count: 2 }, METRIC)).toMatch(/^2 entries/);
  expect(misfitText({ code: 'clock-was-set', jumpS: -120 }, METRIC)).toContain('set back by about');
});
