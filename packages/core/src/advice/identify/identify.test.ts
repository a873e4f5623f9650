import { faultsInWords } from '../../words/faults';
import { MATERIALS } from '../../data/materials/materials';
import { likelihood } from './evidence';
import { checkAnswers, identify, IDENTIFIER_KINDS, IDENTIFIERS } from './identify';
import { conclude } from './conclude';
import { rankCandidates, tellingQuestions } from './posterior';
import { hardnessBand, LADDER, scratchLikelihood, type Rung } from './scratchLadder';

const at = '2026-05-02T09:00:00Z';
const pane = { form: 'sheet', checks: [] } as const;
const leader = (kind: keyof typeof IDENTIFIERS, answers: Record<string, string>): string =>
  identify(kind, answers).ranked[0]?.id ?? '';

describe.each(IDENTIFIER_KINDS)('%s', (kind) => {
  const identifier = IDENTIFIERS[kind];
  it('gives every candidate its answers with odds that add up to one', () => {
    for (const [id, question] of Object.entries(identifier.questions)) {
      for (const candidate of Object.keys(identifier.candidates)) {
        const sum = Object.keys(question.answers).reduce(
          (total, answer) => total + likelihood(question, answer, candidate),
          0,
        );
        // The floor under each answer may lift the sum a little.
        expect([id, candidate, sum > 0.99 && sum < 1.16]).toEqual([id, candidate, true]);
      }
    }
  });
  it('starts from what is common and ranks everything, always', () => {
    const ranked = rankCandidates(identifier, {});
    expect(ranked.reduce((sum, one) => sum + one.likelihood, 0)).toBeCloseTo(1);
    expect(ranked.every((one) => one.likelihood > 0)).toBe(true);
  });
  it('never asks what has been answered, and gains nothing below zero', () => {
    const open = tellingQuestions(identifier, {});
    expect(open.every((one) => one.bits >= 0)).toBe(true);
    const [first] = open;
    const question = identifier.questions[first?.question ?? ''];
    const answer = Object.keys(question?.answers ?? {})[0] ?? '';
    const after = tellingQuestions(identifier, { [first?.question ?? '']: answer });
    expect(after.map((one) => one.question)).not.toContain(first?.question);
  });
  it('names an answer or a question it does not know', () => {
    expect(faultsInWords(checkAnswers(kind, { colour: 'blue' }))[0]?.message).toMatch(
      /“colour” is not a question/,
    );
    const [id] = Object.keys(identifier.questions);
    expect(faultsInWords(checkAnswers(kind, { [id ?? '']: 'maybe' }))[0]?.message).toMatch(
      /“maybe” is not an answer/,
    );
  });
});

it('follows Bayes’ rule by hand', () => {
  // Two tests with shares 0.8 : 0.1 from even odds: 8 : 1, then 64 : 1.
  const question = (yes: number, no: number) => ({
    ask: '',
    how: '',
    source: '',
    answers: {
      yes: { label: 'yes', given: { a: yes, b: no }, otherwise: 0 },
      no: { label: 'no', given: { a: 1 - yes, b: 1 - no }, otherwise: 0 },
    },
  });
  const two = {
    title: '',
    staysUnknown: '',
    candidates: {
      a: { name: 'a', material: 'granite', prior: 1 },
      b: { name: 'b', material: 'marble', prior: 1 },
    },
    questions: { one: question(0.8, 0.1), two: question(0.8, 0.1) },
  } as const;
  expect(rankCandidates(two, { one: 'yes' })[0]?.likelihood).toBeCloseTo(8 / 9);
  expect(rankCandidates(two, { one: 'yes', two: 'yes' })[0]?.likelihood).toBeCloseTo(64 / 65);
  expect(rankCandidates(two, { one: 'yes', two: 'skipped' })[0]?.likelihood).toBeCloseTo(8 / 9);
  expect(rankCandidates(two, { one: 'no' })[0]?.id).toBe('b');
});

it('spreads a stone over the rungs of the ladder', () => {
  for (const stone of Object.values(MATERIALS)) {
    const rungs = [...Object.keys(LADDER), 'nothing'] as (Rung | 'nothing')[];
    expect(rungs.reduce((sum, rung) => sum + scratchLikelihood(stone, rung), 0)).toBeCloseTo(1);
  }
  expect(scratchLikelihood(MATERIALS.marble, 'copper')).toBeGreaterThan(0.5);
  expect(scratchLikelihood(MATERIALS['quartzite-agate'], 'fingernail')).toBeLessThan(1e-6);
  expect(hardnessBand('steel-nail')).toEqual([3.4, 5.4]);
  expect(hardnessBand('nothing')).toEqual([7.1, 10]);
});

it.each([
  ['stone', { scratch: 'copper', acid: 'fizzes-scratched', look: 'sugar-veins' }, 'marble'],
  ['stone', { scratch: 'nothing', acid: 'none', look: 'glassy-banded' }, 'quartzite-agate'],
  ['stone', { scratch: 'steel-nail', look: 'thin-layers', acid: 'none' }, 'slate'],
  ['stone', { look: 'speckled', scratch: 'quartz', acid: 'none', water: 'stays' }, 'granite'],
  ['ceramic', { body: 'red', water: 'gone', glaze: 'none' }, 'terracotta'],
  ['ceramic', { light: 'glows', ring: 'bell' }, 'porcelain-vessel'],
  ['ceramic', { thing: 'wall-tile', water: 'gone', glaze: 'one-face' }, 'glazed-wall-tile'],
  ['masonry', { dust: 'red', hard: 'steady', seen: 'bricks' }, 'clay-brick'],
  ['masonry', { dust: 'grey', hard: 'hardly', seen: 'cast' }, 'concrete'],
  ['masonry', { dust: 'white', hard: 'sinks', seen: 'blocks' }, 'lightweight-block'],
  ['glass', { thing: 'cooking-top' }, 'glass-ceramic'],
  ['glass', { edge: 'mesh' }, 'wired-pane'],
  ['glass', { edge: 'two-panes' }, 'double-unit'],
  ['glass', { edge: 'film-line' }, 'laminated-pane'],
  ['glass', { thing: 'bottle-jar', edge: 'round-body' }, 'bottle-or-jar'],
  ['glass', { thing: 'screen' }, 'chemically-strengthened'],
] as const)('%s after %o is likeliest %s', (kind, answers, wanted) => {
  expect(leader(kind, answers)).toBe(wanted);
});

it('carries what a stone may be into the plan when nobody is sure', () => {
  const found = identify('stone', { scratch: 'quartz' });
  expect(found.sure).toBe(false);
  expect(found.hardnessBand).toEqual([6.6, 7.1]);
  expect(found.couldBe.reduce((sum, one) => sum + one.share, 0)).toBeCloseTo(1);
  const unsure = conclude('stone', { scratch: 'quartz' }, pane, 'not-sure', at);
  expect(unsure.couldBe?.length).toBeGreaterThan(1);
  expect(conclude('stone', { scratch: 'quartz' }, pane, 'likeliest', at).couldBe).toEqual([]);
});

describe('a pane', () => {
  const proven = { thing: 'picture-or-window', control: 'shows', pattern: 'clear' };
  it('is vouched for by a clear test after its control', () => {
    const known = conclude('glass', proven, pane, 'not-sure', at);
    expect(known).toMatchObject({ glassTreatment: 'unknown', material: 'float-glass' });
    expect(known.checks?.[0]).toMatchObject({
      hazard: 'unknown-treatment',
      answer: 'polariser-clear',
      at,
      of: 'float-glass|sheet|unknown',
    });
  });
  it('is not vouched for by likelihood, nor by a test without its control', () => {
    const guess = { thing: 'picture-or-window', edge: 'cut-edge', label: 'none' };
    expect(identify('glass', guess).ranked[0]?.likelihood).toBeGreaterThan(0.8);
    expect(conclude('glass', guess, pane, 'likeliest', at).checks).toBeUndefined();
    const alone = { ...guess, control: 'no-filters', pattern: 'clear' };
    expect(conclude('glass', alone, pane, 'likeliest', at).checks).toBeUndefined();
  });
  it('is tempered when the filters or the stamp say so', () => {
    const spots = { thing: 'door-shower-balustrade', control: 'shows', pattern: 'spots' };
    expect(conclude('glass', spots, pane, 'not-sure', at).glassTreatment).toBe('tempered');
    const stamp = { thing: 'table-or-shelf', label: 'says-tempered', edge: 'worked-edge' };
    expect(conclude('glass', stamp, pane, 'likeliest', at).glassTreatment).toBe('tempered');
  });
  it('stays unknown where the proofs contradict each other', () => {
    const torn = { label: 'says-annealed', control: 'shows', pattern: 'spots' };
    const known = conclude('glass', torn, pane, 'not-sure', at);
    expect(known.checks).toBeUndefined();
  });
  it('is a screen, hard and clear in the test, all the same', () => {
    const screen = { thing: 'screen', control: 'shows', pattern: 'clear' };
    expect(conclude('glass', screen, pane, 'not-sure', at).glassTreatment).toBe(
      'chemically-strengthened',
    );
  });
});
