import {
  nextQuestion,
  OTHER,
  readAnswers,
  takeBack,
  type Answers,
} from '../../advice/start/answers';
import { startPiece } from '../../advice/start/startPiece';
import { WORKPIECE_IDS, WORKPIECES } from '../../advice/start/workpieces';
import { INCH_POUND, METRIC, type UnitSystem } from '../../data/unitSystem';
import type { Plan } from '../../documents/plan';
import { judgeEdges } from '../../layout/edgeRules';
import { findMaterial, MATERIALS } from '../../data/materials/materials';
import { makePlan } from '../plan/makePlan';
import { answersInLine, askQuestion, startName, THING_QUESTION } from './startQuestions';

type Said = Readonly<Record<string, string>>;

function planned(answers: Answers, units: UnitSystem = METRIC): Plan {
  const { piece, hole } = startPiece(answers);
  const outcome = makePlan(
    {
      materials: [],
      job: {},
      piece: { id: 'p', name: startName(answers), ...piece },
      hole: { id: 'h', ...hole },
      kit: {},
      habits: {},
    },
    units,
  );
  if (outcome.kind !== 'planned') throw new Error(JSON.stringify(outcome));
  return outcome.plan;
}

const whole = (said: Said): Answers => {
  const answers = readAnswers(said);
  expect(nextQuestion(answers)).toBeNull();
  return answers;
};

/** Every way through the questions that one pick a screen leads, `pick` being which of those offered. */
function walk(
  thing: NonNullable<Answers['thing']>,
  units: UnitSystem,
  pick: (offered: readonly string[], question: string) => string | undefined,
): Answers {
  let answers: Answers = { thing };
  for (;;) {
    const question = nextQuestion(answers);
    if (question === null || question === 'thing') return answers;
    const { chips, parts = [] } = askQuestion(question, answers, units);
    const said = pick(
      [...chips, ...parts].map(({ value }) => value),
      question,
    );
    const next = readAnswers({ ...answers, [question]: said });
    if (next[question] === undefined) throw new Error(`${question}: ${said} is no answer`);
    answers = next;
  }
}

describe.each([METRIC, INCH_POUND])('in %j', (units) => {
  it.each(WORKPIECE_IDS)(
    '%s comes to a plan by the first and by the last of what is offered',
    (id) => {
      for (const answers of [
        walk(id, units, (offered) => offered[0]),
        walk(id, units, (offered) => offered.at(-1)),
      ]) {
        expect(planned(answers, units).drillTimeS).not.toBeNull();
        expect(startName(answers)).not.toMatch(/undefined|^ |^$/);
      }
    },
  );

  it.each(WORKPIECE_IDS)('each part of %s gives a hole it fits', (id) => {
    for (const part of WORKPIECES[id].parts) {
      const answers = walk(id, units, (offered, question) =>
        question === 'through' ? part : offered[0],
      );
      const { hole } = startPiece(answers);
      expect(hole.purpose?.kind).toBe(part);
      expect(hole.diameterMm).toBeGreaterThan(0);
      const clashes = planned(answers, units).warnings.map(({ code }) => code);
      expect(clashes).not.toContain('purpose-clash');
    }
  });
});

/** What a thousand holes say: eight jobs by what is in the hand, and what the plan must then know. */
const JOBS: readonly [name: string, said: Said, known: object][] = [
  [
    'the end of a built tank',
    {
      thing: 'built-tank',
      treatment: 'annealed',
      size: '600x300x380',
      pane: 'end',
      thickness: '10',
      through: '38',
    },
    {
      piece: {
        form: 'sheet',
        assembled: true,
        material: 'float-glass',
        glassTreatment: 'annealed',
        outline: { kind: 'rectangle', widthMm: 300, heightMm: 380 },
      },
      // Two diameters of glass above it: 380 − 76 − 19.
      hole: { xMm: 150, yMm: 285, depth: { kind: 'through' } },
    },
  ],
  [
    'a pebble',
    {
      thing: 'bead',
      make: 'quartzite-agate',
      size: '30',
      thickness: '9',
      place: 'middle',
      through: '3',
      count: '1',
    },
    {
      piece: { form: 'bead', outline: { kind: 'circle', diameterMm: 30 } },
      hole: { xMm: 15, yMm: 15 },
    },
  ],
  [
    'the side of a bottle',
    {
      thing: 'bottle',
      make: 'container-glass',
      face: 'side',
      size: '75x300',
      thickness: '4',
      through: '6',
    },
    {
      piece: { form: 'vessel', glassTreatment: 'annealed' },
      // Half of π·75 round, and 40 mm clear of the heel.
      hole: { face: 'side', xMm: 117.81, yMm: 43 },
    },
  ],
  [
    'a cavity wall from inside',
    {
      thing: 'outside-wall',
      build: 'brick-cavity-block',
      entry: 'inside',
      thickness: '300',
      through: '65',
    },
    {
      piece: {
        form: 'wall',
        thicknessMm: 300,
        layers: [
          { material: 'mortar', thicknessMm: 13 },
          { material: 'lightweight-block', thicknessMm: 100 },
          { material: 'cavity', thicknessMm: 85 },
          { material: 'clay-brick', thicknessMm: 102 },
        ],
      },
    },
  ],
  [
    'a fitted granite top',
    { thing: 'worktop', make: 'granite', fixed: 'fixed', thickness: '20', through: '30' },
    { piece: { form: 'slab', assembled: true }, hole: { xMm: 1000, yMm: 530 } },
  ],
  [
    'the base of a pot',
    {
      thing: 'pot',
      make: 'stoneware',
      face: 'base',
      size: '180x160',
      thickness: '8',
      through: '12',
    },
    { piece: { form: 'vessel' }, hole: { face: 'base', xMm: 0, yMm: 0 } },
  ],
  [
    'a shell',
    { thing: 'shell', size: '40', thickness: '2', place: 'end', through: '2', count: '1' },
    // One thickness of shell above it: 40 − 2 − 1.
    { piece: { form: 'bead', material: 'shell' }, hole: { yMm: 37 } },
  ],
  [
    'twelve panes',
    {
      thing: 'loose-pane',
      treatment: 'annealed',
      size: '300x200',
      thickness: '6',
      through: '10',
      count: '12',
    },
    { count: 12, hole: { xMm: 150, yMm: 100 } },
  ],
];

it.each(JOBS)('%s is known from what it is', (_name, said, known) => {
  expect(startPiece(whole(said))).toMatchObject(known);
});

it.each(JOBS)('%s keeps the rules of its edges', (_name, said) => {
  const { piece, hole } = startPiece(whole(said));
  const judged = judgeEdges(
    {
      piece: { ...piece },
      material: MATERIALS[piece.material as 'granite'],
      hole: { id: 'h', ...hole },
    },
    [],
  );
  expect(judged.filter(({ ok, measure }) => !ok && measure !== 'diameter')).toEqual([]);
});

it('plans a tank’s pane held all round, a pane loose on foam, a bottle under a drip', () => {
  const ways = [0, 7, 2].map((at) => planned(whole(JOBS[at]?.[1] ?? {})).setup);
  expect(ways.map(({ supportKind }) => supportKind)).toEqual([
    'nothing',
    'dense-foam-board',
    'sponge',
  ]);
  expect(ways.map(({ waterKind }) => waterKind)).toEqual(['pool', 'still-bath', 'drip']);
});

it('drills a tile on the wall through tile and adhesive, and a plug’s hole as deep as the plug asks', () => {
  const said = { thing: 'wall-tile', make: 'glazed-wall-tile', size: '200x100', thickness: '8' };
  expect(startPiece(whole({ ...said, through: '6' })).hole.depth).toEqual({
    kind: 'blind',
    depthMm: 13,
  });
  const { hole, piece } = startPiece(whole({ ...said, through: 'wall-plug', part: '6' }));
  expect(piece.layers?.map(({ material }) => material)).toEqual([
    'glazed-wall-tile',
    'mortar',
    'clay-brick',
  ]);
  expect(hole.diameterMm).toBe(6.75);
  // Recess behind tile and adhesive, a plug of five diameters, and room below it.
  expect(hole.depth.kind === 'blind' && hole.depth.depthMm).toBeGreaterThan(8 + 5 + 30);
});

it('sizes a tank fitting’s hole by its thread, and leaves a flange nobody measured to be asked', () => {
  const tank = { thing: 'built-tank', treatment: 'annealed', size: 'usual', pane: 'end' };
  const fitting = { ...tank, thickness: '10', through: 'tank-fitting', part: '33.25' };
  const { hole } = startPiece(whole({ ...fitting, flange: 'usual' }));
  expect(hole.diameterMm).toBe(34.75);
  expect(hole.purpose).toEqual({ kind: 'tank-fitting', threadDiameterMm: 33.25 });
  expect(startPiece(whole({ ...fitting, flange: '55' })).hole.purpose).toMatchObject({
    flangeDiameterMm: 55,
  });
  expect(readAnswers({ ...fitting, flange: '34' }).flange).toBeUndefined();
});

it('holds a piece nobody is sure of for each of what it may be, as likely', () => {
  const { piece } = startPiece(
    whole({
      thing: 'pot',
      make: 'not-sure',
      face: 'side',
      size: 'usual',
      thickness: '8',
      through: '10',
    }),
  );
  expect(piece.couldBe?.map(({ material }) => material)).toEqual([
    'stoneware',
    'glazed-earthenware',
    'terracotta',
    'porcelain-vessel',
  ]);
  expect(piece.couldBe?.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1);
  expect(piece.knowing?.kind).toBe('ceramic');
  const other = whole({ thing: OTHER, make: 'granite?', thickness: '20', through: '10' });
  expect(startPiece(other).piece).toMatchObject({ form: 'slab', knowing: { kind: 'stone' } });
});

it('keeps what can be read of an address and asks on from there', () => {
  const read = readAnswers({
    thing: 'outside-wall',
    build: 'brick-cavity-block',
    entry: 'inside',
    thickness: '200',
  });
  // Brick 102, block 100 and plaster 13 leave no cavity in 200.
  expect(read.thickness).toBeUndefined();
  expect(nextQuestion(read)).toBe('thickness');
  expect(askQuestion('thickness', read, METRIC).measure?.[0]?.minMm).toBe(240);
  expect(readAnswers({ thing: 'piano', make: 'granite' })).toEqual({});
  expect(readAnswers({ thing: 'bottle', make: 'granite', face: 'side' })).toEqual({
    thing: 'bottle',
  });
  expect(
    readAnswers({ thing: 'built-tank', treatment: 'annealed', size: '600x300' }).size,
  ).toBeUndefined();
  expect(
    readAnswers({
      thing: 'shell',
      size: '20',
      thickness: '2',
      place: 'end',
      through: '2',
      count: '0',
    }).count,
  ).toBeUndefined();
});

it('asks of a hollow wall from which side, of a solid one not', () => {
  expect(nextQuestion({ thing: 'outside-wall', build: 'brick-cavity-brick' })).toBe('entry');
  expect(nextQuestion({ thing: 'outside-wall', build: 'concrete' })).toBe('thickness');
});

it('takes back one answer at a time, to nothing', () => {
  const answers = whole(JOBS[0]?.[1] ?? {});
  const before = takeBack(answers);
  expect(before && nextQuestion(before)).toBe('through');
  expect(takeBack({ thing: 'bottle' })).toEqual({});
  expect(takeBack({})).toBeNull();
});

it('says what was answered in a line, in the person’s own units', () => {
  const answers = whole(JOBS[0]?.[1] ?? {});
  expect(answersInLine(answers, METRIC)).toBe(
    'Built tank · Annealed · 600 × 300 × 380 mm · An end · 10 mm · 38 mm',
  );
  expect(answersInLine({ thing: 'shell', size: '25.4', thickness: '3.175' }, INCH_POUND)).toBe(
    'Shell · 1 in · 1/8 in',
  );
  expect(THING_QUESTION.chips).toHaveLength(WORKPIECE_IDS.length + 1);
});

it('offers nothing but materials there are', () => {
  for (const id of WORKPIECE_IDS)
    for (const { material } of WORKPIECES[id].makes) expect(findMaterial(material)).toBeDefined();
});
