import { markNoteText } from '../words/layout/markNoteText';
import { METRIC } from '../data/unitSystem';
import { markSheet, type MarkSheetInput } from './markSheet';

const at = '2026-05-02T09:00:00Z';
const given: MarkSheetInput = {
  piece: {
    id: 'p',
    name: 'Pane',
    form: 'sheet',
    material: 'float-glass',
    thicknessMm: 6,
    outline: { kind: 'rectangle', widthMm: 400, heightMm: 300 },
  },
  holes: [
    { id: 'b', label: 'Upper', xMm: 90, yMm: 200, diameterMm: 22, depth: { kind: 'through' } },
    {
      id: 'a',
      xMm: 90,
      yMm: 120,
      diameterMm: 60,
      depth: { kind: 'through' },
      mark: { measured: { firstMm: 93, secondMm: 120, checkMm: 151.8, at } },
    },
  ],
  custom: [],
  bits: [],
};

it('goes through the holes from the datum up, each with its own mark and tapes', () => {
  const { rows, notes } = markSheet(given);
  expect(rows.map(({ name, usual }) => [name, usual])).toEqual([
    ['Hole 1', 'ticks'],
    ['Upper', 'circle'],
  ]);
  expect(rows[0]?.check).toMatchObject({ verdict: 'off', errorMm: 3 });
  expect(rows[1]?.check).toBeNull();
  expect(notes.map((note) => markNoteText(note, METRIC)).join(' ')).toContain('degrease');
});

it('says when a mark has come too near an edge that the plan keeps clear of', () => {
  const near = {
    ...given,
    holes: [
      {
        id: 'a',
        xMm: 200,
        yMm: 24,
        diameterMm: 22,
        depth: { kind: 'through' as const },
        mark: { measured: { firstMm: 200, secondMm: 22, at } },
      },
    ],
  };
  expect(markSheet(near).rows[0]?.check).toMatchObject({ verdict: 'too-near' });
});

it('keeps the mark a person has chosen', () => {
  const [hole] = given.holes;
  if (!hole) throw new Error('no hole');
  const { rows } = markSheet({ ...given, holes: [{ ...hole, mark: { kind: 'dot' } }] });
  expect(rows[0]).toMatchObject({ usual: 'circle', kind: 'dot' });
});
