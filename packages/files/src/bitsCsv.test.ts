import type { Bit } from '@nucleon/core/documents/kit';
import { MAX_BIT_ROWS, readBitsCsv, writeBitsCsv } from './bitsCsv';

let ids = 0;
const newId = (): string => `id${++ids}`;
const read = (text: string, owned: readonly Bit[] = []) => {
  const outcome = readBitsCsv(text, owned, newId);
  if (outcome.kind === 'refused') throw new Error(outcome.message);
  return outcome;
};
const good = (text: string, owned?: readonly Bit[]) =>
  read(text, owned).rows.flatMap(({ outcome }) => (outcome.kind === 'good' ? [outcome.bit] : []));
const why = (text: string) =>
  read(text).rows.flatMap(({ outcome }) => (outcome.kind === 'refused' ? outcome.why : []));

it('reads what it writes', () => {
  const bits: Bit[] = [
    {
      id: 'a',
      name: 'Cup, "best" 22',
      family: 'plated-cup-saw',
      diameterMm: 22,
      rimWidthMm: 1.1,
      usableDepthMm: 30,
      barrelDiameterMm: 21.2,
      freeLengthMm: 74,
      shank: { kind: 'round', sizeMm: 10 },
      slotted: true,
      price: 9.5,
      maxRpm: 3000,
      runOutMm: 0,
      sharpness: 0.9,
      state: 'good',
      holesCut: 12,
      depthCutMm: 80,
      supplier: 'Market',
      batch: '7',
      retired: false,
    },
    {
      id: 'b',
      name: 'Core 52',
      family: 'segmented-core',
      diameterMm: 52,
      shank: { kind: 'thread-g-half' },
    },
  ];
  const back = good(writeBitsCsv(bits));
  expect(back.map(({ id: _, ...bit }) => bit)).toEqual(bits.map(({ id: _, ...bit }) => bit));
});

it('reads semicolons with decimal commas, names of families and sizes in inches', () => {
  expect(good('Family;Diameter (mm);Price\nPlated cup saw;12,5;4,20\n')[0]).toMatchObject({
    family: 'plated-cup-saw',
    diameterMm: 12.5,
    price: 4.2,
    name: 'Plated cup saw 12.5',
  });
  expect(good('family,size_in\nbrazed-tile-core,1 3/8\n')[0]?.diameterMm).toBeCloseTo(34.925);
});

it('keeps good rows beside bad ones, each with its own sentence', () => {
  const outcome = read(
    'family,diameter_mm,rim_mm\nplated-cup-saw,10,1\nplated-cup-saw,zero,1\nsaw,10,1\nplated-cup-saw,0,\nplated-cup-saw,10,7\nplated-point,400,\n,,\n',
  );
  expect(outcome.rows.map(({ line, outcome: { kind } }) => `${line} ${kind}`)).toEqual([
    '2 good',
    '3 refused',
    '4 refused',
    '5 refused',
    '6 refused',
    '7 refused',
  ]);
  expect(why('family,diameter_mm\nplated-cup-saw,zero')).toEqual([
    'diameter_mm: “zero” is not a number; above 0 to 1000 mm is.',
  ]);
  expect(why('family,diameter_mm\nsaw,10')[0]).toMatch(/“saw” is not one of plated-point/);
  expect(why('family,diameter_mm,rim_mm\nplated-cup-saw,10,7')[0]).toMatch(/at most half/);
  expect(why('family,diameter_mm\nplated-point,400')[0]).toMatch(/made from 0.8 to 3 mm/);
  expect(why('family,diameter_mm\nplated-cup-saw,')).toEqual(['diameter_mm: missing.']);
});

it('takes nothing twice', () => {
  const text = 'name,family,diameter_mm\nCup,plated-cup-saw,10\nCup,plated-cup-saw,10\n';
  expect(read(text).rows.map(({ outcome }) => outcome.kind)).toEqual(['good', 'owned']);
  expect(good(text, good(text))).toEqual([]);
});

it.each([
  ['a,b,c\n1,2,3', /must name the columns/],
  ['', /must name the columns/],
  ['family,diameter_mm\n\0', /binary/],
  [`family,diameter_mm\n${'plated-cup-saw,10\n'.repeat(MAX_BIT_ROWS + 1)}`, /at most 2000/],
])('says why it reads nothing of %j', (text, message) => {
  const outcome = readBitsCsv(text, [], newId);
  expect(outcome.kind === 'refused' && outcome.message).toMatch(message);
});

it('names headers it left, and writes no formulas', () => {
  expect(read('family,diameter_mm,colour\nplated-cup-saw,10,red').left).toEqual(['colour']);
  const evil: Bit = { id: 'x', name: '=1+1', family: 'plated-cup-saw', diameterMm: 10 };
  expect(writeBitsCsv([evil])).toContain("'=1+1");
});
