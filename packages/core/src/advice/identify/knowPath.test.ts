import type { Piece } from '../../documents/piece';
import { isBehind, knowPath, resumeAt } from './knowPath';
import { markOf } from './knowMarks';

const piece = (more: Partial<Piece> = {}): Piece => ({
  id: 'p',
  name: 'P',
  form: 'sheet',
  material: 'float-glass',
  thicknessMm: 6,
  outline: { kind: 'rectangle', widthMm: 300, heightMm: 200 },
  ...more,
});
const help = (kind: string, answers: Record<string, string> = {}): Partial<Piece> => ({
  knowing: { kind, answers: { [markOf('kind')]: kind, [markOf('which')]: 'help', ...answers } },
});

it('is short for one who knows, longer for one who asks for help', () => {
  const path = knowPath(piece(), 'glass');
  expect(path).toEqual([
    'kind',
    'which',
    'treatment',
    'form',
    'thickness',
    'loose',
    'damage',
    'worth',
    'done',
  ]);
  expect(resumeAt(path, piece())).toBe('kind');
  const asked = piece(help('glass'));
  expect(knowPath(asked, 'glass').slice(0, 4)).toEqual(['kind', 'which', 'q:thing', 'found']);
  expect(resumeAt(knowPath(asked, 'glass'), asked)).toBe('q:thing');
});

it('comes to the polariser, its control first, and stops asking once that vouches', () => {
  const known = {
    thing: 'picture-or-window',
    label: 'none',
    maker: 'not-known',
    edge: 'not-telling',
  };
  const before = piece(help('glass', known));
  expect(resumeAt(knowPath(before, 'glass'), before)).toBe('q:control');
  const shown = piece(help('glass', { ...known, control: 'shows' }));
  expect(resumeAt(knowPath(shown, 'glass'), shown)).toBe('q:pattern');
  const clear = piece(help('glass', { ...known, control: 'shows', pattern: 'clear' }));
  expect(resumeAt(knowPath(clear, 'glass'), clear)).toBe('found');
});

it('asks for proof to the end, however likely a plain pane is', () => {
  const likely = { thing: 'picture-or-window', label: 'none', edge: 'cut-edge' };
  const path = (answers: Record<string, string>) => {
    const asked = piece(help('glass', answers));
    return resumeAt(knowPath(asked, 'glass'), asked);
  };
  expect(path(likely)).toBe('q:maker');
  expect(path({ ...likely, maker: 'skipped' })).toBe('q:control');
  expect(path({ ...likely, maker: 'skipped', control: 'no-filters' })).toBe('found');
});

it('takes a skip for an answer and never asks it again', () => {
  const skipped = piece(help('stone', { scratch: 'skipped' }));
  expect(isBehind('q:scratch', skipped)).toBe(true);
  expect(resumeAt(knowPath(skipped, 'stone'), skipped)).not.toBe('q:scratch');
});

it('builds a wall up in leaves and asks for its age', () => {
  const wall = piece({ form: 'wall', material: 'clay-brick' });
  expect(knowPath(wall, 'masonry')).toEqual([
    'kind',
    'form',
    'layers',
    'thickness',
    'damage',
    'age',
    'worth',
    'done',
  ]);
  const leaves = {
    ...wall,
    layers: [
      { material: 'clay-brick', thicknessMm: 102 },
      { material: 'cavity', thicknessMm: 50 },
      { material: 'lightweight-block', thicknessMm: 100 },
    ],
  };
  expect(knowPath(leaves, 'masonry')).not.toContain('thickness');
});
