import { PURPOSES } from '../layout/purposes/purposes';
import { NOMINAL_SIZES, sizesSold, type NominalSizeId } from './nominalSizes';
import { INCH_POUND, METRIC } from './unitSystem';

const mmOf = (id: NominalSizeId, label: string, units = METRIC): number =>
  sizesSold(id, units).find((one) => one.label === label)?.mm ?? NaN;

it('measures what the standards say', () => {
  // ISO 228-1, EN 1057, EN 1455, EN 10220; iron-pipe sizes; 18 ga = 1.024 mm.
  expect(mmOf('thread', 'G 3/4')).toBe(26.44);
  expect(mmOf('pipe', '22 mm')).toBe(22);
  expect(mmOf('pipe', 'Waste 40')).toBe(42.9);
  expect(mmOf('post', '48.3 mm')).toBe(48.3);
  expect(mmOf('pipe', 'Plastic 1 1/2"', INCH_POUND)).toBe(48.26);
  expect(mmOf('wire', '18 ga', INCH_POUND)).toBeCloseTo(1.024, 3);
  expect(mmOf('wire', '24 ga', INCH_POUND)).toBeCloseTo(0.511, 3);
  expect(mmOf('plug', '1/4"', INCH_POUND)).toBeCloseTo(6.35, 9);
});

it.each(Object.keys(NOMINAL_SIZES) as NominalSizeId[])('is each once, in order: %s', (id) => {
  for (const units of [METRIC, INCH_POUND]) {
    const sizes = sizesSold(id, units);
    expect(new Set(sizes.map(({ label }) => label)).size).toBe(sizes.length);
    expect(sizes.every(({ mm }) => mm > 0)).toBe(true);
    expect(sizes.length).toBeGreaterThan(3);
    // A glance takes in no more.
    expect(sizes.length).toBeLessThanOrEqual(12);
  }
});

it('lies within what the fields that offer it take', () => {
  const fields = Object.values(PURPOSES).flatMap(({ fields: own }) => Object.values(own));
  const offering = fields.flatMap((field) =>
    field.kind === 'length' && field.sold ? [{ sold: field.sold, max: field.max }] : [],
  );
  expect(new Set(offering.map(({ sold }) => sold))).toEqual(new Set(Object.keys(NOMINAL_SIZES)));
  for (const { sold, max } of offering)
    for (const units of [METRIC, INCH_POUND])
      expect(Math.max(...sizesSold(sold, units).map(({ mm }) => mm))).toBeLessThanOrEqual(max);
});
