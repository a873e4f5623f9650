import { MATERIALS, type MaterialId } from '../../data/materials/materials';
import { defineIdentifier } from './evidence';

const PRACTICE =
  'Starting table from potters’ and tilers’ common knowledge; corrected as you tell what it was.';

const WARES = [
  'glazed-earthenware',
  'terracotta',
  'stoneware',
  'porcelain-vessel',
  'porcelain-tile',
  'glazed-wall-tile',
] as const satisfies readonly MaterialId[];
type Ware = (typeof WARES)[number];

const PRIOR: Record<Ware, number> = {
  'glazed-earthenware': 18,
  terracotta: 16,
  stoneware: 20,
  'porcelain-vessel': 12,
  'porcelain-tile': 18,
  'glazed-wall-tile': 16,
};

/** Which ceramic body. */
// One answer a line: the table is read across.
// prettier-ignore
export const ceramic = defineIdentifier<Ware>({
  title: 'Which ceramic',
  candidates: Object.fromEntries(
    WARES.map((id) => [id, { name: MATERIALS[id].name, material: id, prior: PRIOR[id] }]),
  ) as Record<Ware, { name: string; material: Ware; prior: number }>,
  questions: {
    thing: {
      ask: 'What is it?',
      how: 'Its use narrows the body at once.',
      source: PRACTICE,
      answers: {
        'plant-pot': { label: 'Plant pot', given: { terracotta: 75, 'glazed-earthenware': 25, stoneware: 25 }, otherwise: 0.5 },
        tableware: { label: 'Cup, plate, bowl, jug', given: { 'porcelain-vessel': 90, stoneware: 60, 'glazed-earthenware': 60, terracotta: 5 }, otherwise: 0.5 },
        lantern: { label: 'Lantern, lamp, big jar', given: { stoneware: 15, terracotta: 15, 'glazed-earthenware': 12, 'porcelain-vessel': 6 }, otherwise: 0.5 },
        'wall-tile': { label: 'Wall tile', given: { 'glazed-wall-tile': 88, 'porcelain-tile': 30 }, otherwise: 0.5 },
        'floor-tile': { label: 'Floor tile or slab', given: { 'porcelain-tile': 68, 'glazed-wall-tile': 8, terracotta: 5, stoneware: 3 }, otherwise: 0.5 },
        other: { label: 'Something else', given: {}, otherwise: 4 },
      },
    },
    body: {
      ask: 'What colour is the bare body?',
      how: 'Look at the unglazed foot ring, the back of the tile, or an old chip.',
      source: PRACTICE,
      answers: {
        red: { label: 'Red or orange', given: { terracotta: 85, 'glazed-earthenware': 40, 'glazed-wall-tile': 30, stoneware: 5 }, otherwise: 1 },
        cream: { label: 'Cream or yellowish, chalky', given: { 'glazed-earthenware': 40, 'glazed-wall-tile': 45, terracotta: 8, stoneware: 15 }, otherwise: 3 },
        'grey-brown': { label: 'Grey or brown, dense', given: { stoneware: 65, 'porcelain-tile': 35, terracotta: 3 }, otherwise: 3 },
        white: { label: 'White, close', given: { 'porcelain-vessel': 95, 'porcelain-tile': 35, 'glazed-earthenware': 15, 'glazed-wall-tile': 22, stoneware: 10 }, otherwise: 1 },
        through: { label: 'The same colour right through', given: { 'porcelain-tile': 28, stoneware: 5, terracotta: 4 }, otherwise: 0.5 },
      },
    },
    water: {
      ask: 'A drop of water on the bare body: what becomes of it?',
      how: 'Dry the foot or the back first; one drop, watch it for a minute.',
      source: 'Absorption of fired bodies: porcelain under half a percent, earthenware over ten.',
      answers: {
        gone: { label: 'Soaked up in seconds', given: { terracotta: 85, 'glazed-earthenware': 75, 'glazed-wall-tile': 80, stoneware: 4 }, otherwise: 1 },
        slowly: { label: 'Dark spot, slowly', given: { terracotta: 13, 'glazed-earthenware': 22, 'glazed-wall-tile': 18, stoneware: 38 }, otherwise: 5 },
        stays: { label: 'Stays a drop, wipes off', given: { terracotta: 2, 'glazed-earthenware': 3, 'glazed-wall-tile': 2, stoneware: 58 }, otherwise: 94 },
      },
    },
    ring: {
      ask: 'Hold it loosely and flick it: how does it sound?',
      how: 'On a fingertip or a string, dry, away from the table.',
      source: PRACTICE,
      answers: {
        dull: { label: 'Dull, a knock', given: { terracotta: 45, 'glazed-earthenware': 50, 'glazed-wall-tile': 60, stoneware: 12 }, otherwise: 8 },
        clear: { label: 'Clear, short', given: { terracotta: 48, stoneware: 63, 'porcelain-tile': 57, 'glazed-earthenware': 40, 'glazed-wall-tile': 33 }, otherwise: 27 },
        bell: { label: 'Like a bell', given: { 'porcelain-vessel': 65, 'porcelain-tile': 35, stoneware: 25 }, otherwise: 6 },
        buzz: { label: 'A buzz or rattle: it is cracked', given: {}, otherwise: 3 },
      },
    },
    light: {
      ask: 'A lamp behind the thinnest place: does light come through?',
      how: 'In a dark corner, a bright torch close behind.',
      source: 'Porcelain fires to glass; other bodies stay opaque.',
      answers: {
        glows: { label: 'It glows', given: { 'porcelain-vessel': 75, 'porcelain-tile': 4 }, otherwise: 1 },
        none: { label: 'No light', given: { 'porcelain-vessel': 25 }, otherwise: 97 },
      },
    },
    glaze: {
      ask: 'How is it glazed?',
      how: 'Look across it against a window.',
      source: PRACTICE,
      answers: {
        none: { label: 'Not at all', given: { terracotta: 85, 'porcelain-tile': 40, stoneware: 12 }, otherwise: 2 },
        'one-face': { label: 'One face only', given: { 'glazed-wall-tile': 95, 'porcelain-tile': 55, terracotta: 8 }, otherwise: 5 },
        'all-over': { label: 'All over but the foot', given: { 'porcelain-vessel': 92, 'glazed-earthenware': 88, stoneware: 75, terracotta: 5 }, otherwise: 2 },
        crazed: { label: 'With fine craze lines', given: { 'glazed-earthenware': 20, 'glazed-wall-tile': 15, stoneware: 6 }, otherwise: 1 },
      },
    },
  },
  staysUnknown:
    'Bodies shade into each other, and a hard glaze can sit on a soft body. A millimetre on the foot tells more than any look.',
});
