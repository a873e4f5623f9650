import type { Hole } from '../documents/hole';
import { namedKit, renameKit } from './namedKit';

const HOLE: Hole = {
  id: 'h',
  xMm: 1,
  yMm: 2,
  diameterMm: 8,
  depth: { kind: 'through' },
  setup: { bit: 'a', bits: ['p', 'a'], machine: 'm' },
  operations: [
    { id: 'mark', does: 'mark' },
    { id: 'core', does: 'core', bitId: 'c', machineId: 'n' },
  ],
};

it('names what setup and operations use', () => {
  expect([...namedKit(HOLE)].sort()).toEqual(['a', 'c', 'm', 'n', 'p']);
  expect([...namedKit({})]).toEqual([]);
});

it('calls all of it by other ids, and leaves the rest as it was', () => {
  const renamed = renameKit(
    HOLE,
    (id) => `bit ${id}`,
    (id) => `machine ${id}`,
  );
  expect(renamed.setup).toEqual({ bit: 'bit a', bits: ['bit p', 'bit a'], machine: 'machine m' });
  expect(renamed.operations).toEqual([
    { id: 'mark', does: 'mark' },
    { id: 'core', does: 'core', bitId: 'bit c', machineId: 'machine n' },
  ]);
  const { setup: _setup, operations: _operations, ...bare } = HOLE;
  expect(renameKit(bare, String, String)).toEqual(bare);
});
