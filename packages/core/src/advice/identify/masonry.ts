import { MATERIALS, type MaterialId } from '../../data/materials/materials';
import { defineIdentifier } from './evidence';

const PRACTICE =
  'Starting table from builders’ common knowledge; corrected as you tell what it was.';

const LEAVES = [
  'concrete',
  'clay-brick',
  'engineering-brick',
  'lightweight-block',
  'mortar',
  'sandstone',
  'limestone',
  'granite',
] as const satisfies readonly MaterialId[];
type Leaf = (typeof LEAVES)[number];

const PRIOR: Record<Leaf, number> = {
  concrete: 22,
  'clay-brick': 34,
  'engineering-brick': 6,
  'lightweight-block': 16,
  mortar: 8,
  sandstone: 5,
  limestone: 5,
  granite: 3,
};

/** What one leaf of a wall or floor is; asked once a leaf, from the outside in. */
// One answer a line: the table is read across.
// prettier-ignore
export const masonry = defineIdentifier<Leaf>({
  title: 'Which masonry',
  candidates: Object.fromEntries(
    LEAVES.map((id) => [id, { name: MATERIALS[id].name, material: id, prior: PRIOR[id] }]),
  ) as Record<Leaf, { name: string; material: Leaf; prior: number }>,
  questions: {
    dust: {
      ask: 'A small test hole: what colour is the dust?',
      how: 'Five millimetres with an ordinary masonry bit, after the scan, where the hole will be anyway. Catch the dust on paper.',
      source: PRACTICE,
      answers: {
        red: { label: 'Red or orange', given: { 'clay-brick': 80, 'engineering-brick': 30, sandstone: 12 }, otherwise: 1 },
        'dark-red': { label: 'Dark red, blue or black', given: { 'engineering-brick': 62, 'clay-brick': 4 }, otherwise: 0.5 },
        yellow: { label: 'Yellow or buff', given: { 'clay-brick': 14, sandstone: 70, limestone: 35, mortar: 8 }, otherwise: 1 },
        grey: { label: 'Grey', given: { concrete: 80, 'lightweight-block': 45, mortar: 45, granite: 60 }, otherwise: 2 },
        white: { label: 'White or pale', given: { mortar: 45, limestone: 60, 'lightweight-block': 50, concrete: 12, granite: 20 }, otherwise: 2 },
      },
    },
    hard: {
      ask: 'How did that test hole go in?',
      how: 'Rotation only, a sharp bit, a firm push, ten seconds.',
      source: 'Cutting energy of each kind; see the material table.',
      answers: {
        sinks: { label: 'It sank in like into chalk', given: { 'lightweight-block': 85, mortar: 75, 'clay-brick': 10, limestone: 15 }, otherwise: 1 },
        steady: { label: 'Steadily', given: { 'clay-brick': 65, sandstone: 55, limestone: 55, mortar: 22, 'lightweight-block': 14, concrete: 8 }, otherwise: 4 },
        slow: { label: 'Slowly, it squealed', given: { concrete: 55, 'engineering-brick': 50, sandstone: 28, limestone: 25, 'clay-brick': 22 }, otherwise: 10 },
        hardly: { label: 'Hardly at all', given: { concrete: 36, 'engineering-brick': 45, granite: 90 }, otherwise: 2 },
      },
    },
    knock: {
      ask: 'Knock on it with a key or a small hammer: how does it sound?',
      how: 'Beside the mark and a hand away from it.',
      source: PRACTICE,
      answers: {
        hollow: { label: 'Hollow', given: { mortar: 35, 'lightweight-block': 25 }, otherwise: 5 },
        dull: { label: 'Dull', given: { 'lightweight-block': 60, mortar: 45, 'clay-brick': 40 }, otherwise: 15 },
        rings: { label: 'Rings, hard', given: { concrete: 80, 'engineering-brick': 80, granite: 85, 'clay-brick': 45 }, otherwise: 40 },
      },
    },
    seen: {
      ask: 'What can be seen where it is bare?',
      how: 'A loft, a meter cupboard, behind a socket plate, the outside.',
      source: PRACTICE,
      answers: {
        bricks: { label: 'Bricks with joints', given: { 'clay-brick': 90, 'engineering-brick': 92, mortar: 10 }, otherwise: 1 },
        blocks: { label: 'Big pale blocks', given: { 'lightweight-block': 88, concrete: 15, limestone: 10 }, otherwise: 1 },
        cast: { label: 'Cast, board marks, no joints', given: { concrete: 75 }, otherwise: 1 },
        stones: { label: 'Stones', given: { sandstone: 90, limestone: 90, granite: 92 }, otherwise: 1 },
        render: { label: 'Render or plaster only', given: { mortar: 70 }, otherwise: 6 },
        nothing: { label: 'Nothing bare', given: {}, otherwise: 8 },
      },
    },
  },
  staysUnknown:
    'A wall is often not what its face says: another leaf, a lintel or a patch may lie an inch further in. Watch the dust as you go.',
});
