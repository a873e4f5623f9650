import { isBuilding, isFlat } from '../data/pieceForms';
import { USUAL_GUIDE } from '../layout/aim';
import { SCHOOL_IDS, type SchoolId } from '../data/choices';
import type { Piece } from '../documents/piece';
import type { Setup } from '../documents/setup';
import type { House } from '../documents/house';

/** One way people hold to, and what of the setup it settles. */
export interface SchoolWay {
  readonly label: string;
  /** What speaks for it and against it. */
  readonly text: string;
  /** What of a setup it changes. */
  readonly change: Partial<Setup>;
  /** What it takes that not everybody has. */
  readonly needs?: string;
}

export interface School {
  readonly question: string;
  /** What the dispute is about, in a line. */
  readonly note: string;
  /** Fields of the setup it settles: a habit gives way to any of them that is set. */
  readonly settles: readonly (keyof Setup)[];
  readonly ways: Readonly<Record<string, SchoolWay>>;
  readonly arises: (piece: Pick<Piece, 'form' | 'assembled'>) => boolean;
}

const loose = (piece: Pick<Piece, 'form' | 'assembled'>): boolean =>
  !isBuilding(piece) && !piece.assembled;

/** Disputes of practice where both ways work: each is computed on the job at hand. */
export const SCHOOLS = {
  backing: {
    question: 'Soft or hard behind it?',
    note: 'Soft follows odd shapes and catches the plug; hard holds the exit, where it really touches.',
    settles: ['support'],
    arises: loose,
    ways: {
      soft: {
        label: 'Soft',
        text: 'Dense foam board: forgives a bent pane, lets the exit shell.',
        change: { support: { kind: 'dense-foam-board' } },
      },
      wood: {
        label: 'Wood',
        text: 'Softwood, a fresh place for each hole: between the two.',
        change: { support: { kind: 'softwood' } },
      },
      hard: {
        label: 'Hard',
        text: 'Sacrificial stone, glass or tile: best exit, but only flat on flat.',
        change: { support: { kind: 'sacrificial-hard' } },
        needs: 'An offcut as flat as the piece',
      },
    },
  },
  start: {
    question: 'Tilt it in, or straight through a guide?',
    note: 'Tilting needs no kit but can skate and scar; a guide must be made and the bit must fit it.',
    settles: ['start', 'hold', 'guide'],
    arises: () => true,
    ways: {
      tilt: {
        label: 'Tilt',
        text: 'Free hand: cut a crescent, stand it upright, lean round to even the groove.',
        change: { start: 'tilt', hold: 'freehand' },
      },
      guide: {
        label: 'Guide',
        text: 'Through a board: straight down, motor on before it touches.',
        change: { start: 'guide', hold: 'guided', guide: { kind: 'board', ...USUAL_GUIDE } },
        needs: 'A guide board with a hole that fits the bit',
      },
    },
  },
  hold: {
    question: 'By hand or in a press?',
    note: 'A press holds force and line; it must have room for the piece, and cannot go to it.',
    settles: ['hold', 'start', 'machine'],
    arises: (piece) => loose(piece),
    ways: {
      hand: {
        label: 'By hand',
        text: 'The hand feels the break-through.',
        change: { hold: 'guided' },
      },
      press: {
        label: 'Press',
        text: 'Steady force, square hole, gentler exit.',
        change: { hold: 'press', start: 'seat' },
        needs: 'A press with room for the piece and its bath',
      },
    },
  },
  sides: {
    question: 'One side or both?',
    note: 'From both sides nearly no exit chips, but the two must meet, and both must be reached.',
    settles: ['sides'],
    arises: () => true,
    ways: {
      one: { label: 'One side', text: 'Through from the show face.', change: { sides: 'one' } },
      two: {
        label: 'Both sides',
        text: 'Half-way, flip, finish from the far face: carry the centre across.',
        change: { sides: 'two' },
        needs: 'Access to the far face',
      },
    },
  },
  water: {
    question: 'Bath or drip?',
    note: 'A bath cools most but clouds; a drip shows the mark and cools less.',
    settles: ['water'],
    arises: (piece) => isFlat(piece) && !piece.assembled,
    ways: {
      bath: {
        label: 'Bath',
        text: 'Just over the face.',
        change: { water: { kind: 'still-bath' } },
      },
      pool: {
        label: 'Dam',
        text: 'A ring of putty holds it round the mark.',
        change: { water: { kind: 'pool' } },
      },
      drip: {
        label: 'Drip',
        text: 'A steady drip at the groove.',
        change: { water: { kind: 'drip' } },
      },
    },
  },
  'wall-water': {
    question: 'Water through the bit, or a squeeze now and then?',
    note: 'Running water cools and clears, and must be caught; a bottle keeps the room dry, at a price in heat and bit life.',
    settles: ['water'],
    arises: isBuilding,
    ways: {
      spindle: {
        label: 'Running',
        text: 'Through the spindle, caught by a ring and a vacuum.',
        change: { water: { kind: 'spindle' } },
        needs: 'A swivel or a wet core drill',
      },
      bottle: {
        label: 'Now and then',
        text: 'A squeeze bottle every few seconds.',
        change: { water: { kind: 'bottle' } },
      },
      dry: {
        label: 'Dry, with extraction',
        text: 'Only a bit made for it, dust drawn off at the barrel, and a respirator.',
        change: { water: { kind: 'none', extraction: true } },
        needs: 'Extraction and a respirator',
      },
    },
  },
  pace: {
    question: 'Slow or fast?',
    note: 'As fast as it goes, or well below: what counts is rim speed and pressure, not the dial.',
    settles: ['pace'],
    arises: () => true,
    ways: {
      gentle: {
        label: 'Gentle',
        text: 'Least force that cuts, slow rim.',
        change: { pace: 'gentle' },
      },
      steady: { label: 'Steady', text: 'The middle of the window.', change: { pace: 'steady' } },
      brisk: {
        label: 'Brisk',
        text: 'Towards the window’s far corner.',
        change: { pace: 'brisk' },
      },
    },
  },
} as const satisfies Record<SchoolId, School>;

/** The setup with one way taken: what its question settles is cleared first. */
export function takeWay(setup: Setup, id: SchoolId, wayId: string): Setup {
  const school: School = SCHOOLS[id];
  const way = school.ways[wayId];
  if (!way)
    throw new Error(
      `“${wayId}” is not a way of “${id}”; ${Object.keys(school.ways).join(', ')} are.`,
    );
  const kept = Object.fromEntries(
    Object.entries(setup).filter(([field]) => !school.settles.includes(field as keyof Setup)),
  ) as Setup;
  return { ...kept, ...way.change };
}

/**
 * What the house's habits settle where the person has not: a habit stands back from any field that
 * is set, and from pieces its question does not arise on.
 */
export function houseWays(
  house: House,
  given: Setup,
  piece: Pick<Piece, 'form' | 'assembled'>,
): Partial<Setup> {
  let ways: Partial<Setup> = {};
  for (const id of SCHOOL_IDS) {
    const school: School = SCHOOLS[id];
    const way = school.ways[house.habits?.[id] ?? ''];
    if (!way || !school.arises(piece)) continue;
    const settled = school.settles.some(
      (field) => given[field] !== undefined || ways[field] !== undefined,
    );
    if (!settled) ways = { ...ways, ...way.change };
  }
  return ways;
}
