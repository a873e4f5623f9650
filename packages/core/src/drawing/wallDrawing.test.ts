import { METRIC } from '../data/unitSystem';
import { wallDrawing } from './wallDrawing';

const layers = [
  { material: 'clay-brick', thicknessMm: 102 },
  { material: 'cavity', thicknessMm: 50 },
  { material: 'lightweight-block', thicknessMm: 100 },
];

it('lays the leaves side by side to scale, numbered from the outside', () => {
  const { primitives, description, x1 } = wallDrawing(layers, [], METRIC);
  const areas = primitives.filter((one) => one.kind === 'area');
  expect(areas.map(({ x0, x1: to }) => [x0, to])).toEqual([
    [0, 102],
    [102, 152],
    [152, 252],
  ]);
  expect(areas[1]?.tone).toBe('void');
  expect(primitives.flatMap((one) => (one.kind === 'dimension' ? [one.text] : []))).toEqual([
    '1 · 102 mm',
    '2 · 50 mm',
    '3 · 100 mm',
  ]);
  expect(x1).toBeGreaterThan(252);
  expect(description).toMatch(/252 mm, from the outside in: clay brick, cavity, lightweight/);
});
