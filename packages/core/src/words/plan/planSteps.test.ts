import { caseWith, type JobParts } from '../../setup/jobFixtures';
import { makePlan } from './makePlan';
import type { Step } from '../../documents/plan';
import { STEP_KINDS } from '../../data/phases';

function stepsOf(parts: JobParts = {}): readonly Step[] {
  const outcome = makePlan(caseWith(parts));
  if (outcome.kind !== 'planned') throw new Error(JSON.stringify(outcome.faults));
  return outcome.plan.steps;
}
const kinds = (parts: JobParts = {}): string[] => stepsOf(parts).map((step) => step.kind);
const text = (parts: JobParts = {}): string =>
  stepsOf(parts)
    .map((step) => `${step.title} ${step.detail}`)
    .join('\n');

it('goes from mark to clean-up in the order of the work', () => {
  expect(kinds()).toEqual([
    'prepare',
    'prepare',
    'prepare',
    'prepare',
    'seat',
    'cut',
    'lift',
    'ease-off',
    'through',
    'withdraw',
    'free-core',
    'clean',
    'done',
  ]);
  expect(kinds().every((kind) => (STEP_KINDS as readonly string[]).includes(kind))).toBe(true);
});

it('carries the person’s own choices', () => {
  const words = text({
    setup: {
      start: 'tape',
      hold: 'freehand',
      water: { kind: 'bottle' },
      support: { kind: 'wet-sand' },
    },
  });
  expect(words).toMatch(/Cross of tape on the mark/);
  expect(words).toMatch(/Free hand/);
  expect(words).toMatch(/Squeeze bottle\. Now and then/);
  expect(words).toMatch(/Wet sand tray, 30 mm/);
});

it('marks a solid bit with a dot, a core with its circle', () => {
  const point = {
    bits: [{ id: 'p', name: 'P', family: 'plated-point' as const, diameterMm: 2 }],
    hole: { diameterMm: 2 },
  };
  expect(text(point)).toMatch(/A dot 200 mm from the left/);
  expect(kinds(point)).not.toContain('free-core');
  expect(text()).toMatch(/circle of 25 mm or four ticks/);
});

it('turns the piece over, breaks cores, changes water and sets the fall where they are due', () => {
  expect(kinds({ setup: { sides: 'two' } })).toContain('flip');
  expect(kinds({ piece: { thicknessMm: 60, form: 'block' } })).toContain('core-break');
  expect(kinds({ setup: { water: { kind: 'pool', coverMm: 1 } } })).toContain('water-change');
  expect(text({ hole: { fall: { oneIn: 60, lowSide: 'far' } } })).toMatch(
    /One in 60, the far face lower/,
  );
});

it('stops before leaving the hole by hand, turns until nearly out on a rig', () => {
  expect(text()).toMatch(/Stop the motor with the rim still in the hole/);
  expect(text({ setup: { hold: 'rig' } })).toMatch(/Keep it turning until nearly out/);
});

it('leaves the core of a ring standing and opens no far face', () => {
  const ring = kinds({ hole: { depth: { kind: 'ring', depthMm: 3 } } });
  expect(ring).not.toContain('free-core');
  expect(ring).not.toContain('through');
});

it('beds a new bit in', () => {
  const fresh = {
    bits: [
      { id: 'cup25', name: 'Cup', family: 'plated-cup-saw' as const, diameterMm: 25, holesCut: 0 },
    ],
  };
  expect(text(fresh)).toMatch(/Bed the new bit in/);
  expect(text()).not.toMatch(/Bed the new bit in/);
});

it('says ease off only where the force falls', () => {
  expect(text()).toMatch(/Ease off to 14 N From 5.5 mm: less force, same speed/);
  expect(text({ setup: { exit: 'hold' } })).toMatch(
    /Keep to 26 N, no more From 5.5 mm: nearly through/,
  );
  expect(text({ setup: { hold: 'freehand', support: { kind: 'nothing' } } })).toMatch(
    /Ease off to \d+ N From/,
  );
});
