import { EVIDENCE } from './evidence';
import type { EvidenceRow } from './evidenceRow';
import { unexplained, weighEvidence, weighRow } from './weighEvidence';

const weighed = weighEvidence(EVIDENCE);
const row = (id: string): EvidenceRow => {
  const found = EVIDENCE.find((one) => one.id === id);
  if (!found) throw new Error(`There is no row “${id}”.`);
  return found;
};

it.each(weighed)('$id lands in its band, or says why not', ({ ok, misses }) => {
  // A reason that is not true any more is taken away.
  expect(ok).toBe(misses === null);
});

it('has a name of its own for every row, and a band that is one', () => {
  expect(new Set(EVIDENCE.map(({ id }) => id)).size).toBe(EVIDENCE.length);
  for (const { band } of EVIDENCE) expect(band[0]).toBeLessThan(band[1]);
});

it('says what it weighs in the figure’s unit', () => {
  expect(weighed.every(({ model }) => model !== null)).toBe(true);
  expect(weighed.find(({ id }) => id === 'push-five-minutes')).toMatchObject({
    unit: 'N',
    // Rohmert at f = 0.2206: −1.5 + 9.520 − 12.330 + 9.316 = 5.0 min, of 550 N.
    model: expect.closeTo(121.3, 0) as number,
  });
});

it('misses when the middle lies outside, or the spread is much narrower than the band', () => {
  const push = row('push-five-minutes');
  expect(weighRow({ ...push, band: [130, 180] }).ok).toBe(false);
  expect(unexplained([weighRow({ ...push, band: [130, 180] })])).toHaveLength(1);
  const stand = row('concrete-180-segmented-100-time');
  expect(weighRow(stand).ok).toBe(true);
  expect(weighRow({ ...stand, band: [0.5, 80] }).ok).toBe(false);
});
