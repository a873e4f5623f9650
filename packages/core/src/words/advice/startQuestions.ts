import {
  minFlangeMm,
  minThicknessMm,
  lengthsOf,
  makeOf,
  materialOf,
  NOT_SURE,
  OTHER,
  questionsOf,
  USUAL,
  widestHoleMm,
  workpieceOf,
  type Answers,
} from '../../advice/start/answers';
import { soldBy } from '../../advice/start/startPiece';
import { WALL_BUILD_IDS, type WallBuildId } from '../../advice/start/wallBuilds';
import {
  makeId,
  WORKPIECE_IDS,
  type Make,
  type Question,
  type SizeName,
  type SoldSize,
  type Workpiece,
  type WorkpieceId,
} from '../../advice/start/workpieces';
import { usualForm, usualSizes } from '../../advice/presumePiece';
import { findMaterial } from '../../data/materials/materials';
import { sizesSold } from '../../data/nominalSizes';
import { LIMITS } from '../../data/schema/limits';
import type { UnitSystem } from '../../data/unitSystem';
import { isPurposeKind, PURPOSES } from '../../layout/purposes/purposes';
import type { Chip } from '../screens/choiceChips';
import { formatLengthShort } from '../units/length';

/** Lengths that may be typed where none of the offered ones is right. */
export interface MeasureBox {
  readonly label: string;
  readonly minMm: number;
  readonly maxMm: number;
}

/** One screen of the start: what is asked, and what may be answered. */
export interface StartQuestion {
  readonly title: string;
  readonly note?: string;
  readonly chips: readonly Chip<string>[];
  /** Parts by which the hole may be sized instead. */
  readonly parts?: readonly Chip<string>[];
  readonly measure?: readonly MeasureBox[];
  /** A whole number that may be typed. */
  readonly most?: number;
}

export const WORKPIECE_WORDS = {
  'loose-pane': 'Loose pane',
  'built-tank': 'Built tank',
  bottle: 'Bottle or jar',
  pot: 'Pot or cup',
  bead: 'Bead, pebble, pendant',
  shell: 'Shell',
  'wall-tile': 'Tile on the wall',
  'loose-tile': 'Loose tile',
  worktop: 'Worktop',
  paving: 'Paving or floor slab',
  'outside-wall': 'Outside wall',
  'post-socket': 'Post socket',
  other: 'Something else',
} as const satisfies Record<WorkpieceId | typeof OTHER, string>;

const BUILD_WORDS: Record<WallBuildId, string> = {
  'brick-cavity-block': 'Brick, cavity, block',
  'brick-cavity-brick': 'Brick, cavity, brick',
  brick: 'Solid brick',
  'dense-brick': 'Solid dense brick',
  block: 'Block',
  stone: 'Stone',
  concrete: 'Concrete',
};

/** What a thing is made of in its owner’s words, where they differ from the material’s name. */
const MAKE_WORDS: Readonly<Partial<Record<WorkpieceId, Readonly<Record<string, string>>>>> = {
  bottle: {
    'container-glass': 'Bottle or jar',
    tableware: 'Drinking glass, bowl or oven dish',
    'borosilicate-glass': 'Laboratory glass',
  },
  pot: {
    stoneware: 'Glazed stoneware',
    terracotta: 'Terracotta, unglazed',
    'porcelain-vessel': 'Porcelain',
  },
  bead: {
    'quartzite-agate': 'Agate, quartz, jasper, flint',
    marble: 'Marble, soft stone',
    granite: 'Granite, hard pebble',
    basalt: 'Basalt, dark hard pebble',
    'fused-glass': 'Glass',
  },
  'wall-tile': { marble: 'Marble tile', limestone: 'Travertine tile' },
  'loose-tile': {
    marble: 'Marble tile',
    limestone: 'Travertine tile',
    slate: 'Slate tile',
    granite: 'Granite tile',
  },
  worktop: { 'porcelain-tile': 'Porcelain or sintered' },
  paving: { concrete: 'Concrete slab', 'porcelain-tile': 'Porcelain paving' },
  'post-socket': {
    concrete: 'Concrete slab or step',
    'reinforced-concrete': 'Reinforced concrete',
    granite: 'Granite step',
    sandstone: 'Sandstone step',
    limestone: 'Limestone step',
  },
};

const SIZE_WORDS: Record<SizeName, string> = {
  'wine-bottle': 'Wine bottle',
  'beer-bottle': 'Beer bottle',
  'jam-jar': 'Jam jar',
  'large-jar': 'Large jar',
  'drinking-glass': 'Drinking glass',
  demijohn: 'Demijohn',
  mug: 'Mug',
  'small-pot': 'Small pot',
  pot: 'Pot',
  'large-pot': 'Large pot',
  planter: 'Planter',
};

const chip = (value: string, label: string): Chip<string> => ({ value, label });
const MAY_BE_UNSURE = chip(NOT_SURE, 'Not sure');

const makeLabel = ({ thing }: Answers, make: Make): string =>
  MAKE_WORDS[thing as WorkpieceId]?.[makeId(make)] ??
  findMaterial(make.material)?.name ??
  make.material;

const MEASURE_LABELS: Record<Workpiece['measures'], readonly string[]> = {
  across: ['Across'],
  face: ['Wide', 'High'],
  vessel: ['Across', 'High'],
  tank: ['Long', 'Deep', 'High'],
};

const by = <T>(list: { readonly metric: T; readonly inch: T }, { length }: UnitSystem): T =>
  length === 'inch' ? list.inch : list.metric;

function sizeLabel({ mm, name }: SoldSize, units: UnitSystem): string {
  const lengths = mm.map((one) => formatLengthShort(one, units)).join(' × ');
  // One unit at the end: 600 × 300 mm.
  const inLine = lengths.replaceAll(/ (mm|in) ×/g, ' ×');
  return name ? `${SIZE_WORDS[name]} ${inLine}` : inLine;
}

const lengthChips = (lengths: readonly number[], units: UnitSystem): readonly Chip<string>[] =>
  lengths.map((mm) => chip(String(mm), formatLengthShort(mm, units)));

function sizesOf(answers: Answers, units: UnitSystem) {
  const workpiece = workpieceOf(answers);
  if (workpiece)
    return {
      thicknessMm: by(workpiece.thicknessMm, units),
      diameterMm: by(workpiece.diameterMm, units),
    };
  const material = materialOf(answers);
  return material ? usualSizes(usualForm(material), units) : { thicknessMm: [], diameterMm: [] };
}

const holeLimits = (answers: Answers) => ({
  minMm: LIMITS.diameterMm.min,
  maxMm: widestHoleMm(answers),
});

type Ask = (answers: Answers, units: UnitSystem) => StartQuestion;

const ASKS: Record<Question, Ask> = {
  make: (answers) => ({
    title: answers.thing === 'bottle' ? 'Which glass is it?' : 'What is it made of?',
    chips: [
      ...(workpieceOf(answers)?.makes ?? []).map((make) =>
        chip(makeId(make), makeLabel(answers, make)),
      ),
      ...(answers.thing === 'bottle' ? [] : [MAY_BE_UNSURE]),
    ],
  }),
  treatment: () => ({
    title: 'How was the glass treated?',
    note: 'Tempered glass bursts when it is drilled. If nobody can say, the plan waits for a test.',
    chips: [
      chip('annealed', 'Annealed: label or maker says so'),
      chip('unknown', 'I do not know'),
      chip('tempered', 'Tempered or strengthened'),
      chip('laminated', 'Laminated'),
    ],
  }),
  build: () => ({
    title: 'How is the wall built?',
    chips: [...WALL_BUILD_IDS.map((id) => chip(id, BUILD_WORDS[id])), MAY_BE_UNSURE],
  }),
  entry: () => ({
    title: 'From which side do you drill?',
    chips: [chip('inside', 'From inside'), chip('outside', 'From outside')],
  }),
  fixed: ({ thing }) => ({
    title: 'Is it fixed?',
    chips:
      thing === 'worktop'
        ? [chip('fixed', 'Fitted'), chip('loose', 'Loose on trestles or a bench')]
        : [chip('fixed', 'Laid'), chip('loose', 'Loose')],
  }),
  pane: () => ({
    title: 'Which pane?',
    chips: [chip('end', 'An end'), chip('long', 'Front or back'), chip('base', 'The base')],
  }),
  face: () => ({
    title: 'Where does the hole go?',
    chips: [chip('side', 'In the side'), chip('base', 'In the base')],
  }),
  size: (answers, units) => {
    const workpiece = workpieceOf(answers);
    const measures = workpiece?.measures ?? 'face';
    return {
      title: measures === 'across' ? 'How far across?' : 'How big is it?',
      chips: [
        ...(workpiece ? by(workpiece.sizes, units) : []).map((size) =>
          chip(size.mm.join('x'), sizeLabel(size, units)),
        ),
        chip(USUAL, 'Not measured yet'),
      ],
      measure: MEASURE_LABELS[measures].map((label) => ({
        label,
        minMm: LIMITS.lengthMm.min,
        maxMm: LIMITS.lengthMm.max,
      })),
    };
  },
  thickness: (answers, units) => {
    const minMm = minThicknessMm(answers);
    const isWall = answers.build !== undefined;
    const chips = sizesOf(answers, units).thicknessMm.filter((mm) => mm >= minMm);
    return {
      title: isWall ? 'How thick is the whole wall?' : 'How thick is it?',
      note: isWall
        ? 'Face to face, plaster and all: a window or door shows it.'
        : `${materialOf(answers)?.name ?? ''}. Measure in two or three places and take the thickest.`,
      chips: lengthChips(chips, units),
      measure: [{ label: 'Another thickness', minMm, maxMm: LIMITS.thicknessMm.max }],
    };
  },
  place: () => ({
    title: 'Where does the hole go?',
    chips: [chip('middle', 'Through the middle'), chip('end', 'Near one end, to hang by')],
  }),
  through: (answers, units) => ({
    title: 'How big a hole?',
    note: 'Bit and hold come later: the plan starts from what is usual.',
    chips: lengthChips(
      sizesOf(answers, units).diameterMm.filter((mm) => mm <= widestHoleMm(answers)),
      units,
    ),
    measure: [{ label: 'Another diameter', ...holeLimits(answers) }],
    parts: (workpieceOf(answers)?.parts ?? []).map((kind) => chip(kind, PURPOSES[kind].title)),
  }),
  part: (answers, units) => {
    const { through = '' } = answers;
    if (!isPurposeKind(through)) throw new Error(`“${through}” is no part.`);
    const { name, sold } = soldBy(through);
    return {
      title: `${PURPOSES[through].title}: which size?`,
      note: PURPOSES[through].about,
      chips: sizesSold(sold, units)
        .filter(({ mm }) => mm <= widestHoleMm(answers))
        .map(({ label, mm }) => chip(String(mm), label)),
      measure: [
        {
          label:
            (PURPOSES[through].fields as Readonly<Record<string, { label: string }>>)[name]
              ?.label ?? 'Size',
          ...holeLimits(answers),
        },
      ],
    };
  },
  flange: ({ part }) => ({
    title: 'How wide is its gasket or flange?',
    note: 'The smaller of the two. It decides how wide a chip may be at the edge.',
    chips: [chip(USUAL, 'Not measured yet')],
    measure: [
      {
        label: 'Gasket or flange, outside',
        minMm: minFlangeMm(part),
        maxMm: LIMITS.diameterMm.max,
      },
    ],
  }),
  count: () => ({
    title: 'How many alike?',
    note: 'Each is a piece of its own, planned the same.',
    chips: ['1', '2', '3', '4', '6', '8', '10', '12', '20', '24'].map((value) =>
      chip(value, value === '1' ? 'Just one' : value),
    ),
    most: 60,
  }),
};

/** What a question says and offers, in the person’s own units. */
export const askQuestion = (
  question: Question,
  answers: Answers,
  units: UnitSystem,
): StartQuestion => ASKS[question](answers, units);

/** The first question, which thing it is. */
export const THING_QUESTION: StartQuestion = {
  title: 'What is it?',
  chips: ([...WORKPIECE_IDS, OTHER] as const).map((id) => chip(id, WORKPIECE_WORDS[id])),
};

/** The answers so far in a line: `Built tank · 10 mm · An end`. */
export function answersInLine(answers: Answers, units: UnitSystem): string {
  const said = questionsOf(answers).flatMap((question) => {
    const value = answers[question];
    if (value === undefined || value === USUAL) return [];
    const offered = question === 'through' && isPurposeKind(value) ? PURPOSES[value].title : null;
    return [offered ?? answerText(question, value, answers, units)];
  });
  const { thing } = answers;
  return [...(thing ? [WORKPIECE_WORDS[thing]] : []), ...said].join(' · ');
}

function answerText(
  question: Question,
  value: string,
  answers: Answers,
  units: UnitSystem,
): string {
  if (question === 'make' && answers.thing === OTHER) return materialOf(answers)?.name ?? value;
  const { chips } = askQuestion(question, answers, units);
  const found = chips.find((one) => one.value === value);
  if (found) return found.label.split(':')[0] ?? found.label;
  if (question === 'count') return value;
  return sizeLabel({ mm: lengthsOf(value) }, units);
}

/** What the piece is called until it is given a name. */
export function startName(answers: Answers): string {
  const { thing, build, pane } = answers;
  const made = materialOf(answers);
  const material = made?.name.split(',')[0] ?? '';
  if (thing === undefined || thing === OTHER) return made ? `${material} ${usualForm(made)}` : '';
  if (build !== undefined && build !== NOT_SURE) {
    return `${BUILD_WORDS[build as WallBuildId]} wall`;
  }
  if (thing === 'built-tank')
    return pane === 'base' ? 'Tank, base' : pane === 'long' ? 'Tank, long pane' : 'Tank, end pane';
  const make = makeOf(answers);
  if (thing === 'bottle')
    return (make && makeLabel(answers, make).split(',')[0]) ?? WORKPIECE_WORDS.bottle;
  if (thing === 'loose-pane' || thing === 'shell' || thing === 'outside-wall')
    return WORKPIECE_WORDS[thing];
  const noun = NOUNS[thing];
  return answers.make === NOT_SURE ? capital(noun) : `${material} ${noun}`;
}

const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);

const NOUNS = {
  pot: 'pot',
  bead: 'bead',
  'wall-tile': 'on the wall',
  'loose-tile': 'tile',
  worktop: 'worktop',
  paving: 'paving',
  'post-socket': 'for a post',
} as const;
