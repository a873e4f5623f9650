import type { Bit, Coupling } from '../../documents/kit';
import { bitGeometry } from '../../physics/cutting/bitGeometry';
import { ownReach, reachTo, sticksOut } from './reach';

const CUP: Bit = {
  id: 'cup',
  name: 'Cup 62',
  family: 'plated-cup-saw',
  diameterMm: 62,
  usableDepthMm: 50,
  shank: { kind: 'thread-g-half' },
};
const tool = (over: Partial<Bit> = {}) => {
  const bit = { ...CUP, ...over };
  return { bit, owned: true, geometry: bitGeometry(bit) };
};
const extension = (id: string, lengthMm: number, over: Partial<Coupling> = {}): Coupling => ({
  id,
  name: id,
  kind: 'extension',
  into: { kind: 'thread-g-half' },
  takes: { kind: 'thread-g-half' },
  lengthMm,
  ...over,
});

it('is the barrel’s, and the shank’s behind it where that goes into the hole', () => {
  expect(ownReach(tool())).toBe(50);
  expect(ownReach(tool({ freeLengthMm: 90 }))).toBe(90);
  const thick = { shank: { kind: 'round', sizeMm: 13 }, diameterMm: 12, freeLengthMm: 90 } as const;
  expect(ownReach(tool(thick))).toBe(50);
  expect(ownReach(tool({ ...thick, diameterMm: 14 }))).toBe(90);
  // A free length shorter than the barrel says nothing.
  expect(ownReach(tool({ freeLengthMm: 20 }))).toBe(50);
});

it('stands out by its free length, else by its barrel and 20 mm of shank, and what it is put on', () => {
  expect(sticksOut(tool())).toBe(70);
  expect(sticksOut(tool({ freeLengthMm: 90 }), [extension('a', 60), extension('b', 100)])).toBe(
    250,
  );
});

it('takes the shortest owned extension that is long enough, and invents none', () => {
  const kit = {
    couplings: [extension('long', 300), extension('short', 60), extension('right', 100)],
  };
  expect(reachTo(kit, tool(), 50).extension).toBeNull();
  expect(reachTo(kit, tool(), 150).extension?.id).toBe('right');
  expect(reachTo(kit, tool(), 151).extension?.id).toBe('long');
  expect(reachTo(kit, tool(), 400).extension).toBeNull();
  expect(reachTo({}, tool(), 150)).toEqual({ ownMm: 50, extension: null });
  const chosen = [extension('chosen', 120)];
  expect(reachTo(kit, tool(), 150, chosen).extension?.id).toBe('chosen');
  expect(reachTo(kit, tool(), 40, chosen).extension).toBeNull();
});

it('passes over what is wider than the hole, put away, no extension, or takes another thread', () => {
  const of = (over: Partial<Coupling>) =>
    reachTo({ couplings: [extension('e', 200, over)] }, tool(), 150).extension;
  expect(of({})).not.toBeNull();
  expect(of({ diameterMm: 61 })).not.toBeNull();
  expect(of({ diameterMm: 62 })).toBeNull();
  expect(of({ retired: true })).toBeNull();
  expect(of({ kind: 'adapter' })).toBeNull();
  expect(of({ takes: { kind: 'thread-m14' } })).toBeNull();
});
