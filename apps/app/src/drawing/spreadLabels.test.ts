import { spreadLabels, wrapWords } from './spreadLabels';

it('leaves labels where they are when there is room', () => {
  expect(spreadLabels([{ y: 40 }, { y: 10 }], 16).map((one) => one.at)).toEqual([10, 40]);
});

it('moves crowded labels down, in order, never closer than the gap', () => {
  expect(spreadLabels([{ y: 12 }, { y: 10 }, { y: 14 }], 16).map((one) => one.at)).toEqual([
    10, 26, 42,
  ]);
});

it('breaks long names between words', () => {
  expect(wrapWords('Lightweight or aerated block', 17)).toEqual([
    'Lightweight or',
    'aerated block',
  ]);
  expect(wrapWords('Slate', 17)).toEqual(['Slate']);
});
