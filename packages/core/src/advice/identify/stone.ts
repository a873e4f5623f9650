import { MATERIALS, type MaterialId } from '../../data/materials/materials';
import { defineIdentifier, type Answer } from './evidence';
import { LADDER, scratchLikelihood, type Rung } from './scratchLadder';

const PRACTICE =
  'Starting table from field guides’ common knowledge; corrected as you tell what it was.';

const STONES = [
  'marble',
  'limestone',
  'slate',
  'sandstone',
  'granite',
  'basalt',
  'quartzite-agate',
  'jade',
  'shell',
  'engineered-quartz',
  'terrazzo',
] as const satisfies readonly MaterialId[];
type Stone = (typeof STONES)[number];

const PRIOR: Record<Stone, number> = {
  marble: 14,
  limestone: 14,
  slate: 10,
  sandstone: 10,
  granite: 15,
  basalt: 9,
  'quartzite-agate': 14,
  jade: 3,
  shell: 4,
  'engineered-quartz': 5,
  terrazzo: 3,
};

/** The ladder's answers, each stone's share worked out from its hardness. */
const rung = (id: Rung | 'nothing', label: string): Answer<Stone> => ({
  label,
  given: Object.fromEntries(
    STONES.map((stone) => [stone, scratchLikelihood(MATERIALS[stone], id)]),
  ),
  otherwise: 0,
});

/** Which stone. */
// One answer a line: the table is read across.
// prettier-ignore
export const stone = defineIdentifier<Stone>({
  title: 'Which stone',
  candidates: Object.fromEntries(
    STONES.map((id) => [id, { name: MATERIALS[id].name, material: id, prior: PRIOR[id] }]),
  ) as Record<Stone, { name: string; material: Stone; prior: number }>,
  questions: {
    scratch: {
      ask: 'What is the softest thing that scratches it?',
      how: 'A fresh, flat, hidden place. Press and draw once, then wet a finger and rub: a scratch stays, a mark of the tool wipes off.',
      steps: [
        'Start with the fingernail and go up: copper, steel nail, hardened file, quartz pebble.',
        'Wipe after each. A line of metal rubbed off is not a scratch.',
        'Stop at the first that leaves a groove you can feel.',
      ],
      source: 'Mohs’ scale; hardness of each stone with its spread, test error about half a step.',
      answers: {
        ...Object.fromEntries(
          (Object.keys(LADDER) as Rung[]).map((id) => [id, rung(id, LADDER[id].label)]),
        ),
        nothing: rung('nothing', 'Nothing of these'),
      },
    },
    acid: {
      ask: 'A drop of vinegar or lime remover: does it fizz?',
      how: 'On a hidden place; look from the side with a lens for a minute, then rinse well.',
      source: 'Carbonates give off gas in weak acid; vinegar is slow on marble and dolomite.',
      answers: {
        fizzes: { label: 'It fizzes at once', given: { limestone: 75, marble: 55, shell: 65, terrazzo: 50 }, otherwise: 1 },
        'fizzes-scratched': { label: 'Only on scratched powder', given: { marble: 35, limestone: 18, shell: 25, terrazzo: 25, slate: 4, sandstone: 8 }, otherwise: 1 },
        none: { label: 'Nothing', given: { marble: 10, limestone: 7, shell: 10, terrazzo: 25, sandstone: 91 }, otherwise: 97 },
      },
    },
    look: {
      ask: 'What does it look like, wet?',
      how: 'Wet it and look at a broken face if there is one, in daylight.',
      source: PRACTICE,
      answers: {
        'thin-layers': { label: 'Splits in thin flat layers', given: { slate: 85, sandstone: 6, shell: 8, 'quartzite-agate': 3 }, otherwise: 0.5 },
        'sand-grains': { label: 'Grains like sand, rough', given: { sandstone: 75, 'quartzite-agate': 8, limestone: 10 }, otherwise: 1 },
        speckled: { label: 'Speckles of two or three colours, locked together', given: { granite: 88, 'engineered-quartz': 25, terrazzo: 8 }, otherwise: 1 },
        'even-dark': { label: 'Even, dark, heavy', given: { basalt: 80, slate: 10, jade: 5, marble: 4 }, otherwise: 2 },
        'sugar-veins': { label: 'Sugar-like sparkle, veins', given: { marble: 75, limestone: 6, 'quartzite-agate': 8, 'engineered-quartz': 15 }, otherwise: 1 },
        'fossils-holes': { label: 'Fossils, holes, chalky', given: { limestone: 65, shell: 2, basalt: 6 }, otherwise: 0.5 },
        'glassy-banded': { label: 'Glassy, banded or see-through at the edge', given: { 'quartzite-agate': 72, jade: 15, shell: 4, marble: 4 }, otherwise: 0.5 },
        'greasy-tough': { label: 'Greasy gleam, no grain, rings and does not chip', given: { jade: 75, 'quartzite-agate': 5 }, otherwise: 0.5 },
        pearly: { label: 'Pearly, grows in layers', given: { shell: 85 }, otherwise: 0.3 },
        'chips-in-paste': { label: 'Pieces set in a paste', given: { terrazzo: 85, 'engineered-quartz': 45, limestone: 3 }, otherwise: 0.5 },
      },
    },
    water: {
      ask: 'A drop of water on a dry face: what becomes of it?',
      how: 'An unpolished, unsealed place.',
      source: 'Pore volume of each kind of stone.',
      answers: {
        soaks: { label: 'Gone within a minute', given: { sandstone: 70, limestone: 45, terrazzo: 15, slate: 3 }, otherwise: 2 },
        slowly: { label: 'A dark spot after minutes', given: { sandstone: 25, limestone: 35, marble: 30, terrazzo: 40, basalt: 15, granite: 12 }, otherwise: 8 },
        stays: { label: 'It stays a drop', given: { sandstone: 5, limestone: 20, terrazzo: 45, marble: 65 }, otherwise: 90 },
      },
    },
    origin: {
      ask: 'Where is it from?',
      how: 'What it was before it came to your bench.',
      source: PRACTICE,
      answers: {
        pebble: { label: 'A pebble from beach or river', given: { 'quartzite-agate': 45, basalt: 30, granite: 18, sandstone: 15, limestone: 15, slate: 12, jade: 25, marble: 8 }, otherwise: 0.5 },
        top: { label: 'A worktop, sill or basin', given: { granite: 50, marble: 40, 'engineered-quartz': 92, limestone: 25, slate: 15, terrazzo: 35, 'quartzite-agate': 6 }, otherwise: 1 },
        building: { label: 'A wall, step, floor, roof', given: { sandstone: 65, limestone: 50, slate: 65, granite: 25, basalt: 35, terrazzo: 60, marble: 20 }, otherwise: 1 },
        gem: { label: 'A bead blank, cabochon, rough gem', given: { jade: 65, 'quartzite-agate': 40, shell: 50, marble: 3 }, otherwise: 1 },
        other: { label: 'Something else', given: {}, otherwise: 8 },
      },
    },
  },
  staysUnknown:
    'Stones of one name differ from quarry to quarry, and dealers’ names say little. Time a millimetre on a hidden place: the plan follows.',
});
