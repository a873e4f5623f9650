import { MATERIALS } from '../data/materials/materials';
import { spanToShape } from './clearDistances';
import { brokenRule, judgeEdges, type RuleScene } from './edgeRules';
import { bandWidth, spansToServices } from './services';

const hole = { id: 'h', xMm: 100, yMm: 100, diameterMm: 20 };
const scene = (piece: Partial<RuleScene['piece']>, house?: RuleScene['house']): RuleScene => ({
  piece: {
    form: 'slab',
    thicknessMm: 20,
    outline: { kind: 'rectangle', widthMm: 400, heightMm: 300 },
    ...piece,
  },
  material: MATERIALS.granite,
  hole,
  house,
});
const rule = (judged: ReturnType<typeof judgeEdges>, id: string, measure?: string) =>
  judged.find((one) => one.rule === id && (measure === undefined || one.measure === measure));

it('measures to what is drawn on the face, by hand', () => {
  const at = { xMm: 100, yMm: 100 };
  expect(
    spanToShape({ kind: 'circle', xMm: 160, yMm: 180, diameterMm: 40 }, at, 10).clearMm,
  ).toBeCloseTo(70);
  const box = { kind: 'rectangle', xMm: 130, yMm: 140, widthMm: 50, heightMm: 50 } as const;
  expect(spanToShape(box, at, 10).clearMm).toBeCloseTo(40);
  expect(spanToShape({ ...box, xMm: 90, yMm: 90 }, at, 10).clearMm).toBeCloseTo(-20);
  const line = {
    kind: 'line',
    pointsMm: [
      [0, 150],
      [200, 150],
    ],
  } as const;
  expect(spanToShape(line, at, 10)).toEqual({
    clearMm: 40,
    from: { xMm: 100, yMm: 110 },
    to: { xMm: 100, yMm: 150 },
  });
});

it('asks the edge rule of a cut-out too: the web between breaks like an edge', () => {
  const sink = { kind: 'rectangle', xMm: 125, yMm: 50, widthMm: 200, heightMm: 200 } as const;
  const judged = judgeEdges(scene({ keepOff: [{ id: 'k', kind: 'cut-out', shape: sink }] }), []);
  expect(rule(judged, 'diameter-of-stone', 'web')).toMatchObject({
    label: 'One hole diameter to a cut-out, stone',
    requiredMm: 20,
    ok: false,
    binds: true,
  });
  expect(rule(judged, 'diameter-of-stone', 'web')?.actualMm).toBeCloseTo(15);
  expect(rule(judged, 'diameter-of-stone', 'edge')?.ok).toBe(true);
});

it('keeps a thickness from a handle and three from a crack, or the margin that was given', () => {
  const line = {
    kind: 'line',
    pointsMm: [
      [0, 150],
      [200, 150],
    ],
  } as const;
  const near = (kind: 'rib' | 'crack', marginMm?: number) =>
    judgeEdges(
      scene({ keepOff: [{ id: 'k', kind, shape: line, ...(marginMm ? { marginMm } : {}) }] }),
      [],
    );
  expect(rule(near('rib'), 'thickness-to-handle')).toMatchObject({
    requiredMm: 20,
    actualMm: 40,
    ok: true,
  });
  expect(rule(near('crack'), 'three-thicknesses-to-crack')).toMatchObject({
    requiredMm: 60,
    ok: false,
  });
  expect(rule(near('rib', 50), 'thickness-to-handle')).toMatchObject({
    requiredMm: 50,
    actualMm: 40,
    ok: false,
  });
});

it('counts a hole that is there already, and lets steps of one hole share their middle', () => {
  const there = {
    id: 'k',
    kind: 'hole',
    shape: { kind: 'circle', xMm: 125, yMm: 100, diameterMm: 40 },
  } as const;
  const judged = judgeEdges(scene({ keepOff: [there] }), [{ ...hole, id: 'step', diameterMm: 40 }]);
  expect(rule(judged, 'clear-of-holes')).toMatchObject({ actualMm: -5, ok: false });
  expect(rule(judgeEdges(scene({}), [{ ...hole, id: 'step' }]), 'clear-of-holes')).toBeUndefined();
});

it('remembers the house rule, and lets one school bind', () => {
  const corner = { ...hole, xMm: 28, yMm: 150 };
  const judge = (house?: RuleScene['house']) =>
    judgeEdges({ ...scene({}, house), hole: corner }, []);
  expect(brokenRule(judge())?.rule).toBe('diameter-of-stone');
  const house = judge({ edge: { per: 'diameter', value: 0.75 }, school: 'house-rule' });
  expect(rule(house, 'house-rule')).toMatchObject({ requiredMm: 15, ok: true, binds: true });
  expect(rule(house, 'diameter-of-stone')).toMatchObject({ counts: false, ok: false });
  expect(brokenRule(house)).toBeUndefined();
  expect(rule(judge({ edge: { per: 'thickness', value: 2 } }), 'house-rule')?.requiredMm).toBe(40);
});

it('widens a band by what the scan may be off, and lets a shallow hole pass above it', () => {
  const band = {
    id: 'b',
    kind: 'pipe',
    pointsMm: [
      [0, 130],
      [400, 130],
    ],
    widthMm: 15,
    uncertaintyMm: 10,
    depthMm: 40,
  } as const;
  expect(bandWidth(band)).toBe(35);
  const wall = {
    outline: { kind: 'rectangle', widthMm: 400, heightMm: 300 },
    thicknessMm: 100,
    services: [band],
  } as const;
  const clear = (depth: { kind: 'through' } | { kind: 'blind'; depthMm: number }) =>
    spansToServices(wall, { ...hole, depth })[0]?.clearMm;
  // 30 to the middle of the band, less 10 of hole and 17.5 of band.
  expect(clear({ kind: 'through' })).toBeCloseTo(2.5);
  expect(clear({ kind: 'blind', depthMm: 31 })).toBeCloseTo(2.5);
  expect(clear({ kind: 'blind', depthMm: 29 })).toBeUndefined();
});
