import { nextHolePlace } from './nextHolePlace';

const pane = { kind: 'rectangle', widthMm: 300, heightMm: 200 } as const;

it('begins in the middle, then beside the last, clear of all', () => {
  expect(nextHolePlace(pane, [])).toEqual({ xMm: 150, yMm: 100 });
  const first = { xMm: 150, yMm: 100, diameterMm: 20 };
  expect(nextHolePlace(pane, [first])).toEqual({ xMm: 200, yMm: 100 });
  expect(nextHolePlace(pane, [{ ...first, xMm: 200 }, first])).toEqual({ xMm: 100, yMm: 100 });
});

it('stays put when nothing near is free', () => {
  expect(
    nextHolePlace({ kind: 'circle', diameterMm: 30 }, [{ xMm: 15, yMm: 15, diameterMm: 20 }]),
  ).toEqual({ xMm: 15, yMm: 15 });
});
