import type { Operation } from '../../documents/operation';
import { chosen, added, changed, moved, without } from './editOperations';

const LIST: readonly Operation[] = [
  { id: 'mark', does: 'mark', face: 'near', fromMm: 0, toMm: 0 },
  { id: 'core', does: 'core', face: 'near', fromMm: 0, toMm: 40 },
  { id: 'clean', does: 'clean', face: 'near', fromMm: 40, toMm: 40 },
];
const ids = (operations: readonly Operation[]): string[] => operations.map(({ id }) => id);

it('moves one up or down, and no further than the ends', () => {
  expect(ids(moved(LIST, 'core', -1))).toEqual(['core', 'mark', 'clean']);
  expect(ids(moved(LIST, 'core', 1))).toEqual(['mark', 'clean', 'core']);
  expect(ids(moved(LIST, 'core', -9))).toEqual(['core', 'mark', 'clean']);
  expect(ids(moved(LIST, 'core', 9))).toEqual(['mark', 'clean', 'core']);
  expect(moved(LIST, 'gone', 1)).toBe(LIST);
});

it('takes one out, and changes one alone', () => {
  expect(ids(without(LIST, 'core'))).toEqual(['mark', 'clean']);
  const deeper = changed(LIST, 'core', (one) => ({ ...one, toMm: 45 }));
  expect(deeper.map(({ toMm }) => toMm)).toEqual([0, 45, 40]);
  expect(deeper[0]).toBe(LIST[0]);
});

it('adds one after another with an id of its own, on the same face', () => {
  const one = added(LIST, 'core', 'core');
  expect(one.id).toBe('core-2');
  expect(ids(one.operations)).toEqual(['mark', 'core', 'core-2', 'clean']);
  // A cut begins where the hole is: the planner says where that is.
  expect(one.operations[2]).toEqual({ id: 'core-2', does: 'core', face: 'near' });
  const hand = added(one.operations, 'break-out', 'core');
  expect(hand.operations[2]).toEqual({
    id: 'break-out',
    does: 'break-out',
    face: 'near',
    fromMm: 40,
    toMm: 40,
  });
  expect(ids(added(LIST, 'ease-edge', null).operations).at(-1)).toBe('ease-edge');
  expect(added([], 'core', null).operations).toEqual([{ id: 'core', does: 'core', face: 'near' }]);
});

it('has a choice made, changed, and left to the planner again', () => {
  const one = { id: 'a', does: 'core', face: 'near' } as const;
  const held = chosen(one, 'hold', 'rig');
  expect(held).toEqual({ ...one, hold: 'rig' });
  expect(chosen(held, 'hold', undefined)).toEqual(one);
  expect(chosen(held, 'face', undefined)).toEqual({ id: 'a', does: 'core', hold: 'rig' });
});
