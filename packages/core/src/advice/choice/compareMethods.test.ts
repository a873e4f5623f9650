import { makePlan } from '../../words/plan/makePlan';
import { caseIn, caseWith, jobWith, type JobParts } from '../../setup/jobFixtures';
import type { House } from '../../documents/house';
import { compareMethods, type Comparison, type QuestionId } from './compareMethods';

const compare = (parts: JobParts = {}, house?: House): readonly Comparison[] => {
  const file = { ...jobWith(parts), ...(house ? { house } : {}) };
  const found = compareMethods(caseIn(file));
  if (found.kind === 'faulty') throw new Error(JSON.stringify(found.faults));
  return found.comparisons;
};
const one = (id: QuestionId, parts: JobParts = {}) => {
  const found = compare(parts).find((comparison) => comparison.id === id);
  if (!found) throw new Error(`no ${id}`);
  return Object.fromEntries(found.methods.map((method) => [method.id, method]));
};

it('shows each way as the plan it becomes when picked', () => {
  for (const comparison of compare()) {
    for (const { setup, outcome } of comparison.methods) {
      const planned = makePlan(caseWith({ setup }));
      if (planned.kind === 'faulty') throw new Error('faulty');
      expect(planned.plan.drillTimeS?.p50).toBeCloseTo(outcome?.timeS?.p50 ?? NaN, 9);
      expect(planned.plan.exitChipMm?.p50).toBeCloseTo(outcome?.chipMm?.p50 ?? NaN, 9);
    }
  }
});

it('finds hard backing best at the exit, and both sides better still', () => {
  const backing = one('backing', { setup: { hold: 'freehand' } });
  expect(backing['hard']?.bestIn).toContain('chip');
  expect(backing['soft']?.bestIn).not.toContain('chip');
  const sides = one('sides');
  expect(sides['two']?.outcome?.chipMm?.p50).toBe(0);
});

it('marks the way that is planned now', () => {
  expect(one('backing', { setup: { support: { kind: 'softwood' } } })['wood']?.current).toBe(true);
  expect(one('pace', { setup: { pace: 'brisk' } })['brisk']?.current).toBe(true);
  expect(one('pace', { setup: { pace: 'brisk' } })['gentle']?.current).toBe(false);
});

it('shows what is planned now with the plan’s own figures, to the machine', () => {
  const planned = makePlan(caseWith());
  if (planned.kind === 'faulty') throw new Error('faulty');
  for (const { methods } of compare()) {
    for (const { current, outcome } of methods) {
      if (current) expect(outcome?.timeS?.p50).toBeCloseTo(planned.plan.drillTimeS?.p50 ?? NaN, 9);
    }
  }
});

it('asks at a wall what a wall asks', () => {
  const wall: JobParts = {
    piece: { form: 'wall', material: 'concrete', thicknessMm: 150 },
    bits: [{ id: 'seg', name: 'Core', family: 'segmented-core', diameterMm: 25 }],
  };
  const ids = compare(wall).map((comparison) => comparison.id);
  expect(ids).toContain('wall-water');
  expect(ids).not.toContain('backing');
  expect(ids).not.toContain('water');
});

it('leaves out the second side of a hole that does not go through', () => {
  const ids = compare({ hole: { depth: { kind: 'blind', depthMm: 3 } } }).map(({ id }) => id);
  expect(ids).not.toContain('sides');
});

it('a house habit settles what the person left open, and nothing else', () => {
  const house = { habits: { backing: 'hard', pace: 'gentle' } };
  const file = jobWith({ setup: { pace: 'brisk' } });
  const open = {
    ...file,
    house,
    pieces: file.pieces.map((piece) => ({
      ...piece,
      holes: piece.holes.map((hole) => {
        const { support: _, ...setup } = hole.setup ?? {};
        return { ...hole, setup };
      }),
    })),
  };
  const planned = makePlan(caseIn(open));
  if (planned.kind === 'faulty') throw new Error('faulty');
  expect(planned.plan.setup.supportKind).toBe('sacrificial-hard');
  expect(planned.plan.reasons['support']?.text).toBe('Your house habit.');
  expect(planned.plan.setup.pace).toBe('brisk');
});

it('knows what of the kit a way needs, and what is missing', () => {
  const file = jobWith();
  const found = compareMethods(
    caseIn({
      ...file,
      kit: {
        ...file.kit,
        supports: [{ id: 's', name: 'Offcut', kind: 'sacrificial-hard' }],
        guides: [{ id: 'g', name: 'Wide board', kind: 'board', boreMm: 40 }],
      },
    }),
  );
  if (found.kind === 'faulty') throw new Error('faulty');
  const way = (question: string, id: string) =>
    found.comparisons
      .find((one) => one.id === question)
      ?.methods.find((method) => method.id === id);
  expect(way('backing', 'hard')?.have).toBe('Offcut');
  expect(way('start', 'guide')?.have).toBeNull();
  expect(way('hold', 'press')?.have).toBe('Free machine');
});

it('lays steps beside going straight wherever the kit could step', () => {
  const rods: JobParts = {
    piece: { form: 'block', material: 'marble', thicknessMm: 10 },
    hole: { diameterMm: 8 },
    bits: [
      { id: 'rod8', name: 'Rod 8', family: 'sintered-rod', diameterMm: 8 },
      { id: 'rod4', name: 'Rod 4', family: 'sintered-rod', diameterMm: 4 },
    ],
  };
  const steps = one('steps', rods);
  expect(steps['steps']?.setup.bits).toEqual(['rod4', 'rod8']);
  expect(steps['straight']?.current).toBe(true);
  expect(compare().some(({ id }) => id === 'steps')).toBe(false);
});
