import { METRIC } from '../../data/unitSystem';
import { conclude } from '../../advice/identify/conclude';
import { conclusionText } from './conclusionText';
import { identify } from '../../advice/identify/identify';
import { knownLines } from './knownLines';
import { becauseLines, sharesInWords, tellsApart } from './identifyWords';

it.each([
  [0.62, '62 in 100'],
  [0.004, 'under 1 in 100'],
  [0.998, 'over 99 in 100'],
])('says %d as %s', (share, text) => {
  expect(sharesInWords(share)).toBe(text);
});

it('says what speaks for the first and what would tell it from the rest', () => {
  const found = identify('stone', { scratch: 'copper', acid: 'fizzes' });
  expect(becauseLines(found)).toContain(
    'For it: A drop of vinegar or lime remover: does it fizz? It fizzes at once.',
  );
  expect(tellsApart(found)[0]?.question).toBe('look');
});

it('says what a conclusion means', () => {
  const pane = { form: 'sheet', checks: [] } as const;
  const text = (answers: Record<string, string>): string =>
    conclusionText(conclude('glass', answers, pane, 'not-sure', ''), 'Annealed pane');
  expect(text({ control: 'shows', pattern: 'clear', thing: 'picture-or-window' })).toMatch(
    /^It may be drilled/,
  );
  expect(text({ label: 'says-tempered', edge: 'worked-edge' })).toMatch(/^It must not be drilled/);
  expect(text({ edge: 'film-line', maker: 'says-laminated' })).toMatch(/^Laminated/);
  expect(text({})).toMatch(/^Nothing vouches for it yet/);
});

it('lists what is known, and leaves out what was never asked', () => {
  const lines = knownLines(
    {
      id: 'p',
      name: 'Pier',
      form: 'wall',
      material: 'clay-brick',
      thicknessMm: 202,
      outline: { kind: 'rectangle', widthMm: 400, heightMm: 1600 },
      layers: [
        { material: 'clay-brick', thicknessMm: 102 },
        { material: 'cavity', thicknessMm: 100 },
      ],
      damage: 'none',
      yearMade: 1998,
    },
    [],
    METRIC,
  );
  expect(Object.fromEntries(lines.map(({ name, value }) => [name, value]))).toEqual({
    'From the outside in': 'Clay brick 102 mm, cavity 100 mm',
    Form: 'wall',
    Thickness: '202 mm',
    Damage: 'none found',
    Year: '1998',
  });
});
