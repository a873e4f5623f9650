import { jobWith } from '../setup/jobFixtures';
import { METRIC } from '../data/unitSystem';
import { finishSteps } from '../words/run/finishSteps';
import { judgeResult } from './judgeResult';
import { packingList } from '../words/run/packingList';
import { promptBetween } from '../words/run/prompts';
import { bitCheckDue, readyCheck, type ReadyScene } from '../words/run/readyCheck';
import { readyList } from '../words/run/readyList';
import { replayRun, atMoment } from './replay';
import { bitUses, runRecord } from './runRecord';
import { diagnoseRun, signToFollow } from './runScene';
import { planWith, writeRun } from './runFixtures';
import type { RunResult } from '../documents/runResult';
import { runSection } from '../drawing/runSection';

const scene = (over: Partial<ReadyScene> = {}): ReadyScene => {
  const [piece] = jobWith().pieces;
  const [hole] = piece?.holes ?? [];
  if (!piece || !hole) throw new Error('no hole');
  return {
    plan: planWith(),
    piece,
    hole,
    bit: null,
    due: null,
    practice: 'none',
    now: new Date('2026-05-04T10:00:00Z'),
    units: METRIC,
    ...over,
  };
};
const ids = (one: ReadyScene): string[] => readyCheck(one).map(({ id }) => id);

it('asks only what this hole asks for', () => {
  expect(ids(scene())).not.toContain('dry-run');
  expect(ids(scene({ plan: planWith({ setup: { hold: 'press' } }) }))).toContain('dry-run');
  expect(ids(scene({ practice: 'to-do' }))).toContain('practice-waived');
  const dry = planWith({
    piece: { material: 'clay-brick', form: 'wall', thicknessMm: 100 },
    setup: { water: { kind: 'none' } },
    bits: [{ id: 's', name: 'Core', family: 'segmented-core', diameterMm: 50 }],
  });
  expect(ids(scene({ plan: dry }))).not.toContain('water');
  expect(ids(scene())).not.toContain('bit-due');
  const due = {
    bitId: 'cup25',
    name: 'Cup saw 25',
    holesCut: 10,
    changeAt: { p10: 7, p50: 9, p90: 12 },
    costPerHole: 3,
    costIfKept: 4,
  };
  expect(ids(scene({ due }))).toContain('bit-due');
});

/** All that the list says, as one text. */
const listed = (one: ReadyScene): string =>
  readyList(one)
    .flatMap(({ gates, items, notes }) => [
      ...gates.map(({ title, message }) => `${title} ${message}`),
      ...items.map(({ title, detail }) => `${title} ${detail}`),
      ...notes.map(({ title }) => title),
    ])
    .join('\n');

it('asks each thing once: glasses, residual current and hammer by their gates', () => {
  const drill = { id: 'free', name: 'Drill', kind: 'corded-drill' } as const;
  const wet = scene({
    plan: planWith({ machine: drill, setup: { hold: 'guided', water: { kind: 'still-bath' } } }),
  });
  for (const word of [/glasses/gi, /residual-current/gi])
    expect(listed(wet).match(word)).toHaveLength(1);
  // The hammer is a stop: open, it stands before the list.
  expect(listed(wet)).not.toMatch(/hammer/i);
  expect(readyList(wet).map(({ section }) => section)).toEqual([
    'piece',
    'mark',
    'kit',
    'machine',
    'water',
    'you',
  ]);
});

it('asks after today’s supply and hammer where they were answered on another day', () => {
  const drill = { id: 'free', name: 'Drill', kind: 'corded-drill' } as const;
  const answeredAt = (at: string): ReadyScene =>
    scene({
      plan: planWith({
        machine: drill,
        setup: { hold: 'guided', water: { kind: 'still-bath' } },
        hole: {
          checks: [
            { hazard: 'mains-and-water', answer: 'rcd-tested', at },
            { hazard: 'hammer', answer: 'rotation-only', at },
          ],
        },
      }),
    });
  const today = listed(answeredAt('2026-05-04T08:00:00Z'));
  expect(today).not.toMatch(/Plug and cable|hammer off\n/);
  const before = answeredAt('2026-04-20T08:00:00Z');
  expect(ids(before)).toContain('mains');
  expect(listed(before)).toMatch(/Right way round, hammer off/);
});

it('says why a bit is to be looked at', () => {
  const bit = { id: 'b', name: 'B', family: 'plated-cup-saw', diameterMm: 25 } as const;
  const now = new Date('2026-05-04T10:00:00Z');
  const log = (at: string) => ({
    ...bit,
    sharpnessLog: [{ at, sharpness: 0.9, how: 'checked' as const }],
  });
  expect(bitCheckDue(bit, now)).toBeNull();
  expect(bitCheckDue({ ...bit, holesCut: 4 }, now)).toMatch(/never looked at/);
  expect(bitCheckDue(log('2026-05-01T10:00:00Z'), now)).toBeNull();
  expect(bitCheckDue(log('2026-03-01T10:00:00Z'), now)).toBe('Last looked at 64 days ago.');
  expect(bitCheckDue({ ...bit, state: 'bald' }, now)).toBe('It was last found bald.');
});

it('packs each thing once for several holes', () => {
  const { plan, piece, hole } = scene();
  const list = packingList(
    [
      { plan, piece, hole },
      { plan, piece, hole },
    ],
    METRIC,
  );
  expect(new Set(list.map(({ id }) => id)).size).toBe(list.length);
  expect(list.map(({ text }) => text)).toEqual(
    expect.arrayContaining(['Cup saw 25, 25 mm', 'Rod to push the core out']),
  );
});

const through = (result: RunResult) => {
  const run = writeRun();
  run.at(0, { kind: 'start' });
  run.at(200, { kind: 'through' });
  for (let i = 0; i < 4; i++) run.at(210 + i, { kind: 'next' });
  run.at(240, { kind: 'result', result });
  return run;
};

it.each<[string, Partial<RunResult>, string[]]>([
  ['all well', { exitChipMm: 0.3 }, []],
  ['fine with a crack', { crack: 'hairline' }, ['fine-but-cracked']],
  ['a hole smaller than its bit', { entryDiameterMm: 20 }, ['narrower-than-bit']],
  ['another bit altogether', { entryDiameterMm: 40 }, ['far-wider-than-bit']],
  ['a chip as wide as a break', { entryChipMm: 30 }, ['chip-wider-than-hole']],
])('judges a result beside its run: %s', (_, part, codes) => {
  const run = through({ verdict: 'fine', crack: 'none', ...part });
  const { state } = replayRun(run.events) ?? {};
  expect(judgeResult(state?.result as RunResult, state as never).map(({ code }) => code)).toEqual(
    codes,
  );
});

it('judges a result of a run that was cut short, and of a blind hole', () => {
  const given = writeRun({ hole: { depth: { kind: 'blind', depthMm: 3 } } });
  given.at(0, { kind: 'start' });
  given.at(20, { kind: 'abort', why: 'dull' });
  const flags = judgeResult(
    { verdict: 'fine', crack: 'none', exitChipMm: 1, partFit: 'fits' },
    given.state(),
  );
  expect(flags.map(({ code }) => code)).toEqual([
    'fine-but-given-up',
    'exit-of-blind',
    'fits-but-not-through',
  ]);
});

it('sums a run up, and what it took of the bit', () => {
  const run = through({ verdict: 'usable', crack: 'none', exitChipMm: 1, bitState: 'tired' });
  const record = runRecord('r1', run.events);
  expect(record).toMatchObject({
    phase: 'done',
    over: true,
    verdict: 'usable',
    depthMm: 6,
    exitChipMm: 1,
  });
  expect(record?.tookS).toBeCloseTo(200, 0);
  expect(bitUses(run.events)).toMatchObject([
    { bitId: 'cup25', depthMm: 6, holes: 1, state: 'tired' },
  ]);
  const open = writeRun();
  open.at(0, { kind: 'start' });
  open.at(50, { kind: 'pause' });
  expect(bitUses(open.events)).toMatchObject([{ depthMm: 0, holes: 0 }]);
  expect(runRecord('r2', [])).toBeNull();
});

it('wears the smaller bits of a chain as themselves', () => {
  const run = writeRun({
    setup: { bits: ['small', 'cup25'] },
    bits: [
      { id: 'cup25', name: 'Cup saw 25', family: 'plated-cup-saw', diameterMm: 25, rimWidthMm: 1 },
      { id: 'small', name: 'Tube 8', family: 'plated-tube', diameterMm: 8 },
    ],
  });
  run.at(0, { kind: 'start' });
  run.at(60, { kind: 'through' });
  run.at(100, { kind: 'next' });
  run.at(110, { kind: 'start' });
  run.at(300, { kind: 'abort', why: 'Tea' });
  const [small, cup] = bitUses(run.events);
  expect(small).toMatchObject({ bitId: 'small', depthMm: 6, holes: 1, state: null });
  expect(cup).toMatchObject({ bitId: 'cup25', holes: 0 });
});

it('lists what follows on the part and on the slurry', () => {
  const { state } = replayRun(through({ verdict: 'fine', crack: 'none' }).events) ?? {};
  if (!state) throw new Error('no run');
  expect(finishSteps(state).map(({ id }) => id)).toEqual([
    'rinse',
    'look',
    'edge',
    'slurry',
    'bit',
  ]);
});

it('calls out what changes, and a stop before it comes', () => {
  const run = writeRun();
  run.at(0, { kind: 'start' });
  const replayed = replayRun(run.events);
  if (!replayed) throw new Error('no run');
  const at = (s: number) =>
    atMoment(replayed, {
      at: new Date(Date.parse('2026-05-04T10:00:00Z') + s * 1000).toISOString(),
      tickMs: s * 1000,
      session: 's1',
    });
  const cues: string[] = [];
  for (let s = 0; s < 120; s++) {
    const prompt = promptBetween(at(s), at(s + 1), METRIC);
    if (prompt) cues.push(prompt.cue);
  }
  expect(cues).toEqual(expect.arrayContaining(['go', 'soon', 'lift']));
  expect(cues.indexOf('soon')).toBeLessThan(cues.indexOf('lift'));
});

it('asks after 20 s whether a sign’s remedy helped, and ranks what is the matter', () => {
  const run = writeRun();
  run.at(0, { kind: 'start' });
  const sign = run.at(20, { kind: 'sign', sign: 'screech' });
  expect(signToFollow(run.state())).toBeNull();
  run.at(45, { kind: 'sign', sign: 'plume' });
  expect(signToFollow(run.state())?.eventId).toBe(sign.id);
  expect(diagnoseRun(run.state())[0]?.share).toBeLessThan(1);
  run.at(46, { kind: 'helped', of: sign.id, answer: 'yes' });
  expect(signToFollow(run.state())).toBeNull();
});

it('draws the rim where it is calculated to be, with the band it may be in', () => {
  const run = writeRun();
  run.at(0, { kind: 'start' });
  run.at(60, { kind: 'measure', depthMm: 2, by: 'rule' });
  const section = runSection(run.state(), METRIC);
  expect(section.description).toMatch(/about 2 mm deep of 6 mm, between 1\.68 mm and 2\.32 mm/);
});
