import type { Outline } from '../documents/outline';
import type { KeepOff } from '../documents/piece';
import { MATERIALS } from '../data/materials/materials';
import { brokenRule, EDGE_RULES, judgeEdges, type RuleScene } from './edgeRules';

const pane: Outline = { kind: 'rectangle', widthMm: 400, heightMm: 300 };
const scene = (
  more: Partial<RuleScene> = {},
  piece: Partial<RuleScene['piece']> = {},
): RuleScene => ({
  piece: { form: 'sheet', thicknessMm: 6, outline: pane, ...piece },
  material: MATERIALS['float-glass'],
  hole: { id: 'h', xMm: 100, yMm: 150, diameterMm: 20 },
  ...more,
});
const required = (rule: keyof typeof EDGE_RULES, of: RuleScene): number =>
  EDGE_RULES[rule].requiredMm(of);

it('asks each its own multiple', () => {
  const one = scene();
  expect(required('diameter-of-stone', one)).toBe(20);
  expect(required('two-diameters-of-built-pane', one)).toBe(40);
  expect(required('two-thicknesses-of-glass', one)).toBe(12);
  expect(required('six-thicknesses-to-corner', one)).toBe(36);
  expect(required('two-thicknesses-between-holes', one)).toBe(12);
  expect(required('hole-as-wide-as-thick', one)).toBe(6);
  expect(required('forty-of-built-vessel', one)).toBe(40);
  expect(required('fifteen-of-tile', one)).toBe(15);
  expect(required('three-diameters-of-masonry', one)).toBe(60);
  expect(required('thickness-of-pebble', one)).toBe(6);
  expect(required('thickness-to-handle', one)).toBe(6);
  expect(required('three-thicknesses-to-crack', one)).toBe(18);
  expect(required('clear-of-holes', one)).toBe(0);
});

it('takes a house rule per diameter, per thickness or in millimetres', () => {
  const house = (per: 'diameter' | 'thickness' | 'mm') =>
    required('house-rule', scene({ house: { edge: { per, value: 1.5 } } }));
  expect([house('diameter'), house('thickness'), house('mm')]).toEqual([30, 9, 1.5]);
  expect(judgeEdges(scene(), []).some(({ rule }) => rule === 'house-rule')).toBe(false);
});

it('asks stone a diameter, but a pebble or bead its thickness', () => {
  const rules = (form: 'slab' | 'block' | 'bead') =>
    judgeEdges(scene({ material: MATERIALS.marble }, { form }), []).map(({ rule }) => rule);
  expect(rules('slab')).toEqual(['diameter-of-stone']);
  expect(rules('block')).toEqual(['thickness-of-pebble']);
  expect(rules('bead')).toEqual(['thickness-of-pebble']);
});

it('holds at exactly what it asks, and is broken a hair below', () => {
  const at = (xMm: number) =>
    judgeEdges(scene({ hole: { id: 'h', xMm, yMm: 150, diameterMm: 20 } }), []).find(
      ({ rule }) => rule === 'two-thicknesses-of-glass',
    );
  expect(at(22)).toMatchObject({ ok: true, actualMm: 12, requiredMm: 12 });
  expect(at(21.999)?.ok).toBe(false);
  expect(at(22)?.span).toEqual({ from: { xMm: 12, yMm: 150 }, to: { xMm: 0, yMm: 150 } });
});

it('asks a cut-out what it asks an edge, and says so', () => {
  const cutOut: KeepOff = {
    id: 'k',
    kind: 'cut-out',
    shape: { kind: 'rectangle', xMm: 120, yMm: 100, widthMm: 50, heightMm: 100 },
  };
  const judged = judgeEdges(scene({}, { keepOff: [cutOut] }), []);
  expect(judged[0]).toMatchObject({
    rule: 'two-thicknesses-of-glass',
    measure: 'web',
    actualMm: 10,
    requiredMm: 12,
    ok: false,
    binds: true,
    label: 'Twice the thickness to a cut-out, glass',
  });
  expect(brokenRule(judged)).toBe(judged[0]);
});

it('stays from handles, ribs, curves and cracks by the rule or by what was said', () => {
  const place = (kind: KeepOff['kind'], marginMm?: number): KeepOff => ({
    id: kind,
    kind,
    shape: { kind: 'circle', xMm: 130, yMm: 150, diameterMm: 20 },
    ...(marginMm === undefined ? {} : { marginMm }),
  });
  const judged = (kind: KeepOff['kind'], marginMm?: number) =>
    judgeEdges(scene({}, { keepOff: [place(kind, marginMm)] }), []).find(
      ({ measure }) => measure === 'handle' || measure === 'crack',
    );
  for (const kind of ['handle', 'rib', 'curve'] as const)
    expect(judged(kind)).toMatchObject({
      measure: 'handle',
      actualMm: 10,
      requiredMm: 6,
      ok: true,
    });
  expect(judged('rib', 11)).toMatchObject({ requiredMm: 11, ok: false });
  expect(judged('crack')).toMatchObject({ measure: 'crack', requiredMm: 18, ok: false });
  expect(judged('crack', 4)).toMatchObject({ requiredMm: 4, ok: true });
});

it('takes of two marked places the one with least to spare, not the nearest', () => {
  const place = (id: string, xMm: number, marginMm: number): KeepOff => ({
    id,
    kind: 'rib',
    shape: { kind: 'circle', xMm, yMm: 150, diameterMm: 20 },
    marginMm,
  });
  const judged = judgeEdges(
    scene({}, { keepOff: [place('near', 130, 1), place('far', 150, 40)] }),
    [],
  ).find(({ measure }) => measure === 'handle');
  expect(judged).toMatchObject({ actualMm: 30, requiredMm: 40, ok: false });
});

it('keeps clear of holes that are there as of those to drill', () => {
  const there: KeepOff = {
    id: 'k',
    kind: 'hole',
    shape: { kind: 'circle', xMm: 130, yMm: 150, diameterMm: 20 },
  };
  const other = { id: 'o', xMm: 100, yMm: 190, diameterMm: 10 };
  const between = (keepOff: KeepOff[], others: (typeof other)[]) =>
    judgeEdges(scene({}, { keepOff }), others).find(({ measure }) => measure === 'hole')?.actualMm;
  expect(between([there], [])).toBe(10);
  expect(between([], [other])).toBe(25);
  expect(between([there], [other])).toBe(10);
  expect(between([there], [{ ...other, yMm: 172 }])).toBe(7);
  expect(between([], [])).toBeUndefined();
});

it('binds by the school the workshop has chosen, its own rule beside it, and never lets corners go', () => {
  const near = { id: 'h', xMm: 30, yMm: 30, diameterMm: 20 };
  const built = scene({ hole: near }, { assembled: true });
  const counts = (house?: RuleScene['house']) =>
    judgeEdges({ ...built, house }, [])
      .filter((one) => one.counts)
      .map(({ rule }) => rule);
  expect(counts()).toEqual(
    expect.arrayContaining(['two-diameters-of-built-pane', 'forty-of-built-vessel']),
  );
  const chosen = counts({ school: 'two-thicknesses-of-glass', edge: { per: 'mm', value: 5 } });
  expect(chosen).toEqual(
    expect.arrayContaining(['two-thicknesses-of-glass', 'house-rule', 'six-thicknesses-to-corner']),
  );
  expect(chosen).not.toContain('forty-of-built-vessel');
  const judged = judgeEdges({ ...built, house: { school: 'two-thicknesses-of-glass' } }, []);
  expect(judged[0]?.counts).toBe(false);
  expect(judged.filter(({ binds }) => binds)).toHaveLength(1);
  expect(judged.find(({ binds }) => binds)?.counts).toBe(true);
  const spare = judged.map(({ actualMm, requiredMm }) => actualMm - requiredMm);
  expect(spare).toEqual([...spare].sort((a, b) => a - b));
  // What is put aside is shown, and breaks nothing.
  expect(brokenRule(judged)?.rule).toBe('six-thicknesses-to-corner');
});
