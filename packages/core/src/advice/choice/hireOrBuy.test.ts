import { hireInWords } from '../../words/advice/hireInWords';
import { caseWith, type JobParts } from '../../setup/jobFixtures';
import { hireOrBuy, MAX_HOLES, type HirePrices } from './hireOrBuy';

const weigh = (parts: JobParts = {}, prices: Partial<HirePrices> = {}) => {
  const found = hireOrBuy(caseWith(parts), prices);
  if (found.kind === 'faulty') throw new Error(JSON.stringify(found.faults));
  return found.hireOrBuy;
};

it('tells the turning points where the cost lines cross', () => {
  const { options, cheapestFrom } = weigh();
  for (let holes = 1; holes <= MAX_HOLES; holes++) {
    const cheapest = [...options].sort(
      (a, b) => (a.costMoney[holes - 1] ?? 0) - (b.costMoney[holes - 1] ?? 0),
    )[0];
    const said = cheapestFrom.findLast((point) => point.holes <= holes);
    const costSaid = options.find((one) => one.way === said?.way)?.costMoney[holes - 1];
    expect(costSaid).toBeCloseTo(cheapest?.costMoney[holes - 1] ?? NaN, 9);
  }
});

it('buys whole bits as their life is cut away', () => {
  const cheap = weigh().options.find((one) => one.way === 'cheap-bit');
  // A plated cup lasts √(39 · 140) mm in glass, 12 holes of 6 mm.
  expect(cheap?.bits.slice(11, 13)).toEqual([1, 2]);
  const jump = (cheap?.costMoney[12] ?? 0) - (cheap?.costMoney[11] ?? 0);
  const step = (cheap?.costMoney[11] ?? 0) - (cheap?.costMoney[10] ?? 0);
  expect(jump - step).toBeCloseTo(weigh().prices.cheapBitMoney, 6);
});

it('follows the prices it is given', () => {
  expect(weigh({}, { orderedHoleMoney: 0.1, orderedTripMoney: 0 }).cheapestFrom).toEqual([
    { holes: 1, way: 'ordered-in' },
  ]);
  const dear = weigh({}, { orderedHoleMoney: 500, rigDayMoney: 5000 });
  expect(dear.cheapestFrom.every(({ way }) => way === 'cheap-bit' || way === 'good-bit')).toBe(
    true,
  );
});

it('says how long a bit lasts in two figures, for nobody knows it better', () => {
  const outcome = hireInWords(hireOrBuy(caseWith()));
  if (outcome.kind !== 'weighed') throw new Error('faulty');
  const texts = outcome.hireOrBuy.options.map(({ text }) => text);
  const lasts = texts.flatMap((text) => /lasts about (\d+) hole/.exec(text)?.[1] ?? []);
  expect(lasts.length).toBeGreaterThan(1);
  for (const holes of lasts) expect(holes).toMatch(/^[1-9]\d?0*$/);
});

it('hires a stand for a wall and a press for a loose piece', () => {
  const titles = (parts: JobParts) => {
    const outcome = hireInWords(hireOrBuy(caseWith(parts)));
    return outcome.kind === 'weighed' ? outcome.hireOrBuy.options.map((one) => one.title) : [];
  };
  expect(titles({})).toContain('Hired: bench drill press');
  const wall: JobParts = {
    piece: { form: 'wall', material: 'concrete', thicknessMm: 150 },
    hole: { diameterMm: 102 },
    bits: [{ id: 'seg', name: 'Core', family: 'segmented-core', diameterMm: 102 }],
  };
  expect(titles(wall)).toContain('Hired: core drill on a stand');
  expect(titles(wall).filter((title) => title.includes('bit'))).toHaveLength(1);
});

it('hires no press for a pane that stands built', () => {
  const ways = (assembled: boolean): readonly string[] =>
    weigh({ piece: { assembled } }).options.map(({ way }) => way);
  expect(ways(false)).toContain('hired-rig');
  expect(ways(true)).not.toContain('hired-rig');
});
