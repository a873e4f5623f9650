import { BODIES, DARK, LIGHT, type Palette } from './palette';

/** Relative luminance of an sRGB colour, 0 to 1 (WCAG 2.2). */
function luminance(hex: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => {
    const c = parseInt(hex.slice(at, at + 2), 16) / 255;
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

/** (L1 + 0.05) / (L2 + 0.05), the lighter over the darker. */
function contrast(a: string, b: string): number {
  const [darker = 0, lighter = 0] = [luminance(a), luminance(b)].sort((x, y) => x - y);
  return (lighter + 0.05) / (darker + 0.05);
}

/** WCAG 2.2: 1.4.3 for words, 1.4.11 for what a drawing is understood by. */
const WORDS = 4.5;
const STROKES = 3;

const INKS = ['ink', 'muted', 'water', 'rim', 'stop', 'caution', 'fine'] as const;
const themes: readonly (readonly [string, Palette, (typeof BODIES)['light' | 'dark']])[] = [
  ['light', LIGHT, BODIES.light],
  ['dark', DARK, BODIES.dark],
];

it('knows black on white', () => {
  expect(contrast('#000000', '#FFFFFF')).toBeCloseTo(21, 5);
});

describe.each(themes)('%s drawings', (_name, palette, bodies) => {
  it('have words that are read on every ground', () => {
    for (const ground of ['ground', 'surface', 'raised'] as const)
      for (const ink of INKS)
        expect([ink, ground, contrast(palette[ink], palette[ground]) >= WORDS]).toEqual([
          ink,
          ground,
          true,
        ]);
  });

  it('have outlines, rim and marks that stand out from every body and from water', () => {
    for (const body of Object.keys(bodies) as (keyof typeof bodies)[])
      if (!['barrel', 'part', 'gasket'].includes(body))
        expect(['ink', body, contrast(palette.ink, bodies[body]) >= STROKES]).toEqual([
          'ink',
          body,
          true,
        ]);
  });

  it('have a rim that stands out from what it cuts', () => {
    const cut = ['glass', 'ceramic', 'stone', 'masonry', 'bath', 'turbidity'] as const;
    expect(cut.map((body) => [body, contrast(palette.rim, bodies[body]) >= STROKES])).toEqual(
      cut.map((body) => [body, true]),
    );
  });
});
