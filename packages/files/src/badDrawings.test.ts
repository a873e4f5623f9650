import type { DrawnFile } from './drawnFile';
import { pieceFromDrawing } from './pieceFromDrawing';
import { readDrawing } from './readDrawing';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const refusal = (text: string, name: string): string => {
  const read = readDrawing(bytes(text), name);
  return read.kind === 'refused' ? read.message : 'was read';
};
const drawn = (text: string, name: string): DrawnFile => {
  const read = readDrawing(bytes(text), name);
  if (read.kind !== 'read') throw new Error(read.message);
  return read.drawn;
};
/** DXF pairs, one `code value` a line, inside an entities section. */
const dxf = (...pairs: string[]): string =>
  ['0 SECTION', '2 ENTITIES', ...pairs, '0 ENDSEC', '0 EOF']
    .flatMap((pair) => [pair.slice(0, pair.indexOf(' ')), pair.slice(pair.indexOf(' ') + 1)])
    .join('\n') + '\n';
const line = (x0: number, y0: number, x1: number, y1: number, z = 0): string[] => [
  '0 LINE',
  '8 EDGE',
  `10 ${x0}`,
  `20 ${y0}`,
  `30 ${z}`,
  `11 ${x1}`,
  `21 ${y1}`,
  `31 ${z}`,
];
const circle = (x: number, y: number, r: number, layer = 'EDGE'): string[] => [
  '0 CIRCLE',
  `8 ${layer}`,
  `10 ${x}`,
  `20 ${y}`,
  '30 0',
  `40 ${r}`,
];
const BOX = [
  ...line(0, 0, 100, 0),
  ...line(100, 60, 100, 0),
  ...line(100, 60, 0, 60),
  ...line(0, 60, 0, 0),
];

it('joins loose lines whichever way they run, and asks for the unit', () => {
  const file = drawn(dxf(...BOX, ...circle(50, 30, 5, 'BORES')), 'a.dxf');
  expect(file.mmPerUnit).toBeNull();
  expect(file.layers).toEqual(['BORES', 'EDGE']);
  const inch = pieceFromDrawing(file, { mmPerUnit: 25.4 });
  expect(inch).toMatchObject({
    kind: 'piece',
    outline: { kind: 'rectangle', widthMm: 2540, heightMm: 1524 },
    holes: [{ xMm: 1270, yMm: 762, diameterMm: 254 }],
  });
  const edgeOnly = pieceFromDrawing(file, { mmPerUnit: 1, layers: ['EDGE'] });
  expect(edgeOnly).toMatchObject({
    holes: [],
    left: [{ what: 'shapes on layer BORES, not chosen', count: 1 }],
  });
});

it('lists what it left of a drawing: splines, 3D, unknown entities, words, open lines', () => {
  const file = drawn(
    dxf(
      ...BOX,
      '0 SPLINE',
      '8 EDGE',
      '70 8',
      '71 3',
      '10 0',
      '20 0',
      '30 0',
      ...line(0, 0, 5, 5, 7),
      '0 WIDGET',
      '8 EDGE',
      '10 1',
      '0 WIDGET',
      '8 EDGE',
      '10 2',
      '0 TEXT',
      '8 EDGE',
      '10 1',
      '20 1',
      '40 2',
      '1 hello',
      ...line(20, 20, 30, 20),
    ),
    'a.dxf',
  );
  expect(Object.fromEntries(file.left.map(({ what, count }) => [what, count]))).toEqual({
    'splines (save curves as arcs or polylines)': 1,
    '3D lines': 1,
    'WIDGET entities': 2,
    words: 1,
    'open lines on layer EDGE': 1,
  });
});

it('leaves circles that reach outside, overlap or were drawn twice', () => {
  const file = drawn(
    dxf(
      ...BOX,
      ...circle(50, 30, 5),
      ...circle(50, 30, 5),
      ...circle(54, 30, 5),
      ...circle(98, 30, 5),
      ...circle(50, 30, 8),
    ),
    'a.dxf',
  );
  const made = pieceFromDrawing(file, { mmPerUnit: 1 });
  if (made.kind !== 'piece') throw new Error(made.message);
  // The larger of two with one middle is a step of the same hole.
  expect(made.holes.map(({ diameterMm }) => diameterMm)).toEqual([16, 10]);
  expect(made.left).toEqual(
    expect.arrayContaining([
      { what: 'circles drawn twice', count: 1 },
      { what: 'circles that overlap another hole', count: 1 },
      { what: 'circles that reach outside the outline', count: 1 },
    ]),
  );
});

it('refuses with a sentence what is no drawing', () => {
  expect(refusal('', 'a.dxf')).toContain('empty');
  expect(refusal('AutoCAD Binary DXF\r\n\x1a\0', 'a.dxf')).toContain('binary DXF');
  expect(refusal('PK\0\0\0', 'a.dxf')).toContain('binary file');
  expect(refusal('hello', 'a.dxf')).toContain('not a DXF');
  expect(refusal(dxf(...BOX).slice(0, -12), 'a.dxf')).toContain('cut short');
  expect(refusal('<svg><g></svg>', 'a.svg')).toMatch(/cannot be read/);
  expect(refusal('hello', 'a.svg')).toContain('not an SVG');
  const large = readDrawing(new Uint8Array(50 * 1024 * 1024).fill(65), 'big.dxf');
  expect(large).toMatchObject({
    kind: 'refused',
    message: expect.stringContaining('50 MB') as string,
  });
});

it('runs and expands nothing of an SVG', () => {
  const bomb = `<!DOCTYPE svg [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;&a;">]><svg><text>&b;</text></svg>`;
  expect(refusal(bomb, 'a.svg')).toContain('declares entities');
  const deep = `<svg>${'<g>'.repeat(500)}${'</g>'.repeat(500)}</svg>`;
  expect(refusal(deep, 'a.svg')).toMatch(/cannot be read/);
  const file = drawn(
    '<svg width="10in" height="5in" viewBox="0 0 100 50"><script>alert(1)</script><image href="http://x"/>' +
      '<g id="cut" transform="translate(10 5) scale(2)"><rect width="30" height="20"/><circle cx="15" cy="10" r="4"/></g></svg>',
    'a.svg',
  );
  expect(file.mmPerUnit).toBeCloseTo(2.54);
  expect(file.layers).toEqual(['cut']);
  expect(file.left.map(({ what }) => what)).toEqual(['scripts, which are not run', 'pictures']);
  const made = pieceFromDrawing(file, { mmPerUnit: 1 });
  expect(made).toMatchObject({
    outline: { kind: 'rectangle', widthMm: 60, heightMm: 40 },
    holes: [{ xMm: 30, yMm: 20, diameterMm: 16 }],
  });
});

it('takes curves that are round as circles, and a rounded plate with its arcs', () => {
  const k = 0.5523;
  const round = `M 60 40 C 60 ${40 - 10 * k} ${50 + 10 * k} 30 50 30 S 40 ${40 - 10 * k} 40 40 S ${50 - 10 * k} 50 50 50 S 60 ${40 + 10 * k} 60 40 Z`;
  const file = drawn(
    `<svg width="120mm" viewBox="0 0 120 80"><rect x="0" y="0" width="120" height="80" rx="10"/><path d="${round}"/></svg>`,
    'a.svg',
  );
  const made = pieceFromDrawing(file, { mmPerUnit: 1 });
  if (made.kind !== 'piece' || made.outline.kind !== 'polygon') throw new Error('no polygon');
  expect(made.outline.bulges?.filter((bulge) => bulge > 0.41)).toHaveLength(4);
  expect(made.holes[0]?.xMm).toBeCloseTo(50, 1);
  expect(made.holes[0]?.diameterMm).toBeCloseTo(20, 1);
});

it('says what is wrong with an outline that cannot be', () => {
  const none = (text: string, mmPerUnit = 1): string => {
    const made = pieceFromDrawing(drawn(text, 'a.svg'), { mmPerUnit });
    return made.kind === 'none' ? made.message : 'was made';
  };
  expect(none('<svg><polygon points="0,0 100,100 100,0 0,90"/></svg>')).toContain('crosses itself');
  expect(none('<svg><line x1="0" y1="0" x2="5" y2="5"/></svg>')).toContain('No closed outline');
  expect(none('<svg><rect width="500" height="500"/></svg>', 1000)).toContain('Is the unit right?');
});

describe('a DXF that would never end, or fill the memory', () => {
  const bare = (...pairs: string[]): string =>
    pairs
      .flatMap((pair) => [pair.slice(0, pair.indexOf(' ')), pair.slice(pair.indexOf(' ') + 1)])
      .join('\n') + '\n';
  const light = (claimed: number): string =>
    dxf('0 LWPOLYLINE', '8 E', `90 ${claimed}`, '70 1', '10 0', '20 0', '10 1', '20 1');

  it.each<[string, string, RegExp]>([
    [
      'polyline never closed',
      dxf('0 POLYLINE', '8 E', '66 1', '0 VERTEX', '8 E', '10 0', '20 0'),
      /a polyline is never closed \(SEQEND is missing\)/,
    ],
    [
      'unfinished table',
      bare('0 SECTION', '2 TABLES', '0 TABLE', '2 LAYER', '0 LAYER', '0 ENDSEC', '0 EOF'),
      /a table is never closed \(ENDTAB is missing\)/,
    ],
    [
      'table in a table',
      bare('0 SECTION', '2 TABLES', '0 TABLE', '2 LAYER', '0 TABLE', '2 STYLE', '0 EOF'),
      /a table is never closed/,
    ],
    [
      'unfinished block',
      bare('0 SECTION', '2 BLOCKS', '0 BLOCK', '2 B', '0 ENDSEC', '0 EOF'),
      /a block is never closed/,
    ],
    ['claim of 999,999,999 points', light(999_999_999), /has 999999999 points and has 2\./],
  ])('%s is refused with a word', (_, text, words) => {
    expect(refusal(text, 'a.dxf')).toMatch(words);
  });

  it('leaves what has no place or size, and reads the rest', () => {
    const file = drawn(
      dxf(
        ...BOX,
        '0 CIRCLE',
        '8 E',
        '40 5',
        '0 CIRCLE',
        '8 E',
        '10 x',
        '20 y',
        '40 z',
        '0 ARC',
        '8 E',
        '0 LWPOLYLINE',
        '8 E',
        '70 1',
      ),
      'a.dxf',
    );
    expect(file.loops).toHaveLength(1);
    expect(Object.fromEntries(file.left.map(({ what, count }) => [what, count]))).toEqual({
      'circles and arcs without a centre': 2,
      'shapes without a place or size': 1,
      'polylines without points': 1,
    });
  });

  it('takes an outline of ten thousand points well within its time', () => {
    const points = Array.from({ length: 10_000 }, (_, i) => {
      const turn = (2 * Math.PI * i) / 10_000;
      return [`10 ${900 * Math.cos(turn)}`, `20 ${900 * Math.sin(turn)}`];
    });
    const text = dxf('0 LWPOLYLINE', '8 E', '90 10000', '70 1', ...points.flat());
    const began = performance.now();
    expect(pieceFromDrawing(drawn(text, 'a.dxf'), { mmPerUnit: 1 }).kind).toBe('piece');
    expect(performance.now() - began).toBeLessThan(2000);
  });
});
