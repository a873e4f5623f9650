import {
  formatDuration,
  formatDurationSpan,
  formatFlow,
  formatForce,
  formatPressure,
  formatTempRise,
  formatVolume,
} from './formatQuantity';
import { formatLength, formatLengthAbout, nearestInchFraction, parseLength } from './length';
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
])('reads %s', (text, mm) => {
  expect(mmOf(text)).toBeCloseTo(mm);
});

it('takes a bare number as inches for inch people', () => {
  expect(mmOf('2', INCH_POUND)).toBeCloseTo(50.8);
});

it.each(['', 'six', '0', '-3', '1/0', '3 mm mm', '2 5', 'NaN'])(
  'refuses “%s” and says what it takes',
  (text) => {
    expect(mmOf(text)).toMatch(/Type a length such as/);
  },
);

it('shows inches as fractions with the millimetres beside', () => {
  expect(formatLength(6.35, INCH_POUND)).toBe('1/4 in (6.35 mm)');
  expect(formatLength(38.1, INCH_POUND)).toBe('1 1/2 in (38.1 mm)');
  expect(formatLength(6, METRIC)).toBe('6 mm');
  expect(nearestInchFraction(6).missMm).toBeCloseTo(6 - (15 / 64) * 25.4);
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
