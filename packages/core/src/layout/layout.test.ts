import type { Outline } from '../documents/outline';
import { MATERIALS, type MaterialId } from '../data/materials/materials';
import { clearToCorner, clearToEdge, clearToHole } from './clearDistances';
import { judgeEdges, type RuleScene } from './edgeRules';

const pane: Outline = { kind: 'rectangle', widthMm: 400, heightMm: 300 };
const hole = (xMm: number, yMm: number, diameterMm = 20, id = 'h') => ({
  id,
  xMm,
  yMm,
  diameterMm,
});

describe('clear distances, by hand', () => {
  it('to an edge, a corner and another hole of a rectangle', () => {
    expect(clearToEdge(pane, hole(50, 150))).toBeCloseTo(40);
    expect(clearToEdge(pane, hole(5, 150))).toBeCloseTo(-5);
    expect(clearToCorner(pane, hole(30, 40))).toBeCloseTo(40);
    expect(clearToHole(pane, hole(50, 50), [hole(80, 90, 30, 'o')])).toBeCloseTo(25);
    expect(clearToHole(pane, hole(50, 50), [hole(50, 50)])).toBeNull();
  });
  it('of a circle and a polygon', () => {
    const disc: Outline = { kind: 'circle', diameterMm: 420 };
    expect(clearToEdge(disc, hole(60, 210))).toBeCloseTo(50);
    expect(clearToCorner(disc, hole(60, 210))).toBeNull();
    const triangle: Outline = {
      kind: 'polygon',
      pointsMm: [
        [0, 0],
        [120, 0],
        [0, 90],
      ],
    };
    // 3-4-5: distance of (30, 20) from the long side is (1080 − 90 − 80)/15·… = |3·30 + 4·20 − 360|/5
    expect(clearToEdge(triangle, hole(30, 20, 10))).toBeCloseTo(Math.min(20, 30, 190 / 5) - 5);
    expect(clearToCorner(triangle, hole(30, 40, 10))).toBeCloseTo(45);
  });
  it('round the seam of a cylinder, face by face', () => {
    const jar: Outline = { kind: 'cylinder', outerDiameterMm: 200 / Math.PI, heightMm: 100 };
    expect(clearToHole(jar, hole(5, 50, 10), [hole(195, 50, 10, 'o')])).toBeCloseTo(0);
    const base = { ...hole(0, 0, 10, 'b'), face: 'base' as const };
    expect(clearToHole(jar, hole(5, 50, 10), [base])).toBeNull();
    expect(clearToEdge(jar, base)).toBeCloseTo(100 / Math.PI - 5);
  });
});

const scene = (
  material: MaterialId,
  piece: Partial<RuleScene['piece']> = {},
  at = hole(50, 150),
): RuleScene => ({
  piece: { form: 'sheet', thicknessMm: 6, outline: pane, ...piece },
  material: MATERIALS[material],
  hole: at,
});
const asked = (of: RuleScene, others = [hole(200, 150, 20, 'o')]) =>
  Object.fromEntries(judgeEdges(of, others).map((one) => [one.rule, one.requiredMm]));

it('asks each school only where it is meant for', () => {
  expect(asked(scene('float-glass'))).toEqual({
    'two-thicknesses-of-glass': 12,
    'six-thicknesses-to-corner': 36,
    'two-thicknesses-between-holes': 12,
    'hole-as-wide-as-thick': 6,
  });
  expect(asked(scene('float-glass', { assembled: true }))).toMatchObject({
    'two-diameters-of-built-pane': 40,
    'forty-of-built-vessel': 40,
  });
  expect(asked(scene('marble', { form: 'slab' }))).toEqual({
    'diameter-of-stone': 20,
    'clear-of-holes': 0,
  });
  expect(asked(scene('quartzite-agate', { form: 'block' }))).toEqual({
    'thickness-of-pebble': 6,
    'clear-of-holes': 0,
  });
  expect(asked(scene('porcelain-tile', { form: 'slab' }))).toEqual({
    'fifteen-of-tile': 15,
    'clear-of-holes': 0,
  });
  expect(asked(scene('concrete', { form: 'floor' }))).toEqual({
    'three-diameters-of-masonry': 60,
    'clear-of-holes': 0,
  });
  expect(asked(scene('stoneware', { form: 'vessel' }))).toEqual({ 'clear-of-holes': 0 });
});

it('puts the one with least to spare first, and says whether it holds', () => {
  const near = judgeEdges(scene('float-glass', {}, hole(18, 18, 12)), []);
  // Corner: 25.456 − 6 = 19.456 of 36; edge: 12 of 12.
  expect(near.map(({ rule, ok, binds }) => [rule, ok, binds])).toEqual([
    ['six-thicknesses-to-corner', false, true],
    ['two-thicknesses-of-glass', true, false],
    ['hole-as-wide-as-thick', true, false],
  ]);
  expect(near[0]?.actualMm).toBeCloseTo(19.456, 3);
});
