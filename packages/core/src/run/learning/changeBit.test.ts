import { changePoint } from './changeBit';

const flat = (value: number) => ({ p10: value, p50: value, p90: value });

it('changes where the next hole costs more than the mean so far, as in closed form', () => {
  // Cost of hole k: c·k, so C(n) = B/n + c·(n − 1)/2, least at n = √(2B/c): 100 and 2 give 10.
  const { changeAt, costPerHole, costIfKept } = changePoint({
    bitMoney: 100,
    pieceMoney: 0,
    hourMoney: 3600,
    at: (k) => ({ timeS: flat(2 * k + 1e-9), crack: flat(0.01) }),
    wornAt: 40,
  });
  expect(changeAt.p50).toBe(10);
  expect(costPerHole).toBeCloseTo(100 / 10 + 9, 6);
  expect(costIfKept).toBeCloseTo(100 / 40 + 39, 6);
});

it('goes on to the end where a bit does not age', () => {
  const { changeAt, costPerHole, costIfKept } = changePoint({
    bitMoney: 50,
    pieceMoney: 10,
    hourMoney: 20,
    at: () => ({ timeS: flat(180), crack: flat(0.02) }),
    wornAt: 80,
  });
  expect(changeAt.p50).toBe(80);
  expect(costPerHole).toBeCloseTo(50 / 80 + 0.2 + 1, 9);
  expect(costIfKept).toBeCloseTo(costPerHole, 9);
});

it('changes earlier for a dear piece that an old bit breaks', () => {
  const point = (pieceMoney: number): number =>
    changePoint({
      bitMoney: 30,
      pieceMoney,
      hourMoney: 20,
      at: (k) => ({
        timeS: flat(200),
        crack: { p10: 0.01 * 1.03 ** k, p50: 0.01 * 1.05 ** k, p90: 0.01 * 1.07 ** k },
      }),
      wornAt: 100,
    }).changeAt.p50;
  expect(point(400)).toBeLessThan(point(20));
});
