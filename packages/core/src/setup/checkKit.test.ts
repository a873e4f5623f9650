import type { Bit, Coupling, Kit, Machine } from '../documents/kit';
import { faultsInWords } from '../words/faults';
import { checkKit } from './checkKit';
import type { JobFault } from './jobFault';

const CUP: Bit = { id: 'cup', name: 'Cup 25', family: 'plated-cup-saw', diameterMm: 25 };
const PRESS: Machine = { id: 'press', name: 'Press', kind: 'small-drill-press' };
const ROD: Coupling = {
  id: 'rod',
  name: 'Rod 200',
  kind: 'extension',
  into: { kind: 'thread-m14' },
  takes: { kind: 'thread-m14' },
  lengthMm: 200,
};
/** One whose length nobody gave. */
const { lengthMm: _length, ...BARE } = ROD;
const saidOf = (kit: Kit): string[] => {
  const faults: JobFault[] = [];
  checkKit(kit, '/kit', (pointer, clash) => faults.push({ pointer, ...clash }));
  return faultsInWords(faults).map(({ pointer, message }) => `${pointer} ${message}`);
};
const bit = (over: Partial<Bit>): Kit => ({ bits: [{ ...CUP, ...over }] });
const machine = (over: Partial<Machine>): Kit => ({ machines: [{ ...PRESS, ...over }] });
const coupling = (over: Partial<Coupling>): Kit => ({ couplings: [{ ...ROD, ...over }] });

it.each<[string, Kit, RegExp]>([
  ['two bits of one id', { bits: [CUP, CUP] }, /^\/kit\/bits\/1\/id .*“cup”/],
  ['two machines of one id', { machines: [PRESS, PRESS] }, /^\/kit\/machines\/1\/id .*“press”/],
  ['two couplings of one id', { couplings: [ROD, ROD] }, /^\/kit\/couplings\/1\/id .*“rod”/],
  [
    'a rim over half the bit',
    bit({ rimWidthMm: 13 }),
    /^\/kit\/bits\/0\/rimWidthMm .*13 mm.*12\.5 mm/,
  ],
  ['a barrel over its rim', bit({ barrelDiameterMm: 26 }), /barrelDiameterMm .*26 mm.*25 mm/],
  [
    'a bore deeper than the bit is long',
    bit({ usableDepthMm: 50, boreDepthMm: 60 }),
    /boreDepthMm .*60 mm.*50 mm/,
  ],
  [
    'a bore deeper than a bit of known free length',
    bit({ usableDepthMm: 50, freeLengthMm: 70, boreDepthMm: 71 }),
    /boreDepthMm .*71 mm.*70 mm/,
  ],
  [
    'a size beside a name that holds it',
    bit({ shank: { kind: 'thread-m14', sizeMm: 14 } }),
    /^\/kit\/bits\/0\/shank\/sizeMm .*14 mm/,
  ],
  [
    'speeds that fall',
    machine({ speeds: { kind: 'range', minRpm: 900, maxRpm: 600 } }),
    /^\/kit\/machines\/0\/speeds .*900.*600/,
  ],
  [
    'a pinion over its lever',
    machine({ leverArmMm: 100, pinionRadiusMm: 101 }),
    /pinionRadiusMm .*101 mm.*100 mm/,
  ],
  [
    'a chuck that closes on nothing',
    machine({ holders: [{ kind: 'round', leastMm: 10, mostMm: 6 }] }),
    /^\/kit\/machines\/0\/holders\/0\/leastMm .*10 mm.*6 mm/,
  ],
  [
    'an adapter’s chuck that closes on nothing',
    coupling({ takes: { kind: 'round', leastMm: 10, mostMm: 6 } }),
    /^\/kit\/couplings\/0\/takes\/leastMm .*10 mm.*6 mm/,
  ],
  ['an extension of no length', { couplings: [BARE] }, /lengthMm .*“Rod 200”.*in mm/],
])('says of %s what is wrong, with the values', (_, kit, said) => {
  const [first, ...rest] = saidOf(kit);
  expect(first).toMatch(said);
  expect(rest).toEqual([]);
});

it.each<[string, Kit]>([
  ['a rim of half the bit', bit({ rimWidthMm: 12.5 })],
  ['a barrel as wide as its rim', bit({ barrelDiameterMm: 25 })],
  ['a bore as deep as the bit is long', bit({ usableDepthMm: 50, boreDepthMm: 50 })],
  ['a bore of a bit whose length is not known', bit({ boreDepthMm: 60 })],
  ['one speed', machine({ speeds: { kind: 'range', minRpm: 600, maxRpm: 600 } })],
  ['a pinion as long as its lever', machine({ leverArmMm: 100, pinionRadiusMm: 100 })],
  ['a chuck of one size', machine({ holders: [{ kind: 'round', leastMm: 6, mostMm: 6 }] })],
  ['an adapter without a length', { couplings: [{ ...BARE, kind: 'adapter' }] }],
  ['a sized shank with its size', bit({ shank: { kind: 'round', sizeMm: 10 } })],
])('takes %s', (_, kit) => {
  expect(saidOf(kit)).toEqual([]);
});
