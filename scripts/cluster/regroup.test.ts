import { remedyFor } from './regroup.mjs';

const isIn = (seqno: number) => ({ isIn: true, seqno });
const isOut = (seqno: number) => ({ isIn: false, seqno });
const unknown = undefined;

it('leaves nodes alone that are together, or on their way back', () => {
  expect(remedyFor([isIn(5), isIn(5), isIn(5)], [unknown, unknown, unknown])).toBeNull();
  expect(remedyFor([isIn(5), null, isIn(5)], [unknown, 3, unknown])).toBeNull();
});

it('starts anew what is up and out while others write', () => {
  expect(remedyFor([isOut(9), isIn(5), isOut(1)], [unknown, unknown, unknown])).toEqual({
    again: [0, 2],
  });
});

it('lets the one with the most go first where none is in, and of several the one that is up', () => {
  expect(remedyFor([isOut(4), isOut(7), null], [unknown, unknown, 5])).toEqual({
    first: 1,
    isUp: true,
  });
  expect(remedyFor([null, isOut(6), null], [7, unknown, 5])).toEqual({ first: 0, isUp: false });
  expect(remedyFor([null, isOut(7), null], [7, unknown, 5])).toEqual({ first: 1, isUp: true });
  expect(remedyFor([null, null, null], [-1, 2, 2])).toEqual({ first: 1, isUp: false });
});

it('waits where one does not say how far it is', () => {
  expect(remedyFor([isOut(4), null, isOut(4)], [unknown, unknown, unknown])).toBeNull();
  expect(remedyFor([null, isOut(4), null], [unknown, unknown, 4])).toBeNull();
});
