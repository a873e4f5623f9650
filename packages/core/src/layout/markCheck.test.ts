import type { JudgedRule } from './edgeRules';
import { checkMark, markingOrder } from './markCheck';
import { tapePlan } from './tapes';

const pane = { kind: 'rectangle', widthMm: 400, heightMm: 300 } as const;
const tapes = tapePlan(pane, { id: 'h', xMm: 120, yMm: 50, diameterMm: 20 });
const broken = { rule: 'house-rule' } as JudgedRule;
const scene = { toleranceMm: null, brokenThere: undefined, brokenAsPlanned: undefined };
const check = (firstMm: number, secondMm: number, more: object = {}, checkMm?: number) =>
  checkMark(
    tapes,
    {
      at: '2026-05-04T10:00:00Z',
      firstMm,
      secondMm,
      ...(checkMm === undefined ? {} : { checkMm }),
    },
    { ...scene, ...more },
  );

it('says how far off the mark lies, and takes two millimetres where the part does not say', () => {
  expect(check(120, 50)).toMatchObject({
    offsetMm: { xMm: 0, yMm: 0 },
    errorMm: 0,
    residualMm: null,
    toleranceMm: 2,
    partSays: false,
    verdict: 'good',
  });
  expect(check(123, 46)).toMatchObject({
    offsetMm: { xMm: 3, yMm: -4 },
    errorMm: 5,
    verdict: 'off',
  });
  expect(check(122, 50).verdict).toBe('good');
  expect(check(122.1, 50).verdict).toBe('off');
  expect(check(122.1, 50, { toleranceMm: 3 })).toMatchObject({ verdict: 'good', partSays: true });
});

it('doubts a reading whose check is more than two millimetres away', () => {
  // The corner lies √(120² + 50²) = 130 away.
  expect(check(120, 50, {}, 132)).toMatchObject({ residualMm: 2, verdict: 'good' });
  expect(check(120, 50, {}, 128).verdict).toBe('good');
  expect(check(120, 50, {}, 132.1).verdict).toBe('misread');
  expect(check(120, 50, {}, 127.9).verdict).toBe('misread');
});

it('is too near where it breaks a rule that the plan does not', () => {
  expect(check(120, 50, { brokenThere: broken })).toMatchObject({ verdict: 'too-near', broken });
  expect(check(120, 50, { brokenThere: broken, brokenAsPlanned: broken })).toMatchObject({
    verdict: 'good',
    broken: null,
  });
  expect(check(120, 50, { brokenThere: broken }, 140).verdict).toBe('misread');
});

it('marks row by row from the datum upwards, heights within 5 mm being one row', () => {
  const hole = (name: string, xMm: number, yMm: number) => ({ name, xMm, yMm });
  const order = markingOrder([
    hole('d', 10, 100),
    hole('b', 200, 12),
    hole('c', 300, 16),
    hole('a', 20, 15),
    hole('e', 5, 105.1),
  ]);
  expect(order.map(({ name }) => name)).toEqual(['a', 'b', 'c', 'd', 'e']);
  expect(markingOrder([hole('q', 9, 5), hole('p', 1, 10)]).map(({ name }) => name)).toEqual([
    'p',
    'q',
  ]);
  expect(markingOrder([])).toEqual([]);
});
