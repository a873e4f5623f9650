import type { Moment, Plan } from '../documents/plan';
import type { RunAct } from '../documents/runEvent';
import { advance, enterLeg } from './advance';
import { afterPhase } from './afterThrough';
import { legsOf } from './legs';
import { timeLeft, wayDown } from './runFigures';
import { planWith, writeRun, type Written } from './runFixtures';
import { materialClassOf } from './runMaterial';
import { bitUses, runRecord } from './runRecord';
import { diagnoseRun, runSceneOf, signSceneOf } from './runScene';
import type { RunState } from './runState';

const base = planWith();
const stage = (
  side: 1 | 2,
  kind: 'seat' | 'main' | 'exit',
  fromMm: number,
  toMm: number,
  timeS: number,
) => ({
  ...(base.stages[0] as Plan['stages'][number]),
  side,
  kind,
  fromMm,
  toMm,
  timeS,
  forceN: 20,
  rpm: 1000,
});
const moment = (kind: Moment['kind'], side: 1 | 2, depthMm: number, haltS: number): Moment => ({
  ...(base.timeline[0] as Moment),
  kind,
  side,
  depthMm,
  haltS,
});
const pilot = (bitId: string, timeS: number | null) => ({
  bitId,
  bitName: `Rod ${bitId}`,
  rpm: 1500,
  forceN: 8,
  timeS,
  lifeDepthMm: 900,
});
/** 4 mm a side, 10 s a millimetre; two pilots of 30 and 50 s, swaps of 40 s. */
const PLAN = {
  ...base,
  // As runs were planned before there were operations.
  operations: undefined,
  depthMm: 8,
  depthPerSideMm: 4,
  stages: [stage(1, 'main', 0, 4, 40), stage(2, 'main', 0, 3, 30), stage(2, 'exit', 3, 4, 10)],
  lifts: [1, 3],
  timeline: [
    moment('water-change', 1, 2, 60),
    moment('core-break', 2, 2, 45),
    moment('flip', 1, 4, 60),
  ],
  pilots: [pilot('a', 30), pilot('b', 50)],
  clock: { ...base.clock, sd: 0.5, liftS: 2, seatCentreS: 6, bitSwapS: 40 },
} as unknown as Plan;

const run = (plan: Plan, ...acts: readonly (readonly [number, RunAct])[]): Written => {
  const written = writeRun({}, plan);
  for (const [at, act] of acts) written.at(at, act);
  return written;
};
const NEXT: RunAct = { kind: 'next' };

describe('legs', () => {
  it('go bit by bit, then face by face', () => {
    const legs = legsOf(PLAN);
    expect(legs.map(({ bitName, side, depthMm, then }) => [bitName, side, depthMm, then])).toEqual([
      ['Rod a', 1, 8, 'next'],
      ['Rod b', 1, 8, 'next'],
      [base.setup.bitName, 1, 4, 'next'],
      [base.setup.bitName, 2, 4, 'through'],
    ]);
    // The first to touch dwells: a centre has no speed.
    expect(legs.map(({ strokes }) => strokes.map(({ timeS }) => timeS))).toEqual([
      [36],
      [50],
      [40],
      [30, 10],
    ]);
  });

  it('stop where the plan does: lifts on either face, the rest on its own', () => {
    const stops = legsOf(PLAN).map((leg) =>
      leg.stops.map(({ kind, depthMm, haltS }) => [kind, depthMm, haltS]),
    );
    expect(stops).toEqual([
      [['step-change', 8, 40]],
      [['step-change', 8, 40]],
      [
        ['lift', 1, 2],
        ['water-change', 2, 60],
        ['lift', 3, 2],
        ['flip', 4, 60],
      ],
      [
        ['lift', 1, 2],
        ['core-break', 2, 45],
        ['lift', 3, 2],
      ],
    ]);
  });

  it('dwell in the only bit where there is no pilot, and end as the hole does', () => {
    const alone = { ...PLAN, pilots: [], stages: PLAN.stages.filter(({ side }) => side === 1) };
    expect(legsOf(alone)).toMatchObject([{ strokes: [{ timeS: 46 }], then: 'through' }]);
    expect(legsOf({ ...alone, exitForceN: null })).toMatchObject([{ then: 'at-depth' }]);
    const stuck = alone.stages.map((one) => ({ ...one, timeS: null }));
    expect(legsOf({ ...alone, stages: stuck })).toMatchObject([{ strokes: [{ timeS: null }] }]);
    expect(legsOf({ ...PLAN, pilots: [pilot('a', null)] as never })[0]).toMatchObject({
      strokes: [{ timeS: null }],
    });
    expect(legsOf({ ...alone, stages: [] })).toMatchObject([{ depthMm: 4, strokes: [] }]);
  });

  it('count all that is still to come: strokes, halts, swaps of the bit', () => {
    const state = advance(run(PLAN, [0, { kind: 'start' }]).state(), 6);
    // 30 left of the first rod, 50, 40, 40; halts 64 and 49; two swaps.
    expect(timeLeft(state)?.p50).toBeCloseTo(30 + 50 + 40 + 40 + 64 + 49 + 80 + 60, 6);
    expect(wayDown(state).wholeMm).toBe(24);
  });
});

describe('one leg after the other', () => {
  const second = () => run(PLAN, [0, { kind: 'start' }], [36, { kind: 'through' }]);

  it('changes the bit, then turns the piece over, each from its own zero', () => {
    expect(second().state()).toMatchObject({ phase: 'step-change', leg: 0, depthMm: 8 });
    const changed = second();
    changed.at(80, NEXT);
    expect(changed.state()).toMatchObject({ leg: 1, depthMm: 0, phase: 'cut', stopsDone: [] });
    expect(changed.state().story.at(-1)?.what).toEqual({ code: 'bit-changed' });
    expect(wayDown(changed.state()).doneMm).toBe(8);
    changed.at(130, { kind: 'through' });
    changed.at(170, NEXT);
    // The finishing bit: 10 s a millimetre, a lift at 1, water at 2.
    const atWater = advance(changed.state(), 30);
    expect(atWater).toMatchObject({ leg: 2, phase: 'water-change', depthMm: 2 });
    changed.at(200, NEXT);
    const foot = advance(changed.state(), 30);
    expect(foot).toMatchObject({ phase: 'flip', leg: 2, depthMm: 4 });
  });

  it('keeps what was learnt of the rate on the same bit alone', () => {
    const learnt: RunState = { ...second().state(), rate: { lnK: 0.7, sd: 0.2 }, leg: 2 };
    expect(enterLeg(learnt, 3).rate).toEqual({ lnK: 0.7, sd: 0.2 });
    expect(enterLeg({ ...learnt, leg: 0 }, 1).rate).toEqual({ lnK: 0, sd: 0.5 });
    expect(enterLeg({ ...learnt, forceFactor: 0.5, workS: 9 }, 3)).toMatchObject({
      forceFactor: 1,
      workS: 0,
      anchor: { depthMm: 0, sdMm: 0 },
    });
  });

  it('follows the cut by what there is to do', () => {
    const order = (plan: object, hot = false): string[] => {
      const state = { ...second().state(), plan: { ...PLAN, ...plan }, hot, phase: 'through' };
      const phases: string[] = [];
      for (let now = state as RunState; now.phase !== 'done'; now = afterPhase(now))
        phases.push(now.phase);
      return phases;
    };
    const cool = { tempRiseK: 10 };
    const withCore = { ...cool, steps: [{ kind: 'free-core' }] };
    expect(order(withCore)).toEqual(['through', 'withdraw', 'free-core', 'clean']);
    expect(order({ ...cool, steps: [] })).toEqual(['through', 'withdraw', 'clean']);
    expect(order({ ...withCore, setup: { ...PLAN.setup, solid: true } })).toEqual([
      'through',
      'withdraw',
      'clean',
    ]);
    expect(order(withCore, true)).toContain('cool');
    expect(order({ ...withCore, tempRiseK: 30 })).toContain('cool');
    expect(order({ ...withCore, tempRiseK: 29.9 })).not.toContain('cool');
  });
});

describe('measuring at a halt', () => {
  const ONE = { ...PLAN, pilots: [], clock: { ...PLAN.clock, seatCentreS: 0 } };
  /** At the change of water, 2 mm deep: 20 s of cutting and a lift. */
  const atWater = (depthMm: number, by: 'rule' | 'eye' = 'rule'): RunState =>
    run(ONE, [0, { kind: 'start' }], [23, { kind: 'measure', depthMm, by }]).state();

  it('waits on where it is as deep as that, and goes on cutting where it is not', () => {
    expect(advance(run(ONE, [0, { kind: 'start' }]).state(), 23).phase).toBe('water-change');
    expect(atWater(2).phase).toBe('water-change');
    expect(atWater(2.4).phase).toBe('water-change');
    expect(atWater(1.5)).toMatchObject({ phase: 'cut', depthMm: 1.5 });
    expect(atWater(2).story.at(-1)?.what).toEqual({ code: 'measured' });
    expect(atWater(2, 'eye')).toMatchObject({ anchor: { depthMm: 2, sdMm: 0.6 } });
    expect(atWater(2, 'eye').story.at(-1)?.what).toEqual({ code: 'moved-on-drawing' });
  });

  it('brings lifts again that lie deeper, and ends one under way', () => {
    const lifting = run(
      ONE,
      [0, { kind: 'start' }],
      [11, { kind: 'measure', depthMm: 0.8, by: 'rule' }],
    ).state();
    expect(lifting).toMatchObject({ phase: 'cut', liftLeftS: 0, stopsDone: [] });
    expect(atWater(1.5).stopsDone).toEqual([0]);
    expect(atWater(0.5).stopsDone).toEqual([]);
  });

  it('at the foot before turning over, stays or goes on by what the rule says', () => {
    const foot = (depthMm: number): RunState =>
      run(
        ONE,
        [0, { kind: 'start' }],
        [30, NEXT],
        [61, { kind: 'measure', depthMm, by: 'rule' }],
      ).state();
    expect(advance(run(ONE, [0, { kind: 'start' }], [30, NEXT]).state(), 30).phase).toBe('flip');
    expect(foot(4).phase).toBe('flip');
    expect(foot(3.5)).toMatchObject({ phase: 'cut', depthMm: 3.5 });
  });

  it('in a pause, is where it goes on', () => {
    const state = run(
      ONE,
      [0, { kind: 'start' }],
      [5, { kind: 'pause' }],
      [9, { kind: 'measure', depthMm: 1.5, by: 'rule' }],
    ).state();
    expect(state).toMatchObject({ phase: 'paused', resumeTo: 'cut', depthMm: 1.5 });
    expect(run(ONE, [0, { kind: 'start' }], [11, { kind: 'pause' }]).state()).toMatchObject({
      phase: 'paused',
      resumeTo: 'cut',
      liftLeftS: 0,
      stopsDone: [0],
    });
  });

  it('takes only what fits a halt for done', () => {
    const codes = (...acts: readonly (readonly [number, RunAct])[]) =>
      run(ONE, [0, { kind: 'start' }], ...acts)
        .state()
        .flags.map(({ code }) => code);
    expect(codes([5, NEXT])).toEqual(['out-of-turn']);
    expect(codes([11, NEXT])).toEqual([]);
    expect(codes([23, NEXT])).toEqual([]);
    expect(codes([5, { kind: 'start' }])).toEqual(['out-of-turn']);
    expect(codes([5, { kind: 'resume' }])).toEqual(['out-of-turn']);
  });

  it('cools on a hot sign, remembers it, and goes on where it was', () => {
    const hot = run(ONE, [0, { kind: 'start' }], [5, { kind: 'sign', sign: 'hot' }]);
    expect(hot.state()).toMatchObject({ phase: 'cool', resumeTo: 'cut', hot: true });
    hot.at(60, NEXT);
    expect(hot.state()).toMatchObject({ phase: 'cut', resumeTo: null, hot: false });
    expect(hot.state().story.at(-1)?.what).toEqual({ code: 'cooled-went-on' });
  });

  it('notes a sign before and after the cut without moving anything', () => {
    const before = run(ONE, [0, { kind: 'sign', sign: 'hot' }]).state();
    expect(before).toMatchObject({ phase: 'prepare', hot: false });
    expect(before.signs).toMatchObject([{ sign: 'hot', helped: null }]);
  });
});

describe('what goes into the log', () => {
  const ONE = { ...PLAN, pilots: [], clock: { ...PLAN.clock, seatCentreS: 0 } };
  it('counts the halts that were passed at what the plan calculates for them', () => {
    const half = run(ONE, [0, { kind: 'start' }], [23, NEXT], [33, { kind: 'abort', why: 'x' }]);
    // 20 s + 10 s of cutting, a lift of 2 s, a change of water of 60 s; the lift at 3 begins.
    expect(runRecord('r', half.events)).toMatchObject({ phase: 'aborted', over: true });
    expect(runRecord('r', half.events)?.tookS).toBeCloseTo(30 + 62, 6);
    const other = run(
      ONE,
      [0, { kind: 'start' }],
      [23, NEXT],
      [50, NEXT],
      [75, NEXT],
      [80, { kind: 'crack' }],
    );
    // On the second face: all 64 s of halts of the first are behind, and 60 of turning it over, with 47 of its own, and 65 s of cutting.
    expect(runRecord('r', other.events)?.tookS).toBeCloseTo(64 + 60 + 47 + 65, 6);
    expect(runRecord('r', other.events)).toMatchObject({ cracked: true, phase: 'cracked' });
  });

  it('is cracked by what was seen at the end too, and says what was found', () => {
    const result = { verdict: 'usable', crack: 'hairline', exitChipMm: 1.2 } as const;
    const record = runRecord(
      'r',
      run(
        ONE,
        [3, { kind: 'start' }],
        [9, { kind: 'abort', why: 'x' }],
        [20, { kind: 'result', result }],
      ).events,
    );
    expect(record).toMatchObject({
      cracked: true,
      verdict: 'usable',
      exitChipMm: 1.2,
      plannedChipMm: ONE.exitChipMm?.p50,
      plannedChipP90Mm: ONE.exitChipMm?.p90,
      openedAt: '2026-05-04T10:00:00.000Z',
      startedAt: '2026-05-04T10:00:03.000Z',
      eventCount: 4,
    });
    const sound = { ...result, crack: 'none' } as const;
    expect(runRecord('r', run(ONE, [9, { kind: 'result', result: sound }]).events)?.cracked).toBe(
      false,
    );
    expect(runRecord('r', [])).toBeNull();
  });

  it('counts misfits of the record and of its result together', () => {
    const odd = run(
      ONE,
      [0, NEXT],
      [3, { kind: 'start' }],
      [9, { kind: 'abort', why: 'x' }],
      [20, { kind: 'result', result: { verdict: 'fine', crack: 'hairline' } }],
    );
    // Out of turn; fine but cracked, fine but given up.
    expect(runRecord('r', odd.events)?.flagCount).toBe(3);
  });

  it('wears each bit by its own legs, and counts a hole for those that came through', () => {
    const steps = run(
      { ...PLAN, setup: { ...PLAN.setup, bitId: 'own' } },
      [0, { kind: 'start' }],
      [36, { kind: 'through' }],
      [80, NEXT],
      [105, { kind: 'abort', why: 'x' }],
    );
    expect(bitUses(steps.events)).toMatchObject([
      { bitId: 'a', depthMm: 8, holes: 1, lifeDepthMm: 900 },
      { bitId: 'b', holes: 0 },
    ]);
    // 25 of 50 s into 8 mm.
    expect(bitUses(steps.events)[1]?.depthMm).toBeCloseTo(4, 6);
    expect(bitUses([])).toEqual([]);
    // Nothing is fed to a bit while the run still goes, nor where no bit is owned.
    const going = run(
      { ...PLAN, setup: { ...PLAN.setup, bitId: 'own' } },
      [0, { kind: 'start' }],
      [30, { kind: 'drive' }],
    );
    expect(bitUses(going.events)).toMatchObject([{ bitId: 'a', depthMm: 0, holes: 0 }]);
    const nobody = run(
      { ...ONE, setup: { ...ONE.setup, bitId: null } },
      [0, { kind: 'start' }],
      [10, { kind: 'abort', why: 'x' }],
    );
    expect(bitUses(nobody.events)).toEqual([]);
  });

  it('knows what the bit meets first', () => {
    const layers = (...classes: readonly (string | null)[]) =>
      ({ layers: classes.map((kind) => ({ class: kind })) }) as never;
    expect(materialClassOf(layers(null, 'glass', 'stone'))).toBe('glass');
    expect(materialClassOf(layers('masonry'))).toBe('masonry');
    expect(materialClassOf(layers())).toBe('stone');
  });
});

describe('the run as the diagnosis looks at it', () => {
  const water = { ...PLAN.water, method: 'still-bath', holesPerFill: 0.5 } as const;
  const ONE = {
    ...PLAN,
    water,
    pilots: [],
    clock: { ...PLAN.clock, seatCentreS: 0 },
    setup: { ...PLAN.setup, usableDepthMm: 20, hold: 'freehand' as const },
  };
  const at = (seconds: number, plan: Plan = ONE, ...acts: readonly (readonly [number, RunAct])[]) =>
    advance(run(plan, [0, { kind: 'start' }], ...acts).state(), seconds);

  it('goes by the last lift, change of water and break', () => {
    // 5 s: 0.5 mm of 1 to the first lift, of 2 to the change.
    const early = runSceneOf(at(5));
    expect(early.sinceLift).toBeCloseTo(0.5, 9);
    expect(early.turbidity).toBeCloseTo(0.25, 9);
    expect(early.coreShare).toBeCloseTo(0.5 / 20, 9);
    expect(early.depthShare).toBeCloseTo(0.5 / 8, 9);
    expect(early).toMatchObject({ freehand: true, solidBit: false, forceFactor: 1 });
    // Past the water: 2.5 mm, half of the way from the lift at 1 to that at 3… three quarters.
    const later = runSceneOf(at(5, ONE, [23, NEXT]));
    expect(later.sinceLift).toBeCloseTo(0.75, 9);
    expect(later.turbidity).toBeCloseTo(0.25, 9);
  });

  it('goes by the fill where the plan changes no water, and by nothing where it runs', () => {
    const still = { ...ONE, timeline: [] };
    expect(runSceneOf(at(5, still)).turbidity).toBeCloseTo(0.5 / 8, 9);
    const twice = { ...still, water: { ...water, holesPerFill: 2 } };
    expect(runSceneOf(at(5, twice)).turbidity).toBeCloseTo(0.5 / 16, 9);
    const running = { ...still, water: { ...water, method: 'running-tap' as const } };
    expect(runSceneOf(at(5, running)).turbidity).toBe(0);
    expect(runSceneOf(at(5, { ...still, lifts: [] })).sinceLift).toBe(0);
    expect(runSceneOf(at(5, { ...still, stressLimitMpa: 0 })).heatShare).toBe(0);
    const solid = { ...still, setup: { ...ONE.setup, solid: true } };
    expect(runSceneOf(at(5, solid))).toMatchObject({ coreShare: 0, solidBit: true });
  });

  it('shows the signs that can come here', () => {
    expect(signSceneOf(at(1))).toMatchObject({ standingWater: true, opensFarFace: true });
    expect(
      signSceneOf({
        plan: { ...ONE, exitForceN: null, water: { ...water, method: 'running-tap' } },
      }),
    ).toMatchObject({ standingWater: false, opensFarFace: false });
  });

  it('lets a sign go that was helped, and hears one that was not', () => {
    const told = (answer: 'yes' | 'no' | null): number => {
      const acts: (readonly [number, RunAct])[] = [[5, { kind: 'sign', sign: 'screech' }]];
      if (answer) acts.push([6, { kind: 'helped', of: 'e2', answer }]);
      const ranked = diagnoseRun(at(1, ONE, ...acts));
      return ranked.find(({ id }) => id === 'all-well')?.share ?? NaN;
    };
    expect(told('yes')).toBeGreaterThan(told('no'));
    expect(told(null)).toBeCloseTo(told('no'), 1);
  });
});
