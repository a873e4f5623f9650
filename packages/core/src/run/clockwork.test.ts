import type { Plan } from '../documents/plan';
import type { RunAct } from '../documents/runEvent';
import { advance, depthSdMm, forceSpeedUp, phaseAt, rateNow, strokeAt } from './advance';
import { chipComparison, timeComparison } from './compareRuns';
import { diagnose } from './diagnose';
import { elapsedBetween } from './elapsed';
import { judgeResult } from './judgeResult';
import { priorRate, rateFactor, seenRate } from './rateBelief';
import { comingUp, depthBand, forceNow, rpmNow, timeLeft, wayDown } from './runFigures';
import { planWith, writeRun, type Written } from './runFixtures';
import { outcomeOf } from './runOutcome';
import { bitUses, runRecord } from './runRecord';
import { FOLLOW_UP_AFTER_S, runSceneOf, signToFollow } from './runScene';
import { canMeasure, isCutting, legOf, type RunState } from './runState';

const base = planWith();
const stage = (kind: 'seat' | 'main' | 'exit', fromMm: number, toMm: number, timeS: number) => ({
  ...(base.stages[0] as Plan['stages'][number]),
  kind,
  side: 1 as const,
  fromMm,
  toMm,
  timeS,
  forceN: { seat: 10, main: 26, exit: 12 }[kind],
  rpm: kind === 'seat' ? 600 : 1000,
});
/** 0.5 mm in 20 s, 4.5 mm in 90 s, 1 mm in 50 s; a lift of 2 s at 1, 2 and 3 mm. */
const PLAN: Plan = {
  ...base,
  operations: undefined as never,
  depthMm: 6,
  depthPerSideMm: 6,
  stages: [stage('seat', 0, 0.5, 20), stage('main', 0.5, 5, 90), stage('exit', 5, 6, 50)],
  lifts: [1, 2, 3],
  timeline: [],
  pilots: [],
  forceWindowN: { ...base.forceWindowN, glaze: 4 },
  clock: { ...base.clock, sd: 0.5, liftS: 2, seatCentreS: 0 },
};
const run = (...acts: readonly (readonly [number, RunAct])[]): Written => {
  const written = writeRun({}, PLAN);
  for (const [at, act] of acts) written.at(at, act);
  return written;
};
const started = (): RunState => run([0, { kind: 'start' }]).state();
const after = (seconds: number, state: RunState = started()): RunState => advance(state, seconds);

describe('the clock', () => {
  it('goes down by the plan, stroke by stroke, with a lift of its own length at each stop', () => {
    expect(after(10).depthMm).toBeCloseTo(0.25, 9);
    expect(after(20)).toMatchObject({ phase: 'cut' });
    // Seat 20 s, then 1 mm in 20 s: the lift at 1 mm comes after 30 s and lasts 2.
    expect(after(29.9).depthMm).toBeCloseTo(0.5 + 9.9 / 20, 9);
    expect(after(31)).toMatchObject({ phase: 'lift', liftLeftS: 1 });
    expect(after(31).depthMm).toBeCloseTo(1, 9);
    expect(after(32.1)).toMatchObject({ phase: 'cut', stopsDone: [0] });
    expect(after(32.1).depthMm).toBeCloseTo(1 + 0.1 / 20, 9);
    // 20 + 90 + 3·2 = 116 s to the exit stroke, 50 s more to the end.
    expect(after(115.9).phase).toBe('cut');
    expect(after(116.1).phase).toBe('ease-off');
    expect(after(141).depthMm).toBeCloseTo(5.5, 9);
    expect(after(400)).toMatchObject({ phase: 'ease-off', depthMm: 6 });
    expect(after(141).cuttingS).toBeCloseTo(135, 9);
    expect(after(141).elapsedS).toBeCloseTo(141, 9);
  });

  it('counts a pause as time, not as cutting', () => {
    const paused = run([0, { kind: 'start' }], [10, { kind: 'pause' }]).state();
    const later = after(30, paused);
    expect(later).toMatchObject({ phase: 'paused', pausedS: 30, elapsedS: 40 });
    expect(later.cuttingS).toBeCloseTo(10, 9);
    expect(after(30, run().state())).toMatchObject({ phase: 'prepare', pausedS: 0, elapsedS: 30 });
  });

  it('knows the stroke and the phase of a depth', () => {
    const leg = legOf(started());
    expect([0, 0.499, 0.5, 4.999, 5, 6].map((z) => phaseAt(leg, z))).toEqual([
      'seat',
      'seat',
      'cut',
      'cut',
      'ease-off',
      'ease-off',
    ]);
    expect(strokeAt(leg, 7)).toMatchObject({ kind: 'exit' });
  });

  it('goes (f·F − F_idle)/(F − F_idle) as fast with another force, and not at all below idle', () => {
    const state = after(50);
    const stroke = strokeAt(legOf(state), state.depthMm);
    if (!stroke) throw new Error('no stroke');
    const at = (forceFactor: number) => forceSpeedUp({ ...state, forceFactor }, stroke);
    // F = 26, half of what glazes 2.
    expect(at(1)).toBe(1);
    expect(at(0.5)).toBeCloseTo(11 / 24, 12);
    expect(at(1.5)).toBeCloseTo(37 / 24, 12);
    expect(at(0.05)).toBe(0);
    expect(rateNow({ ...state, forceFactor: 0.5 }, stroke)).toBeCloseTo(0.05 * (11 / 24), 12);
    expect(rateNow(state, { ...stroke, timeS: null })).toBe(0);
    expect(rateNow(state, { ...stroke, timeS: 0 })).toBe(0);
  });
});

describe('what is shown', () => {
  it('counts down cutting, lifts to come, and their spread', () => {
    const left = timeLeft(after(10));
    expect(left?.p50).toBeCloseTo(150 + 6, 9);
    expect(left?.p90).toBeCloseTo(150 * Math.exp(1.2816 * 0.5) + 6, 3);
    expect(left?.p10).toBeCloseTo(150 * Math.exp(-1.2816 * 0.5) + 6, 3);
    expect(timeLeft(after(31))?.p50).toBeCloseTo(130 + 6, 9);
    expect(timeLeft(run([0, { kind: 'start' }], [5, { kind: 'crack' }]).state())).toBeNull();
  });

  it('names the next stop, the easing off or the end, and when', () => {
    expect(comingUp(after(10))).toMatchObject({ kind: 'lift', depthMm: 1 });
    expect(comingUp(after(10))?.inS).toBeCloseTo(20, 9);
    // In a lift the one after it is next, and what is left of the lift comes first.
    expect(comingUp(after(31))).toMatchObject({ kind: 'lift', depthMm: 2 });
    expect(comingUp(after(31))?.inS).toBeCloseTo(21, 9);
    expect(comingUp(after(90))).toMatchObject({ kind: 'ease-off', depthMm: 5 });
    const even: Plan = { ...PLAN, stages: PLAN.stages.map((one) => ({ ...one, forceN: 26 })) };
    const evenly = writeRun({}, even);
    evenly.at(0, { kind: 'start' });
    expect(comingUp(after(90, evenly.state()))).toMatchObject({
      kind: 'nearly-through',
      depthMm: 5,
    });
    expect(comingUp(after(120))).toMatchObject({ kind: 'end', depthMm: 6 });
    expect(comingUp(run().state())).toBeNull();
  });

  it('shows force and speed of the stroke while there is something to press', () => {
    expect([forceNow(after(10)), rpmNow(after(10))]).toEqual([10, 600]);
    expect([forceNow(after(60)), rpmNow(after(60))]).toEqual([26, 1000]);
    expect(forceNow({ ...after(60), forceFactor: 0.5 })).toBe(13);
    expect(rpmNow(after(31))).toBe(1000);
    const paused = run([0, { kind: 'start' }], [10, { kind: 'pause' }]).state();
    expect([forceNow(paused), rpmNow(paused)]).toEqual([null, null]);
  });

  it('knows the depth by what it has gone since it was measured', () => {
    const state = after(60);
    expect(depthSdMm(state)).toBeCloseTo(state.depthMm * 0.5, 9);
    const measured = run(
      [0, { kind: 'start' }],
      [60, { kind: 'measure', depthMm: 2, by: 'rule' }],
    ).state();
    expect(depthSdMm(measured)).toBe(0.25);
    expect(depthBand(measured).fromMm).toBeCloseTo(2 - 1.2816 * 0.25, 3);
    expect(depthBand(after(400)).toMm).toBe(6);
    expect(depthBand(after(1)).fromMm).toBeGreaterThanOrEqual(0);
    expect(wayDown(state)).toEqual({ doneMm: state.depthMm, wholeMm: 6 });
  });
});

describe('what does not follow', () => {
  const acts: Readonly<Record<string, RunAct>> = {
    start: { kind: 'start' },
    pause: { kind: 'pause' },
    resume: { kind: 'resume' },
    next: { kind: 'next' },
    through: { kind: 'through' },
    measure: { kind: 'measure', depthMm: 1, by: 'rule' },
    crack: { kind: 'crack' },
    abort: { kind: 'abort', why: 'Unsafe' },
  };
  it.each<[string, readonly (readonly [number, RunAct])[], readonly string[]]>([
    ['before the start', [], ['start', 'crack', 'abort']],
    ['while it cuts', [[0, { kind: 'start' }]], ['pause', 'through', 'measure', 'crack', 'abort']],
    [
      'in a pause',
      [
        [0, { kind: 'start' }],
        [10, { kind: 'pause' }],
      ],
      ['resume', 'through', 'measure', 'crack', 'abort'],
    ],
    [
      'when it cracked',
      [
        [0, { kind: 'start' }],
        [10, { kind: 'crack' }],
      ],
      [],
    ],
    [
      'when it is through',
      [
        [0, { kind: 'start' }],
        [10, { kind: 'through' }],
      ],
      ['pause', 'next', 'crack', 'abort'],
    ],
  ])('%s is flagged, and moves nothing', (_, before, fitting) => {
    for (const [name, act] of Object.entries(acts)) {
      const stood = run(...before, [20, { kind: 'drive' }]).state();
      const moved = run(...before, [20, act]).state();
      const codes = moved.flags.map(({ code }) => code);
      expect([name, codes]).toEqual([name, fitting.includes(name) ? [] : ['out-of-turn']]);
      if (!fitting.includes(name)) expect(moved.phase).toBe(stood.phase);
    }
  });

  it('takes a depth beyond the end for the end, and says so', () => {
    const state = run(
      [0, { kind: 'start' }],
      [60, { kind: 'measure', depthMm: 7, by: 'rule' }],
    ).state();
    expect(state.depthMm).toBe(6);
    expect(state.flags).toMatchObject([{ code: 'depth-beyond-end', depthMm: 7, endMm: 6 }]);
    const end = run(
      [0, { kind: 'start' }],
      [60, { kind: 'measure', depthMm: 6, by: 'rule' }],
    ).state();
    expect(end.flags).toEqual([]);
    for (const depthMm of [-1, NaN])
      expect(
        run([0, { kind: 'start' }], [60, { kind: 'measure', depthMm, by: 'rule' }]).state().flags,
      ).toMatchObject([{ code: 'out-of-turn' }]);
  });

  it('measures on the piece, in a halt of the cut or a pause of them', () => {
    const phases = (phase: RunState['phase'], resumeTo: RunState['phase'] | null = null) =>
      canMeasure({ phase, resumeTo });
    expect(
      ['seat', 'cut', 'lift', 'water-change', 'core-break', 'ease-off', 'flip'].every((one) =>
        phases(one as RunState['phase']),
      ),
    ).toBe(true);
    expect([phases('prepare'), phases('through'), phases('cool'), phases('done')]).toEqual([
      false,
      false,
      false,
      false,
    ]);
    expect([phases('paused', 'cut'), phases('paused', null)]).toEqual([true, false]);
    expect([isCutting({ phase: 'cut' }), isCutting({ phase: 'lift' })]).toEqual([true, false]);
  });
});

describe('what a sign does', () => {
  const signed = (sign: Extract<RunAct, { kind: 'sign' }>['sign'], at = 60): RunState =>
    run([0, { kind: 'start' }], [at, { kind: 'sign', sign }]).state();

  it('eases the force no lower than four tenths and no higher than one and a half', () => {
    const times = (sign: Extract<RunAct, { kind: 'sign' }>['sign'], count: number): number =>
      run(
        [0, { kind: 'start' }],
        ...Array.from({ length: count }, (_, i) => [60 + i, { kind: 'sign', sign }] as const),
      ).state().forceFactor;
    expect(times('labours', 1)).toBeLessThan(1);
    expect(times('labours', 12)).toBe(0.4);
  });

  it('sets the rim to where it eases off when a hollow tone is heard, once', () => {
    const heard = signed('hollow');
    expect(heard).toMatchObject({ phase: 'ease-off', depthMm: 5, anchor: { sdMm: 0.8 } });
    const late = run([0, { kind: 'start' }], [141, { kind: 'sign', sign: 'hollow' }]).state();
    expect(late.depthMm).toBeCloseTo(5.5, 9);
  });

  it('asks after twenty seconds whether it helped, and not after three minutes', () => {
    const state = signed('labours');
    const follow = (seconds: number) => signToFollow({ ...state, elapsedS: 60 + seconds });
    expect(follow(FOLLOW_UP_AFTER_S - 0.1)).toBeNull();
    expect(follow(FOLLOW_UP_AFTER_S)).toMatchObject({ sign: 'labours' });
    expect(follow(180)).toMatchObject({ sign: 'labours' });
    expect(follow(180.1)).toBeNull();
    const helped = run(
      [0, { kind: 'start' }],
      [60, { kind: 'sign', sign: 'labours' }],
      [70, { kind: 'helped', of: 'e2', answer: 'yes' }],
    ).state();
    expect(signToFollow({ ...helped, elapsedS: 90 })).toBeNull();
  });

  it('looks at the run as it stands', () => {
    const scene = runSceneOf(after(80));
    // 20 s seat, two lifts of 2 s, 56 s of cutting: 0.5 + 2.8 = 3.3 less a lift at 3.
    const { depthMm } = after(80);
    expect(scene.depthShare).toBeCloseTo(depthMm / 6, 9);
    const lastLift = Math.floor(depthMm);
    expect(scene.sinceLift).toBeCloseTo((depthMm - lastLift) / (depthMm >= 3 ? 3 : 1), 9);
    expect(scene.coreShare).toBeCloseTo(depthMm / PLAN.setup.usableDepthMm, 9);
    expect(scene.heatShare).toBeCloseTo(PLAN.totalStressMpa / PLAN.stressLimitMpa, 9);
    expect(scene).toMatchObject({ seating: false, solidBit: false, masonry: false });
    expect(runSceneOf(after(5)).seating).toBe(true);
  });
});

describe('the belief in the rate', () => {
  it('begins with the plan’s own spread, a tenth at least', () => {
    expect(priorRate(0.5)).toEqual({ lnK: 0, sd: 0.5 });
    expect(priorRate(0.02).sd).toBe(0.1);
  });
  it('weighs what is seen by its precision', () => {
    const seen = seenRate({ lnK: 0.2, sd: 0.5 }, 60, 30, 3, 0.3);
    const [w0, w1] = [1 / 0.25, 1 / 0.01];
    expect(seen.lnK).toBeCloseTo((w0 * 0.2 + w1 * Math.log(2)) / (w0 + w1), 12);
    expect(seen.sd).toBeCloseTo(1 / Math.sqrt(w0 + w1), 12);
  });
  it('is never surer than four hundredths, and learns nothing from too short a stretch', () => {
    expect(seenRate({ lnK: 0, sd: 0.04 }, 60, 60, 30, 0.001).sd).toBe(0.04);
    const belief = { lnK: 0.1, sd: 0.3 };
    expect(seenRate(belief, 60, 30, 0.14, 0.3)).toEqual(belief);
    expect(seenRate(belief, 60, 30, 0.15, 0.3)).not.toEqual(belief);
    expect(seenRate(belief, 0, 30, 3, 0.3)).toEqual(belief);
    expect(seenRate(belief, 60, 0, 3, 0.3)).toEqual(belief);
  });
  it('stays within what a person would believe', () => {
    expect(rateFactor({ lnK: 0.5, sd: 1 })).toBeCloseTo(Math.exp(0.5), 12);
    expect([rateFactor({ lnK: 9, sd: 1 }), rateFactor({ lnK: -9, sd: 1 })]).toEqual([20, 0.05]);
  });
});

describe('time between stamps', () => {
  const stamp = (wallMs: number, tickMs: number, session = 'a') => ({
    at: new Date(Date.parse('2026-05-04T10:00:00Z') + wallMs).toISOString(),
    tickMs,
    session,
  });
  const between = (wallMs: number, tickMs: number, session = 'a') =>
    elapsedBetween(stamp(0, 0), stamp(wallMs, tickMs, session));
  it('goes by the steady clock while both agree to two seconds', () => {
    expect(between(11_000, 10_000)).toEqual({ ms: 10_000, jumpMs: null });
    expect(between(12_000, 10_000)).toEqual({ ms: 10_000, jumpMs: null });
    expect(between(8000, 10_000)).toEqual({ ms: 10_000, jumpMs: null });
  });
  it('takes the wall clock for a device that slept, for a night at most', () => {
    const night = 12 * 3600 * 1000;
    expect(between(12_001, 10_000)).toEqual({ ms: 12_001, jumpMs: null });
    expect(between(night + 10_000, 10_000)).toEqual({ ms: night + 10_000, jumpMs: null });
    expect(between(night + 10_001, 10_000)).toEqual({ ms: 10_000, jumpMs: night + 1 });
    expect(between(7000, 10_000)).toEqual({ ms: 10_000, jumpMs: -3000 });
    expect(between(-500, -800)).toEqual({ ms: 0, jumpMs: null });
  });
  it('has the wall clock alone between sessions, and doubts it a minute back', () => {
    expect(between(5000, 99, 'b')).toEqual({ ms: 5000, jumpMs: null });
    expect(between(-60_000, 99, 'b')).toEqual({ ms: 0, jumpMs: null });
    expect(between(-60_001, 99, 'b')).toEqual({ ms: 0, jumpMs: -60_001 });
  });
});

describe('runs beside their plans', () => {
  const done = (openedAt: string, tookS: number, p50: number, p90: number) => ({
    openedAt,
    phase: 'done' as const,
    tookS,
    plannedS: { p10: p50 / 2, p50, p90 },
    exitChipMm: tookS / 100,
    plannedChipMm: 0.5,
    plannedChipP90Mm: 1,
  });
  const runs = [
    done('2026-05-03', 240, 120, 200),
    done('2026-05-01', 60, 120, 200),
    done('2026-05-02', 180, 120, 200),
  ];
  it('puts the oldest first, in minutes, with the middle ratio and how many went past', () => {
    const { points, middleRatio, past90 } = timeComparison(runs);
    expect(points.map(({ run: n, actual }) => [n, actual])).toEqual([
      [1, 1],
      [2, 3],
      [3, 4],
    ]);
    expect(points[0]).toMatchObject({ planned: 2, planned90: 200 / 60 });
    expect([middleRatio, past90]).toEqual([1.5, 1]);
    expect(timeComparison(runs.slice(0, 2)).middleRatio).toBeCloseTo((2 + 0.5) / 2, 12);
    expect(timeComparison([]).middleRatio).toBeNull();
  });
  it('leaves out what was not finished, not planned or took no time', () => {
    const [first] = runs;
    if (!first) throw new Error('no run');
    const odd = [
      { ...first, phase: 'aborted' as const },
      { ...first, plannedS: null },
      { ...first, tookS: 0 },
    ];
    expect(timeComparison(odd).points).toEqual([]);
    expect(chipComparison([{ ...first, exitChipMm: null }]).points).toEqual([]);
    expect(chipComparison([{ ...first, plannedChipMm: null }]).points).toEqual([]);
    expect(chipComparison(runs).points[2]).toEqual({
      run: 3,
      actual: 2.4,
      planned: 0.5,
      planned90: 1,
    });
    expect(chipComparison(runs).past90).toBe(2);
  });
});

describe('the record', () => {
  const whole = (...more: readonly (readonly [number, RunAct])[]) =>
    run(
      [0, { kind: 'start' }],
      [170, { kind: 'through' }],
      ...[180, 181, 182, 183, 184].map((at) => [at, { kind: 'next' }] as const),
      ...more,
    );
  it('takes cutting with lifts as the plan calculates them', () => {
    const record = runRecord('r', whole().events);
    expect(record).toMatchObject({ depthMm: 6, wholeDepthMm: 6, verdict: null, cracked: false });
    // 164 s of cutting by the clock and three lifts of two seconds.
    expect(record?.tookS).toBeCloseTo(170, 6);
  });
  it.each([
    [{ cracked: true, verdict: 'fine', phase: 'done', over: true }, 'cracked'],
    [{ cracked: false, verdict: 'usable', phase: 'aborted', over: true }, 'usable'],
    [{ cracked: false, verdict: null, phase: 'aborted', over: true }, 'given-up'],
    [{ cracked: false, verdict: null, phase: 'done', over: true }, 'no-result'],
    [{ cracked: false, verdict: null, phase: 'cut', over: false }, 'under-way'],
  ] as const)('%o is %s', (record, outcome) => {
    expect(outcomeOf(record)).toBe(outcome);
  });
  it('wears its bit by the depth it cut, a hole where one came of it', () => {
    const [use] = bitUses(
      whole([200, { kind: 'result', result: { verdict: 'fine', crack: 'none' } }]).events,
    );
    expect(use).toMatchObject({ depthMm: 6, holes: 1 });
    const [part] = bitUses(run([0, { kind: 'start' }], [60, { kind: 'abort', why: 'x' }]).events);
    expect(part?.holes).toBe(0);
    expect(part?.depthMm).toBeGreaterThan(1);
  });
  it('judges at its very bounds', () => {
    const state = whole().state();
    const D = state.plan.setup.bitDiameterMm;
    const codes = (result: object) =>
      judgeResult({ verdict: 'fine', crack: 'none', ...result }, state).map(({ code }) => code);
    expect(codes({ entryDiameterMm: D - 0.3 })).toEqual([]);
    expect(codes({ entryDiameterMm: D - 0.31 })).toEqual(['narrower-than-bit']);
    expect(codes({ entryDiameterMm: 1.25 * D })).toEqual([]);
    expect(codes({ entryDiameterMm: 1.26 * D })).toEqual(['far-wider-than-bit']);
    expect(codes({ entryChipMm: D })).toEqual([]);
    expect(codes({ entryChipMm: D + 0.1 })).toEqual(['chip-wider-than-hole']);
    const p90 = state.plan.exitChipMm?.p90 ?? NaN;
    const limit = Math.max(2 * p90, 0.5);
    expect(codes({ exitChipMm: limit })).toEqual([]);
    expect(codes({ exitChipMm: limit * 1.01 })).toEqual(['chip-beyond-plan']);
  });
});

it('halves a sign every two minutes, and drops it below a tenth', () => {
  const scene = runSceneOf(after(60));
  const share = (agoS: number): number => {
    const ranked = diagnose([{ sign: 'tick', agoS, helped: null }], scene);
    return ranked.find(({ id }) => id === 'cracked')?.share ?? NaN;
  };
  const odds = (p: number): number => Math.log(p / (1 - p));
  const prior = odds(share(1e6));
  expect(share(1e6)).toBeLessThan(share(398));
  // 0.5^(398/120) = 0.1003 still speaks, 0.5^(399/120) = 0.0998 does not.
  expect(share(399)).toBe(share(1e6));
  expect(odds(share(0))).toBeGreaterThan(prior);
  // Noted again, the later counts.
  expect(
    diagnose(
      [
        { sign: 'tick', agoS: 300, helped: null },
        { sign: 'tick', agoS: 0, helped: null },
        { sign: 'tick', agoS: 200, helped: null },
      ],
      scene,
    ),
  ).toEqual(diagnose([{ sign: 'tick', agoS: 0, helped: null }], scene));
});
