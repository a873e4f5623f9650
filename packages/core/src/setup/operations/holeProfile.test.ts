import { narrowest, openTo, seenFrom, stretchesIn, uncutProfile, widened } from './holeProfile';

const leaf = (fromMm: number, toMm: number, solid = true) => ({
  id: solid ? 'brick' : 'cavity',
  fromMm,
  toMm,
  parts: solid ? [{ material: {} as never, share: 1 }] : [],
});
const WALL = uncutProfile([leaf(0, 100), leaf(100, 150, false), leaf(150, 250)]);
const shown = (profile: typeof WALL): string[] =>
  profile.map(({ fromMm, toMm, diameterMm }) => `${fromMm}-${toMm}:${diameterMm}`);

it('begins uncut, a cavity as wide as can be', () => {
  expect(shown(WALL)).toEqual(['0-100:0', '100-150:Infinity', '150-250:0']);
});

it('is widened where a bit goes, never narrowed, and a cavity stays a cavity', () => {
  const cored = widened(WALL, 0, 60, 50);
  expect(shown(cored)).toEqual(['0-60:50', '60-100:0', '100-150:Infinity', '150-250:0']);
  expect(shown(widened(cored, 0, 250, 8))).toEqual([
    '0-60:50',
    '60-100:8',
    '100-150:Infinity',
    '150-250:8',
  ]);
});

it('is the same hole from the far face', () => {
  const cored = widened(WALL, 0, 60, 50);
  expect(shown(seenFrom('far', cored))).toEqual([
    '0-100:0',
    '100-150:Infinity',
    '150-190:0',
    '190-250:50',
  ]);
  expect(seenFrom('far', seenFrom('far', cored))).toEqual(cored);
  expect(seenFrom('near', cored)).toBe(cored);
});

it('says how far it is open at a width, and how narrow it is between', () => {
  const cored = widened(widened(WALL, 0, 100, 50), 0, 60, 80);
  expect([openTo(cored, 80), openTo(cored, 50), openTo(cored, 90)]).toEqual([60, 150, 0]);
  expect(openTo(widened(cored, 0, 250, 80), 80)).toBe(250);
  expect([narrowest(cored, 0, 60), narrowest(cored, 0, 100)]).toEqual([80, 50]);
  expect(narrowest(cored, 0, 0)).toBe(Infinity);
  expect(shown(stretchesIn(cored, 50, 120))).toEqual(['50-60:80', '60-100:50', '100-120:Infinity']);
});
