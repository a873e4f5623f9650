import { jobWith, type JobParts } from './jobFixtures';
import { faultsInWords } from '../words/faults';
import { checkJob } from './checkJob';

const faultsOf = (parts: JobParts): string[] =>
  faultsInWords(checkJob(jobWith(parts))).map((fault) => `${fault.pointer} ${fault.message}`);

it('finds nothing wrong with a sound job', () => {
  expect(checkJob(jobWith())).toEqual([]);
});

it.each<[string, JobParts, RegExp]>([
  [
    'unknown material',
    { piece: { material: 'cheese' } },
    /^\/pieces\/0\/material Material “cheese” is not known/,
  ],
  [
    'hole outside',
    { hole: { xMm: 900 } },
    /^\/pieces\/0\/holes\/0 The middle of hole “hole” \(x 900 mm.*400 mm × 300 mm/,
  ],
  [
    'hole over the edge',
    { hole: { xMm: 5 } },
    /runs over the edge.*5 mm from the edge and needs more than 12.5 mm/,
  ],
  [
    'bit bigger than the piece',
    {
      piece: { outline: { kind: 'circle', diameterMm: 26 } },
      hole: { xMm: 13, yMm: 13, diameterMm: 20 },
      bits: [{ id: 'b', name: 'Big', family: 'plated-cup-saw', diameterMm: 40 }],
    },
    /\/setup\/bit Bit “Big” of 40 mm is bigger than the piece, which is 26 mm across/,
  ],
  [
    'a reading that cannot be of the same piece',
    { piece: { thicknessMm: 52.5, thicknessReadingsMm: [6, 99] } },
    /thicknessReadingsMm\/1 A piece that measures 6 mm in one place is not 99 mm in another; .* at most 18 mm/,
  ],
  [
    'missing bit',
    { setup: { bit: 'gone' } },
    /\/setup\/bit Bit “gone” is not in the kit, which has cup25/,
  ],
  [
    'missing machine',
    { setup: { machine: 'gone' } },
    /Machine “gone” is not in the kit, which has free/,
  ],
  [
    'blind too deep',
    { hole: { depth: { kind: 'blind', depthMm: 6 } } },
    /depthMm A blind hole 6 mm deep goes through a piece 6 mm thick/,
  ],
  [
    'layers do not add up',
    { piece: { layers: [{ material: 'slate', thicknessMm: 4 }] } },
    /add up to 4 mm, but thicknessMm is 6 mm/,
  ],
  [
    'cavity outside',
    { piece: { layers: [{ material: 'cavity', thicknessMm: 6 }] } },
    /first and last layer must be solid/,
  ],
  [
    'rim too wide',
    { bits: [{ id: 'b', name: 'B', family: 'plated-cup-saw', diameterMm: 25, rimWidthMm: 14 }] },
    /rim 14 mm wide does not fit a bit of 25 mm/,
  ],
])('names %s', (_, parts, message) => {
  const faults = faultsOf(parts);
  expect(faults.some((fault) => message.test(fault))).toBe(true);
});

it('measures a round base from its centre', () => {
  expect(
    faultsOf({
      piece: { form: 'vessel', outline: { kind: 'cylinder', outerDiameterMm: 120, heightMm: 90 } },
      hole: { face: 'base', xMm: 0, yMm: 0 },
    }),
  ).toEqual([]);
});
