import { readAnswers } from '../../advice/start/answers';
import { startPiece } from '../../advice/start/startPiece';
import { judgeTradeRules, TRADE_RULES, type TradeScene } from '../../advice/tradeRules';
import { INCH_POUND, METRIC } from '../../data/unitSystem';
import { findMaterial } from '../../data/materials/materials';
import { makePlan } from '../plan/makePlan';
import { tradeRulesInWords } from './tradeRulesInWords';

function sceneOf(said: Record<string, string>): TradeScene {
  const { piece, hole } = startPiece(readAnswers(said));
  const outcome = makePlan(
    {
      materials: [],
      job: {},
      piece: { id: 'p', name: 'Piece', ...piece },
      hole: { id: 'h', ...hole },
      kit: {},
      habits: {},
    },
    METRIC,
  );
  const materialClass = findMaterial(piece.material)?.class;
  if (outcome.kind !== 'planned' || !materialClass) throw new Error('no plan');
  return { plan: outcome.plan, form: piece.form, materialClass };
}
const TANK = sceneOf({
  thing: 'built-tank',
  treatment: 'annealed',
  size: '600x300x300',
  pane: 'end',
  thickness: '6',
  through: '38',
});
const PEBBLE = sceneOf({
  thing: 'bead',
  make: 'quartzite-agate',
  size: '30',
  thickness: '9',
  place: 'middle',
  through: '3',
  count: '1',
});
const WALL = sceneOf({ thing: 'outside-wall', build: 'brick', thickness: '215', through: '107' });

it('says each rule where its trade would', () => {
  const ids = (scene: TradeScene) => judgeTradeRules(scene).map(({ id }) => id);
  expect(ids(TANK)).toEqual(['weight-of-the-drill', 'third-to-half-speed', 'minute-for-six']);
  expect(ids(PEBBLE)).toEqual(['thumbs-only']);
  expect(ids(WALL)).toEqual(['milk-chocolate']);
});

it('takes its range from the machine, and measures how far the plan lies outside', () => {
  const [weight, speed, minute] = judgeTradeRules(TANK);
  // A cordless drill of 1.2 to 2 kg: 11.8 to 19.6 N; 1900 rpm at most: 633 to 950.
  expect([weight?.low, weight?.high].map((n) => Math.round((n ?? 0) * 10) / 10)).toEqual([
    11.8, 19.6,
  ]);
  expect(speed?.low).toBeCloseTo(633.3, 1);
  expect([minute?.low, minute?.high]).toEqual([45, 75]);
  for (const { low, high, actual, departure } of judgeTradeRules(TANK)) {
    if (actual >= low && actual <= high) expect(departure).toBe(0);
    else expect(departure).toBeCloseTo(actual > high ? actual / high - 1 : actual / low - 1);
  }
});

it('says in words what the rule comes to, what the plan has, and why it departs', () => {
  for (const scene of [TANK, PEBBLE, WALL])
    for (const units of [METRIC, INCH_POUND])
      for (const { id, beside, why, agrees } of tradeRulesInWords(scene, units)) {
        expect(Object.keys(TRADE_RULES)).toContain(id);
        expect(beside).toMatch(/ here; this plan /);
        expect(why === '').toBe(agrees);
        if (units === INCH_POUND) expect(`${beside} ${why}`).not.toMatch(/\bmm|\bN\b|MPa/);
      }
});
