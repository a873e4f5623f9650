import { todoText } from '../words/advice/bitCheckWords';
import { INCH_POUND, METRIC } from '../data/unitSystem';
import { judgeBit, type BitLooks } from './bitCheck';
import { bitPrice, usualBit, usualSizesMm } from '../setup/usualBit';
import { checkKit } from '../setup/checkKit';
import { BIT_FAMILIES, BIT_FAMILY_IDS } from '../data/bits/bitFamilies';

const CUP = { family: 'plated-cup-saw', diameterMm: 22, holesCut: 9, sharpness: 0.8 } as const;
const CORE = { ...CUP, family: 'sintered-core' } as const;
const FINE: BitLooks = { spin: 'true', rim: 'stands', shank: 'straight', slots: 'clear' };

it.each([
  ['use', CUP, {}, 'good'],
  ['use', { ...CUP, holesCut: 0 }, {}, 'new'],
  ['dress', CUP, { rim: 'smooth' }, 'tired'],
  ['dress', CORE, { rim: 'bare' }, 'tired'],
  ['bin', CUP, { rim: 'bare' }, 'bald'],
  ['bin', CUP, { rim: 'chipped' }, 'out-of-true'],
  ['bin', CUP, { shank: 'bent' }, 'out-of-true'],
  ['bin', CUP, { slots: 'cracked' }, 'out-of-true'],
] as const)('says %s', (kind, bit, looks, state) => {
  expect(judgeBit(bit, { ...FINE, ...looks })).toMatchObject({ kind, state });
});

it('goes by the gauge where there is one, and a big bit may run out more', () => {
  expect(judgeBit(CUP, FINE, 0.7).kind).toBe('bin');
  expect(judgeBit(CUP, { ...FINE, spin: 'much' }, 0.1)).toMatchObject({
    kind: 'use',
    runOutMm: 0.1,
  });
  expect(judgeBit({ ...CUP, diameterMm: 100 }, { ...FINE, spin: 'much' }).kind).toBe('use');
});

it('beds in a new plated bit, and empties a packed one', () => {
  const verdict = judgeBit({ ...CUP, holesCut: 0 }, { ...FINE, slots: 'packed' });
  expect(verdict.doFirst.map(todoText).join(' ')).toMatch(/Push the core out.*first millimetre/);
  expect(judgeBit({ ...CORE, holesCut: 0 }, FINE).doFirst).toEqual([]);
});

it('makes a sound bit of every family and usual size', () => {
  for (const family of BIT_FAMILY_IDS) {
    const sizes = [...usualSizesMm(family, METRIC), ...usualSizesMm(family, INCH_POUND)];
    expect(sizes.length).toBeGreaterThan(BIT_FAMILIES[family].sizesMm.length);
    for (const diameterMm of sizes) {
      const faults: string[] = [];
      const bit = { id: 'x', name: 'x', ...usualBit(family, diameterMm) };
      checkKit({ bits: [bit] }, '', (_, { code }) => faults.push(code));
      expect(faults).toEqual([]);
      expect(bitPrice(bit)).toBeGreaterThan(0);
    }
  }
});
