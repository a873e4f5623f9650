import { MATERIALS } from '../../data/materials/materials';
import {
  exitChipDepth,
  exitChipWidth,
  forceForChipWidth,
  ringForceSd,
  widening,
  type ExitConditions,
} from './exitChip';
import { exitForceFor } from './exitForce';

const glass = MATERIALS['float-glass'];
const at = (parts: Partial<ExitConditions> = {}): ExitConditions => ({
  hold: 'guided',
  exitFactor: 0.9,
  sharpness: 1,
  sheetThicknessMm: null,
  diameterMm: 25,
  wobbleMm: 0,
  chipTimes: 1,
  ...parts,
});

it.each([
  ['hand in guide on foam', at(), 0.713],
  ['free hand, nothing behind', at({ hold: 'freehand', exitFactor: 1 }), 1.214],
  ['press on hard', at({ hold: 'press', exitFactor: 0.35 }), 0.27],
] as const)('%s', (_, conditions, widthMm) => {
  expect(exitChipWidth(glass, 26.389, conditions) / widthMm).toBeCloseTo(1, 2);
});

it('widens in a 6 mm sheet by a quarter', () => {
  expect(
    exitChipWidth(glass, 20, at({ sheetThicknessMm: 6 })) / exitChipWidth(glass, 20, at()),
  ).toBeCloseTo(1.25);
});

it('finds the force for a wanted chip, and back', () => {
  const conditions = at({ sheetThicknessMm: 6 });
  const force = forceForChipWidth(glass, 0.6, conditions);
  expect(force / 14.58).toBeCloseTo(1, 2);
  expect(exitChipWidth(glass, force, conditions)).toBeCloseTo(0.6);
});

it('feels a ring’s force between a point’s and a ring’s, and a wobble as more of it', () => {
  const width = (parts: Partial<ExitConditions>) => exitChipWidth(glass, 26.389, at(parts));
  // (25/100)^½ of the force, to the two thirds.
  expect(width({ diameterMm: 100 }) / width({})).toBeCloseTo(0.5 ** (2 / 3), 6);
  expect(width({ wobbleMm: 0.5 }) / width({})).toBeCloseTo(1.5 ** (2 / 3), 6);
  expect(ringForceSd(25)).toBe(0);
  expect(ringForceSd(100)).toBeCloseTo(0.4002, 4);
  expect(ringForceSd(6.25)).toBeCloseTo(0.4002, 4);
});

it('never eases off below what cuts, nor above the main force', () => {
  const bounds = { mainN: 26.4, lowN: 11.3, glazeN: 6 };
  expect(exitForceFor(glass, 0.1, at(), bounds)).toMatchObject({
    exitForceN: 11.3,
    belowGlaze: true,
  });
  expect(exitForceFor(glass, 5, at(), bounds)).toMatchObject({
    exitForceN: 26.4,
    belowGlaze: false,
  });
});

it('feels a dull rim up to twice as hard, and a coarse body by its factor', () => {
  // h ∝ (2 − s)^⅔.
  const depth = (sharpness: number): number => exitChipDepth(glass, 20, at({ sharpness }));
  expect(depth(0.2) / depth(1)).toBeCloseTo(1.8 ** (2 / 3), 9);
  expect(widening({ exitChipFactor: 1.5 }, null)).toBe(1.5);
  expect(widening({ exitChipFactor: 1.5 }, 3)).toBe(3);
});

it('is below the glaze only under it', () => {
  const idealN = forceForChipWidth(glass, 0.5, at());
  const force = (glazeN: number) =>
    exitForceFor(glass, 0.5, at(), { mainN: 100, lowN: 1, glazeN }).belowGlaze;
  expect([force(idealN * 0.99), force(idealN), force(idealN * 1.01)]).toEqual([false, false, true]);
});
