import type { JobParts } from '../setup/jobFixtures';
import { caseWith, PEBBLE, wallOf } from '../setup/jobFixtures';
import { operationPresets } from './operationPresets';

const of = (parts: JobParts = {}) => operationPresets(caseWith(parts));
const ids = (parts: JobParts = {}): string[] => of(parts).map(({ id }) => id);
const used = (parts: JobParts = {}) => of(parts).find(({ inUse }) => inUse)?.id;
const setupOf = (parts: JobParts, wanted: string) =>
  of(parts).find(({ id }) => id === wanted)?.setup;

const WALL: JobParts = {
  piece: wallOf(['clay-brick', 215]),
  hole: { diameterMm: 127 },
  bits: [
    { id: 'core', name: 'Core', family: 'segmented-core', diameterMm: 127 },
    { id: 'long', name: 'Long 10', family: 'masonry-bit', diameterMm: 10, usableDepthMm: 300 },
    { id: 'short', name: 'Short 6', family: 'masonry-bit', diameterMm: 6, usableDepthMm: 100 },
  ],
};

it('offers one face or both to a hole that goes through, one to a blind one', () => {
  expect(ids()).toEqual(['one-face', 'both-faces']);
  expect(ids({ hole: { depth: { kind: 'blind', depthMm: 3 } } })).toEqual(['one-face']);
  expect(used()).toBe('one-face');
  expect(used({ setup: { sides: 'two' } })).toBe('both-faces');
});

it('sends an owned bit that is long enough through a wall first, and no other', () => {
  expect(setupOf(WALL, 'pilot-first')).toMatchObject({ bits: ['long', 'core'], sides: 'two' });
  expect(setupOf(WALL, 'pilot-first')).not.toHaveProperty('bit');
  const bits = (WALL.bits ?? []).filter(({ id }) => id !== 'long');
  expect(ids({ ...WALL, bits })).not.toContain('pilot-first');
  expect(used({ ...WALL, setup: { bits: ['long', 'core'], sides: 'two' } })).toBe('pilot-first');
});

it('offers the cheapest chain of owned sizes as steps', () => {
  // The widest first: what is assumed is the hole’s own size.
  const reversed = { ...PEBBLE, bits: [...(PEBBLE.bits ?? [])].reverse() };
  const steps = setupOf(reversed, 'steps')?.bits ?? [];
  expect(steps.length).toBeGreaterThan(1);
  expect(steps.at(-1)).toBe('r6');
  expect(used({ ...reversed, setup: { bits: ['p', 'r6'] } })).toBe('steps');
});

it('goes back from steps to the bit that ends them', () => {
  const stepped = { ...WALL, setup: { bits: ['long', 'core'], sides: 'two' as const } };
  expect(setupOf(stepped, 'one-face')).toMatchObject({ sides: 'one' });
  expect(setupOf(stepped, 'one-face')).not.toHaveProperty('bits');
});
