import { INCH_POUND, METRIC, type UnitSystem } from '../data/unitSystem';
import { seededRandom } from '../math/seededRandom';
import type { DrillCase } from '../setup/drillCase';
import { randomCase } from '../setup/randomJobs';
import { makePlan } from './plan/makePlan';

const random = seededRandom(2718);
const CASES: readonly DrillCase[] = Array.from({ length: 250 }, () => randomCase(random));

/** Every text in a plan, with where it stands. */
function* textsIn(value: unknown, path = ''): Generator<readonly [string, string]> {
  if (typeof value === 'string') yield [path, value];
  else if (typeof value === 'object' && value !== null)
    for (const [key, inner] of Object.entries(value)) yield* textsIn(inner, `${path}.${key}`);
}
const SENTENCE = /\.(detail|text|message|why|todo)$/;

function wrongIn(units: UnitSystem, wrong: (text: string, path: string) => boolean): string[] {
  const found = new Set<string>();
  for (const one of CASES) {
    const outcome = makePlan(one, units);
    if (outcome.kind === 'faulty') continue;
    for (const [path, text] of textsIn(outcome.plan))
      if (wrong(text, path)) found.add(`${path}: ${text}`);
  }
  return [...found].slice(0, 10);
}

it('says nothing that is no number, no word, or twice the space', () => {
  const broken = /NaN|undefined|null|Infinity|\[object|function|\$\{| {2}|\.\.(?!\.)| [.,;:]|\?,/;
  expect(wrongIn(METRIC, (text) => broken.test(text))).toEqual([]);
  expect(wrongIn(INCH_POUND, (text) => broken.test(text))).toEqual([]);
});

it('begins a sentence with a capital or a number, and ends it', () => {
  const bad = (text: string, path: string): boolean =>
    SENTENCE.test(path) &&
    text !== '' &&
    text.length > 40 &&
    !/^[“(]?[A-Z0-9ΔΛσ].*[.!?)”]$/su.test(text);
  expect(wrongIn(METRIC, bad)).toEqual([]);
});

it('keeps to the units that are asked for', () => {
  // A bit keeps the name it has in the kit; inches have their millimetres beside them; torque, areas and what a source says are metric.
  const isOwn = (path: string): boolean => /Name$|\.name$|\.source$/.test(path);
  const beside = /\([^)]*mm\)/g;
  expect(
    wrongIn(
      INCH_POUND,
      (text, path) =>
        !isOwn(path) && /\d (mm|N|°C|kg|L|mL)(?![·²³/])\b/.test(text.replaceAll(beside, '')),
    ),
  ).toEqual([]);
  expect(
    wrongIn(
      METRIC,
      (text, path) => !isOwn(path) && /\d (in(?! \d)|lbf|psi|°F|lb|gal|fl oz)\b/.test(text),
    ),
  ).toEqual([]);
});

it('counts one as one', () => {
  const plural = /\b1 (lifts|holes|cups|changes|minutes|seconds|cores|layers|pads|times)\b/;
  expect(wrongIn(METRIC, (text) => plural.test(text))).toEqual([]);
});
