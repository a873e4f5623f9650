import { INCH_POUND, METRIC } from '../../data/unitSystem';
import { jobWith, caseIn, type JobParts } from '../../setup/jobFixtures';
import { makePlan } from './makePlan';
import { walkLines } from './walkLines';

function linesOf(parts: JobParts = {}, units = METRIC) {
  const file = jobWith(parts);
  const [piece] = file.pieces;
  const outcome = makePlan(caseIn(file));
  if (!piece?.holes[0] || outcome.kind !== 'planned') throw new Error(JSON.stringify(outcome));
  return walkLines({ piece, hole: piece.holes[0], plan: outcome.plan }, [], units);
}

it('folds piece, hole, set up, water and hold to a line each', () => {
  expect(linesOf()).toEqual({
    piece: 'Pane: Float glass, 6 mm, annealed',
    hole: '25 mm through, at 200 mm × 150 mm',
    setup: 'Cup saw 25, Free machine, steady',
    water: 'Still bath, expanded foam, in a guide',
  });
});

it('names no treatment of what is not glass, and how deep what stops inside is', () => {
  const { piece, hole } = linesOf({
    piece: { material: 'granite', thicknessMm: 40 },
    hole: { depth: { kind: 'blind', depthMm: 20 } },
  });
  expect(piece).toBe('Pane: Granite, 40 mm');
  expect(hole).toBe('25 mm 20 mm deep, at 200 mm × 150 mm');
});

it('says when it could be something else, in layers or in inches', () => {
  const couldBe = [
    { material: 'granite', share: 0.6 },
    { material: 'basalt', share: 0.4 },
  ] as const;
  const twin = { material: 'granite', couldBe, thicknessMm: 20 } as const;
  expect(linesOf({ piece: twin }).piece).toContain('Granite or another');
  expect(linesOf({ hole: { diameterMm: 25.4 } }, INCH_POUND).hole).toMatch(/^1 in through/);
});

it('leaves set up and water open where there is no plan', () => {
  const [piece] = jobWith().pieces;
  if (!piece?.holes[0]) throw new Error('no hole');
  const lines = walkLines({ piece, hole: piece.holes[0], plan: null }, [], METRIC);
  expect([lines.setup, lines.water]).toEqual(['…', '…']);
});
