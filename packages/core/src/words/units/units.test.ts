import {
  formatDuration,
  formatDurationSpan,
  formatFlow,
  forceLimit,
  formatForce,
  formatPressure,
  formatTempRise,
  formatVolume,
} from './formatQuantity';
import {
  formatLength,
  formatLengthAbout,
  formatLengthExact,
  nearestInchFraction,
  parseLength,
} from './length';
import { formatSignificant } from './roundNumber';
import { INCH_POUND, METRIC } from '../../data/unitSystem';

const mmOf = (text: string, units = METRIC): number | string => {
  const parsed = parseLength(text, units);
  return parsed.kind === 'parsed' ? parsed.mm : parsed.message;
};

it.each([
  ['6', 6],
  ['6,5 mm', 6.5],
  ['2.4cm', 24],
  ['1/4"', 6.35],
  ['1 1/2 in', 38.1],
  ['.5 in', 12.7],
  ['1/4', 6.35],
  // As phones type them.
  ['1/4”', 6.35],
  ['1/4″', 6.35],
  ["1/4''", 6.35],
  ['½', 12.7],
  ['1½', 38.1],
  ['1 ½ in', 38.1],
  ['3⁄4', 19.05],
  ['1-1/2', 38.1],
  ['1 – 1/2"', 38.1],
  ['5.', 5],
  [',5', 0.5],
  ['12\u00a0mm', 12],
  ['１２ mm', 12],
  ['10 MM.', 10],
  ['1200', 1200],
  ['0,125 in', 3.175],
  ['12,5', 12.5],
  ['1\'6"', 457.2],
  ['1’6”', 457.2],
  ["1'6", 457.2],
  ['1\' 6 1/2"', 469.9],
  ['2 ft 3½ in', 698.5],
  ["2'", 609.6],
  ['1.5 ft', 457.2],
])('reads %s', (text, mm) => {
  expect(mmOf(text)).toBeCloseTo(mm);
});

it('takes a bare number as inches for inch people', () => {
  expect(mmOf('2', INCH_POUND)).toBeCloseTo(50.8);
});

it.each([
  '',
  'six',
  '0',
  '-3',
  '1/0',
  '3 mm mm',
  '2 5',
  'NaN',
  '.',
  '1½½',
  '6 px',
  "1'1/0",
  '1,200',
  '12,500 mm',
])('refuses “%s” and says what it takes', (text) => {
  expect(mmOf(text)).toMatch(/Type a length such as/);
});

it('asks which of two is meant by a comma before three figures', () => {
  expect(mmOf('1,200 mm')).toMatch(/^“1,200 mm” may be one length or a thousand times as much\./);
  expect(mmOf('1200,5')).toBeCloseTo(1200.5);
  expect(mmOf('0,250')).toBeCloseTo(0.25);
});

it('shows inches as fractions with the millimetres beside', () => {
  expect(formatLength(6.35, INCH_POUND)).toBe('1/4 in (6.35 mm)');
  expect(formatLength(38.1, INCH_POUND)).toBe('1 1/2 in (38.1 mm)');
  expect(formatLength(6, METRIC)).toBe('6 mm');
  expect(nearestInchFraction(6).missMm).toBeCloseTo(6 - (15 / 64) * 25.4);
});

it('writes a length with as many figures as were typed, and no more', () => {
  expect(formatLengthExact(38, METRIC)).toBe('38 mm');
  expect(formatLengthExact(38.125, METRIC)).toBe('38.125 mm');
  expect(formatLengthExact(412.75, METRIC)).toBe('412.75 mm');
  expect(formatLengthExact(0, METRIC)).toBe('0 mm');
  expect(formatLengthExact(-12.345, METRIC)).toMatch(/^[-−]12\.345 mm$/);
  expect(formatLengthExact(38.1, INCH_POUND)).toBe('1 1/2 in');
  expect(formatLengthExact(0.2362 * 25.4, INCH_POUND)).toBe('0.2362 in');
  // Round in the other unit: as it was typed.
  expect(formatLengthExact(6, INCH_POUND)).toBe('6 mm');
  expect(formatLengthExact((5 / 32) * 25.4, METRIC)).toBe('5/32 in');
  // Calculated: rounded as everywhere.
  expect(formatLengthExact(140 + 60 * Math.PI, METRIC)).toBe('328.5 mm');
  expect(formatLengthExact(Math.PI, INCH_POUND)).toBe('1/8 in');
  for (const units of [METRIC, INCH_POUND])
    for (const mm of [1.59, 6, 6.35, 22.22, 102.4, 1219.2, 0.05])
      expect(mmOf(formatLengthExact(mm, units), units)).toBeCloseTo(mm, 6);
});

it('reads back what it writes', () => {
  for (const mm of [1.5, 6, 6.35, 22, 102]) {
    expect(mmOf(formatLength(mm, METRIC))).toBeCloseTo(mm, 1);
  }
});

it('rounds without exponent', () => {
  expect(
    [0.001234, 0.5, 26.389, 812.3, 10_185.9].map((value) => formatSignificant(value, 2)),
  ).toEqual(['0.0012', '0.5', '26', '810', '10\u2009000']);
});

it('limits a force as it is typed to three figures that are no more newtons', () => {
  const limit = { above: 0, max: 5000, unit: 'N' };
  expect(forceLimit(limit, METRIC)).toEqual(limit);
  // 5000/9.80665 = 509.9 and 5000/4.44822 = 1124.05: up, both would be over.
  const kilograms = { length: 'mm', force: 'kgf' } as const;
  expect(forceLimit(limit, kilograms)).toEqual({ above: 0, max: 509, unit: 'kgf' });
  expect(forceLimit(limit, INCH_POUND)).toEqual({ above: 0, max: 1120, unit: 'lbf' });
});

it('converts force, pressure, heat, volume and flow', () => {
  expect(formatForce(26.389, METRIC)).toBe('26 N');
  expect(formatForce(26.389, { length: 'mm', force: 'kgf' })).toBe('2.7 kgf');
  expect(formatForce(26.389, INCH_POUND)).toBe('5.9 lbf');
  expect(formatPressure(0.35, INCH_POUND)).toBe('51 psi');
  expect(formatTempRise(10, INCH_POUND)).toBe('18 °F');
  expect(formatVolume(0.056, METRIC)).toBe('56 mL');
  expect(formatFlow(1.02, METRIC)).toBe('1 L/min');
});

it('shows time in the unit a person would say', () => {
  expect([45, 107, 1200, 7200].map(formatDuration)).toEqual(['45 s', '1.8 min', '20 min', '2 h']);
  expect(formatDurationSpan(96, 180)).toBe('1.6–3 min');
});

it('gives estimates two digits', () => {
  expect(formatLengthAbout(3.987, METRIC)).toBe('4 mm');
  expect(formatLengthAbout(0.5943, METRIC)).toBe('0.59 mm');
  expect(formatLengthAbout(3.987, INCH_POUND)).toBe('0.16 in');
});
