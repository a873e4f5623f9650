import { spreadLabels, wrapWords } from './spreadLabels';

const label = (y: number, heightPx = 16) => ({ y, heightPx });

it('leaves labels where they are when there is room', () => {
  expect(spreadLabels([label(40), label(10)]).map((one) => one.at)).toEqual([10, 40]);
});

it('moves crowded labels down, in order, each below the last one’s own height', () => {
  expect(spreadLabels([label(12, 32), label(10), label(14)]).map((one) => one.at)).toEqual([
    10, 26, 58,
  ]);
});

it('keeps the room above free', () => {
  expect(spreadLabels([label(10), label(90)], 50).map((one) => one.at)).toEqual([50, 90]);
});

it('breaks long names between words', () => {
  expect(wrapWords('Lightweight or aerated block', 17)).toEqual([
    'Lightweight or',
    'aerated block',
  ]);
  expect(wrapWords('Slate', 17)).toEqual(['Slate']);
});
