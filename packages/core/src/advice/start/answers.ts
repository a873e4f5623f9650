import { GLASS_TREATMENTS } from '../../data/choices';
import { findMaterial, MATERIAL_IDS } from '../../data/materials/materials';
import type { Material } from '../../data/materials/material';
import { LIMITS, type NumberLimit } from '../../data/schema/limits';
import { isPurposeKind } from '../../layout/purposes/purposes';
import { minWallMm, hasTwoSides, isWallBuildId } from './wallBuilds';
import {
  isWorkpieceId,
  makeId,
  WORKPIECES,
  type Make,
  type Question,
  type Workpiece,
  type WorkpieceId,
} from './workpieces';

/** Something that is in none of the usual kinds: asked by material alone. */
export const OTHER = 'other';
/** Nobody can say which. */
export const NOT_SURE = 'not-sure';
/** After a material that is only the commonest of its kind. */
export const UNSURE = '?';
/** Its size is not measured: a usual one is taken. */
export const USUAL = 'usual';

/** What has been said, each as it stands in an address; nothing but what can be read. */
export interface Answers extends Partial<Record<Question, string>> {
  readonly thing?: WorkpieceId | typeof OTHER;
}

const OTHER_ASKS = ['make', 'treatment', 'thickness', 'through'] as const;
/** More at a time is a list to be read in, not a question. */
const COUNT = { min: 1, max: 60, unit: '' } as const;

export const workpieceOf = ({ thing }: Answers): Workpiece | undefined =>
  thing === undefined || thing === OTHER ? undefined : WORKPIECES[thing];

/** Nobody can say which of its kind it is. */
export const isNotSure = ({ make, build }: Answers): boolean =>
  make === NOT_SURE || build === NOT_SURE || make?.endsWith(UNSURE) === true;

export const makeOf = (answers: Answers): Make | undefined => {
  const makes = workpieceOf(answers)?.makes;
  return makes?.find((make) => makeId(make) === answers.make) ?? makes?.[0];
};

/** The material it is planned as; undefined while it is not known. */
export function materialOf(answers: Answers): Material | undefined {
  if (answers.thing === OTHER) {
    const [id = ''] = (answers.make ?? '').split(UNSURE);
    return findMaterial(id);
  }
  const make = makeOf(answers);
  return make && findMaterial(make.material);
}

/** Lengths of an answer such as `600x300x380`, mm. */
export const lengthsOf = (said: string | undefined): readonly number[] =>
  said === undefined || said === USUAL ? [] : said.split('x').map(Number);

const isWithin = (value: number, { min = 0, max }: NumberLimit): boolean =>
  Number.isFinite(value) && value >= min && value <= max;
const isNumber = (said: string, limit: NumberLimit): boolean =>
  said !== '' && isWithin(Number(said), limit);

const isHole = (said: string, answers: Answers): boolean =>
  isNumber(said, { ...LIMITS.diameterMm, max: widestHoleMm(answers) });

const oneOf =
  (...values: readonly string[]) =>
  (said: string): boolean =>
    values.includes(said);

const MEASURES = { across: 1, face: 2, vessel: 2, tank: 3 } as const;

/** How many lengths its size has. */
export const measuresOf = ({ measures }: Pick<Workpiece, 'measures'>): number => MEASURES[measures];

/** The least it may be thick, mm, by how it is built. */
export const minThicknessMm = ({ build }: Answers): number =>
  build !== undefined && isWallBuildId(build)
    ? Math.max(minWallMm(build), LIMITS.thicknessMm.min)
    : LIMITS.thicknessMm.min;

/** A hole takes no more than this of what it goes through. */
const WIDEST_SHARE = 0.8;

/** The widest hole it takes, mm, by the size it was said to have. */
export function widestHoleMm(answers: Answers): number {
  const [a, b = a, c] = lengthsOf(answers.size);
  if (a === undefined || b === undefined) return LIMITS.diameterMm.max;
  const sides =
    c === undefined || answers.pane === 'base' ? [a, b] : [answers.pane === 'long' ? a : b, c];
  // A round base is as wide as the vessel; its height counts for a hole in the side alone.
  const across = answers.face === 'base' ? [a] : sides;
  return Math.min(LIMITS.diameterMm.max, WIDEST_SHARE * Math.min(...across));
}

/** Gasket beyond the thread that its hole and the least seal take, mm. */
const FLANGE_BEYOND_MM = 8;
/** The narrowest flange that seals over the hole of a thread, mm. */
export const minFlangeMm = (thread: string | undefined): number =>
  Number(thread ?? 0) + FLANGE_BEYOND_MM;

/** Whether an answer is one to its question. */
const ACCEPTS: Record<Question, (said: string, answers: Answers) => boolean> = {
  make: (said, answers) =>
    answers.thing === OTHER
      ? MATERIAL_IDS.some((id) => said === id || said === `${id}${UNSURE}`)
      : said === NOT_SURE ||
        workpieceOf(answers)?.makes.some((make) => makeId(make) === said) === true,
  treatment: oneOf(...GLASS_TREATMENTS),
  build: (said) => said === NOT_SURE || isWallBuildId(said),
  entry: oneOf('inside', 'outside'),
  fixed: oneOf('fixed', 'loose'),
  pane: oneOf('end', 'long', 'base'),
  face: oneOf('side', 'base'),
  size: (said, answers) => {
    const workpiece = workpieceOf(answers);
    if (!workpiece) return false;
    const lengths = lengthsOf(said);
    return (
      said === USUAL ||
      (lengths.length === measuresOf(workpiece) &&
        lengths.every((mm) => isWithin(mm, LIMITS.lengthMm)))
    );
  },
  thickness: (said, answers) =>
    isNumber(said, { ...LIMITS.thicknessMm, min: minThicknessMm(answers) }),
  place: oneOf('middle', 'end'),
  through: (said, answers) => isHole(said, answers) || isPurposeKind(said),
  part: isHole,
  flange: (said, { part }) =>
    said === USUAL || isNumber(said, { ...LIMITS.diameterMm, min: minFlangeMm(part) }),
  count: (said) => isNumber(said, COUNT) && Number.isInteger(Number(said)),
};

/** Whether a question arises at all, given what was said before it. */
const ARISES: Partial<Record<Question, (answers: Answers) => boolean>> = {
  treatment: (answers) => materialOf(answers)?.class === 'glass' && !isNotSure(answers),
  entry: ({ build }) => build !== undefined && isWallBuildId(build) && hasTwoSides(build),
  flange: ({ through }) => through === 'tank-fitting',
  part: ({ through }) => through !== undefined && isPurposeKind(through),
};

/** What this thing leaves open, in order. */
export const questionsOf = (answers: Answers): readonly Question[] => {
  const asks: readonly Question[] =
    answers.thing === OTHER ? OTHER_ASKS : (workpieceOf(answers)?.asks ?? []);
  return asks.filter((question) => ARISES[question]?.(answers) ?? true);
};

/** What is asked next; null where all is said. */
export function nextQuestion(answers: Answers): 'thing' | Question | null {
  if (answers.thing !== OTHER && !workpieceOf(answers)) return 'thing';
  return questionsOf(answers).find((question) => answers[question] === undefined) ?? null;
}

/**
 * Answers as they stand in an address, those that are none left out with all that follow: each may hang on the
 * ones before it.
 */
export function readAnswers(given: Readonly<Record<string, string | undefined>>): Answers {
  const { thing } = given;
  if (thing === undefined || (thing !== OTHER && !isWorkpieceId(thing))) return {};
  let answers: Answers = { thing };
  for (;;) {
    const question = nextQuestion(answers);
    if (question === null || question === 'thing') return answers;
    const said = given[question];
    if (said === undefined || !ACCEPTS[question](said, answers)) return answers;
    answers = { ...answers, [question]: said };
  }
}

/** The question before, and what was said until then; null at the first. */
export function takeBack(answers: Answers): Answers | null {
  const given = ['thing' as const, ...questionsOf(answers)].filter(
    (question) => answers[question] !== undefined,
  );
  if (given.length === 0) return null;
  return Object.fromEntries(given.slice(0, -1).map((question) => [question, answers[question]]));
}
