import type { Bit } from '../../documents/kit';
import { bitsForRange } from './ownedFit';

const bit = (id: string, diameterMm: number, runOutMm?: number): Bit => ({
  id,
  name: id,
  family: 'plated-cup-saw',
  diameterMm,
  ...(runOutMm === undefined ? {} : { runOutMm }),
});
const range = { leastMm: 41, targetMm: 41.5, mostMm: 42 };

it('puts the nearest to the target first, run-out counted', () => {
  const { fitting, misses } = bitsForRange(range, [
    bit('a', 41),
    bit('b', 41.2, 0.3),
    bit('c', 42, 0.4),
    bit('d', 40),
    bit('e', 38),
  ]);
  expect(fitting.map((one) => one.bit.id)).toEqual(['b', 'a']);
  expect(misses.map((one) => [one.bit.id, Number(one.missMm.toFixed(3))])).toEqual([
    ['c', 0.4],
    ['d', -1],
    ['e', -3],
  ]);
});

it('is empty-handed with an empty kit', () => {
  expect(bitsForRange(range, [])).toEqual({ fitting: [], misses: [] });
});
