import { MATERIALS } from '../materials/materials';
import { exitChipWidth, forceForChipWidth, type ExitConditions } from './exitChip';
import { exitForceFor } from './exitForce';

const glass = MATERIALS['float-glass'];
const at = (parts: Partial<ExitConditions> = {}): ExitConditions => ({
  hold: 'guided',
  exitFactor: 0.9,
  sharpness: 1,
  sheetThicknessMm: null,
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
