import type { Experience, LoggedFactors } from '../documents/experience';
import { factorsFor } from '../documents/experience';
import { bendLater } from '../physics/plate/bender';
import { assessRisk } from '../physics/strength/assessRisk';
import { riskModelOf } from '../advice/risk/riskModelOf';
import type { DrillCase } from '../setup/drillCase';
import { caseWith, wallOf } from '../setup/jobFixtures';
import { Z_90 } from '../math/normal';
import { fromLog, loggedCrack } from './fromLog';
import { coreBit, cutAt } from './planFixtures';
import { planNumbers } from './planNumbers';
import { timelineOf } from './timeline';
import { workOut } from './workOut';

const factors = (more: Partial<LoggedFactors> = {}): LoggedFactors => ({
  material: null,
  family: null,
  bit: null,
  holes: 0,
  time: null,
  chip: null,
  hazard: null,
  ...more,
});
const log = (...all: readonly LoggedFactors[]): Experience => ({
  hash: 'abc',
  at: '2026-05-01T00:00:00Z',
  holes: 9,
  factors: all,
});
const DIAL = caseWith();
const contextWith = (experience: Experience | null, drillCase: DrillCase = DIAL) =>
  workOut({ ...drillCase, experience }, bendLater);
const planWith = (experience: Experience | null, drillCase: DrillCase = DIAL) =>
  planNumbers(contextWith(experience, drillCase));
const SLOW = log(factors({ time: { mean: Math.log(1.6), sd: 0.1 } }));

it('prefers the bit, then the stone, then the kind of bit', () => {
  const any = factors();
  const glass = factors({ material: 'float-glass' });
  const saw = factors({ family: 'plated-cup-saw' });
  const mine = factors({ bit: 'b1' });
  const asked = { material: 'float-glass', family: 'plated-cup-saw', bit: 'b1' };
  expect(factorsFor(log(any, saw, glass, mine), asked)).toBe(mine);
  expect(factorsFor(log(any, saw, glass), asked)).toBe(glass);
  expect(factorsFor(log(any, saw), asked)).toBe(saw);
  expect(factorsFor(log(any, saw), { ...asked, family: 'plated-tube' })).toBe(any);
  expect(factorsFor(log(mine), { ...asked, bit: 'b2' })).toBeNull();
});

it('takes as long as the log tells, pauses as they are, with its band', () => {
  const before = planWith(null);
  const after = planWith(SLOW);
  const total = before.drillTimeS?.p50 ?? NaN;
  // A slower rim is lifted a little more often.
  expect((after.drillTimeS?.p50 ?? 0) / (1.6 * total)).toBeCloseTo(1, 1);
  expect(after.drillTimeS?.p90).toBeCloseTo((after.drillTimeS?.p50 ?? 0) * Math.exp(Z_90 * 0.1), 6);
  // Cutting alone is slowed, by more than the whole.
  expect(before.rateMmPerS / after.rateMmPerS).toBeGreaterThan(1.6);
  expect(after.clock.liftS).toBe(before.clock.liftS);
  expect(after.fromLog).toMatchObject({ hash: 'abc', holes: 9, times: 1.6 });
  expect(after.fromLog?.asNew.drillTimeS).toEqual(before.drillTimeS);
  expect(before.fromLog).toBeNull();
});

it('takes exactly so many times as long where nothing else changes with it, and never under a tenth of the cutting', () => {
  // Running water flushes the groove: no lifts, and none of the rests of a held drill.
  const flushed = caseWith({ setup: { hold: 'press', water: { kind: 'spindle' } } });
  const [before, after] = [null, SLOW].map((one) => contextWith(one, flushed).time);
  expect(before?.pausesS).toBeGreaterThan(1);
  expect(before?.restShare).toBe(0);
  expect((after?.spread?.p50 ?? NaN) / (before?.spread?.p50 ?? NaN)).toBeCloseTo(1.6, 9);
  expect(after?.pausesS).toBe(before?.pausesS);
  const quick = log(factors({ time: { mean: Math.log(0.01), sd: 0.1 } }));
  expect(contextWith(quick, flushed).time.cuttingS / (before?.cuttingS ?? NaN)).toBeCloseTo(0.1, 9);
});

it('counts the rests of a held drill as cutting', () => {
  const wall = caseWith({
    piece: wallOf(['concrete', 150]),
    hole: { diameterMm: 40 },
    bits: [coreBit(40)],
    setup: { bit: 'core', hold: 'freehand', water: { kind: 'spindle' } },
  });
  const [before, after] = [null, SLOW].map((one) => contextWith(one, wall).time);
  expect(before?.restShare).toBeGreaterThan(0.1);
  // Past four minutes arms tire no further, and a rim that cuts does not glaze meanwhile.
  expect(before?.cuttingS).toBeGreaterThan(240);
  expect((after?.restShare ?? NaN) / (before?.restShare ?? NaN)).toBeCloseTo(1, 9);
  expect((after?.spread?.p50 ?? NaN) / (before?.spread?.p50 ?? NaN)).toBeCloseTo(1.6, 9);
});

it('holds its timeline to that, and its Monte Carlo', () => {
  const context = contextWith(SLOW);
  expect(timelineOf(context).at(-1)?.atS).toBeCloseTo(context.time.spread?.p50 ?? NaN, 6);
  const spanOf = (experience: Experience | null): number => {
    const { timeS } = assessRisk(riskModelOf(contextWith(experience)), 2000, 1);
    return timeS ? Math.log(timeS.p90 / timeS.p10) : NaN;
  };
  expect(spanOf(SLOW)).toBeLessThan(0.5 * spanOf(null));
});

it('multiplies the hazard, on the plan and in every draw of the Monte Carlo', () => {
  const twice = log(factors({ hazard: { mean: Math.log(2), sd: 0.3 } }));
  const [p, q] = [planWith(null), planWith(twice)].map((one) => one.crackProbability);
  expect(1 - (q ?? 0)).toBeCloseTo((1 - (p ?? 0)) ** 2, 9);
  const odds = [null, twice].map(
    (one) => assessRisk(riskModelOf(contextWith(one)), 2000, 1).crackProbability,
  );
  expect((odds[1] ?? 0) / (odds[0] ?? 1)).toBeGreaterThan(1.8);
});

it('is 1 − (1 − p)^k of each way of breaking', () => {
  const { crack } = contextWith(null);
  const odds = { byStress: 0.1, byHand: 0.2, byTreatment: 0.5, total: 0.64 };
  const twice = loggedCrack({ ...crack, ...odds }, 2);
  expect(twice.byStress).toBeCloseTo(0.19, 12);
  expect(twice.byHand).toBeCloseTo(0.36, 12);
  expect(twice.byTreatment).toBeCloseTo(0.75, 12);
  expect(twice.total).toBeCloseTo(1 - 0.36 ** 2, 12);
  expect(loggedCrack({ ...crack, ...odds }, 1)).toMatchObject({
    byStress: expect.closeTo(0.1, 12),
  });
});

it('says how sure the log is of the hazard, where it tells of one', () => {
  const sdOf = (logged: Partial<LoggedFactors>) => {
    const told = log(factors({ time: { mean: 0, sd: 0.1 }, ...logged }));
    return contextWith(told).fromLog?.hazardSd;
  };
  expect(sdOf({ hazard: { mean: 0.2, sd: 0.3 } })).toBe(0.3);
  expect(sdOf({})).toBeNull();
  expect(sdOf({ hazard: null })).toBeNull();
  // No far face is opened: the chip is as it is.
  const context = contextWith(SLOW);
  const chip = { p50: 1, p90: 2 };
  const { crack } = context;
  const calculated = { timeS: null, chip, exitCut: null, crack };
  expect(fromLog(SLOW, cutAt(context, 0), calculated)?.asNew.exitChipMm).toBe(chip);
});

it('widens the chip, and eases off sooner to keep it allowed', () => {
  const wide = planWith(log(factors({ chip: { mean: Math.log(2), sd: 0.2 } })));
  const before = planWith(null);
  expect(wide.exitForceN).toBeLessThanOrEqual(before.exitForceN ?? 0);
  const { p50 = NaN, p90 = NaN } = wide.exitChipMm ?? {};
  expect(p90 / p50).toBeCloseTo(Math.exp(Z_90 * 0.2), 6);
  expect((wide.fromLog?.asNew.exitChipMm?.p50 ?? NaN) * 2).toBeCloseTo(p50, 9);
});

it('has no chip as new where no far face is opened', () => {
  const blind = { ...DIAL, hole: { ...DIAL.hole, depth: { kind: 'blind', depthMm: 4 } } } as const;
  expect(planWith(SLOW, blind).fromLog).toMatchObject({ asNew: { exitChipMm: null } });
});

it('lets a piece be that nobody is sure of', () => {
  const couldBe = [
    { material: 'float-glass', share: 0.5 },
    { material: 'agate', share: 0.5 },
  ];
  const unsure = { ...DIAL, piece: { ...DIAL.piece, couldBe } };
  expect(planWith(SLOW, unsure).drillTimeS).toEqual(planWith(null, unsure).drillTimeS);
});

it('is as new where the hole asks for that, whatever the log tells', () => {
  const { hole } = DIAL;
  const asNew = { ...DIAL, hole: { ...hole, setup: { ...hole.setup, asNew: true } } };
  const told = planWith(SLOW, asNew);
  expect(told.fromLog).toBeNull();
  expect(told.drillTimeS).toEqual(planWith(null).drillTimeS);
});
