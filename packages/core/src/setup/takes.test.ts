import type { Holder, Shank } from '../data/couplings/shank';
import { MACHINE_KINDS } from '../data/machines/machineKinds';
import { holdersOf, takes } from './takes';

const chuck: Holder = { kind: 'round', leastMm: 1.5, mostMm: 13 };
const collet: Holder = { kind: 'round', sizesMm: [2.35, 3, 3.2] };
const hexSocket: Holder = { kind: 'hex', leastMm: 6.35, mostMm: 6.35 };
const round = (sizeMm?: number): Shank => ({ kind: 'round', ...(sizeMm && { sizeMm }) });
const hex = (sizeMm?: number): Shank => ({ kind: 'hex', ...(sizeMm && { sizeMm }) });

it.each<[string, Holder, Shank, boolean]>([
  ['a chuck closes on what lies between its jaws’ limits', chuck, round(6), true],
  ['at its least', chuck, round(1.5), true],
  ['at its most', chuck, round(13), true],
  ['not on a thinner one', chuck, round(1.4), false],
  ['not on a thicker one', chuck, round(13.5), false],
  ['on a six-sided one too', chuck, hex(6.35), true],
  ['on one whose size nobody said', chuck, round(), true],
  ['a collet closes on its own sizes', collet, round(3), true],
  ['a little off', collet, round(3.09), true],
  ['no more than that', collet, round(2.75), false],
  ['and on nothing six-sided', collet, hex(3), false],
  ['a six-sided socket takes six-sided shanks', hexSocket, hex(6.35), true],
  ['and no round ones', hexSocket, round(6.35), false],
  ['a thread takes its own', { kind: 'thread-m14' }, { kind: 'thread-m14' }, true],
  ['and no chuck takes a thread', chuck, { kind: 'thread-m14' }, false],
])('%s', (_, holder, shank, isTaken) => {
  expect(takes(holder, shank)).toBe(isTaken);
});

it('goes by a machine’s own holders, or by what its kind has', () => {
  const machine = { id: 'm', name: 'Press', kind: 'small-drill-press' } as const;
  expect(holdersOf({ ...machine, holders: [collet] })).toEqual([collet]);
  expect(holdersOf(machine)).toEqual(MACHINE_KINDS['small-drill-press'].holders);
  expect(holdersOf({ ...machine, holders: [] })).toEqual(holdersOf(machine));
});
