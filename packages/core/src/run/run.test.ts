import type { JobParts } from '../setup/jobFixtures';
import { METRIC } from '../data/unitSystem';
import { advance } from './advance';
import { elapsedBetween } from './elapsed';
import { priorRate, rateFactor, seenRate } from './rateBelief';
import { atMoment, replayRun } from './replay';
import { comingUp, depthBand, timeLeft } from './runFigures';
import { planWith, writeRun, type Written } from './runFixtures';
import { runView } from '../words/run/runView';
import { legOf, type RunState } from './runState';

const stamp = (seconds: number) => ({
  at: new Date(Date.parse('2026-05-04T10:00:00Z') + seconds * 1000).toISOString(),
  tickMs: seconds * 1000,
  session: 's1',
});
const later = (run: Written, seconds: number): RunState => {
  const replayed = replayRun(run.events);
  if (!replayed) throw new Error('not opened');
  return atMoment(replayed, stamp(seconds));
};

/** Water changes, breaks and turns answered the moment they come. */
function drilledThrough(parts: JobParts): RunState {
  const run = writeRun(parts);
  run.at(0, { kind: 'start' });
  let seconds = 0;
  for (let tick = 0; tick < 100_000; tick++) {
    const state = later(run, seconds);
    if (['water-change', 'core-break', 'flip', 'step-change'].includes(state.phase))
      run.at(seconds, { kind: 'next' });
    else if (state.leg === state.legs.length - 1 && state.depthMm >= legOf(state).depthMm - 1e-6)
      return state;
    else if (legOf(state).givesWay && state.depthMm >= legOf(state).depthMm - 1e-6)
      run.at(seconds, { kind: 'through' });
    else seconds += 1;
  }
  throw new Error('never through');
}

const THICK: JobParts = {
  piece: {
    material: 'granite',
    form: 'block',
    thicknessMm: 40,
    glassTreatment: undefined as never,
  },
  hole: { diameterMm: 35 },
  setup: { hold: 'press', water: { kind: 'spindle' } },
  bits: [{ id: 'c', name: 'Core 35', family: 'sintered-core', diameterMm: 35, usableDepthMm: 25 }],
};

it.each<[string, JobParts]>([
  ['a pane', {}],
  ['a pane from both sides', { setup: { sides: 'two' } }],
  ['granite, with a core to break', THICK],
  ['a blind hole', { hole: { depth: { kind: 'blind', depthMm: 3 } } }],
])('takes as long as planned where all goes as planned: %s', (_, parts) => {
  const plan = planWith(parts);
  const state = drilledThrough(parts);
  const halted = plan.timeline.reduce((sum, { haltS }) => sum + haltS, 0);
  const planned = (plan.drillTimeS?.p50 ?? NaN) - halted;
  // A tick of a second at each stop, and the lifts that fall into the last of them.
  expect(Math.abs(state.elapsedS - planned)).toBeLessThan(0.03 * planned + 4);
});

it('goes through its phases in the order of the work', () => {
  const run = writeRun();
  expect(run.state().phase).toBe('prepare');
  run.at(5, { kind: 'start' });
  expect(run.state().phase).toBe('seat');
  const end = later(run, 5000);
  expect(end.phase).toBe('ease-off');
  expect(end.depthMm).toBeCloseTo(6, 6);
  expect(end.story.map(({ phase }) => phase)).toEqual(expect.arrayContaining(['cut', 'ease-off']));
  run.at(5000, { kind: 'through' });
  for (const phase of ['through', 'withdraw', 'free-core', 'clean']) {
    expect(run.state().phase).toBe(phase);
    run.at(5001, { kind: 'next' });
  }
  expect(run.state().phase).toBe('done');
});

it('counts no time while it is paused, and a lift costs its own', () => {
  const run = writeRun();
  run.at(0, { kind: 'start' });
  run.at(20, { kind: 'pause' });
  const before = run.state().depthMm;
  run.at(500, { kind: 'resume' });
  expect(run.state().depthMm).toBeCloseTo(before, 9);
  expect(run.state().pausedS).toBe(480);
});

it('moves on the same whether time passes at once or bit by bit', () => {
  const run = writeRun();
  run.at(0, { kind: 'start' });
  const start = run.state();
  for (const seconds of [3, 17, 60, 240]) {
    let bits = start;
    for (let i = 0; i < 100; i++) bits = advance(bits, seconds / 100);
    const once = advance(start, seconds);
    expect(bits.depthMm).toBeCloseTo(once.depthMm, 6);
    expect(bits.phase).toBe(once.phase);
  }
});

it('learns the rate from a measured depth, and re-times the rest', () => {
  const run = writeRun();
  run.at(0, { kind: 'start' });
  const planned = later(run, 150);
  const half = planned.depthMm / 2;
  run.at(150, { kind: 'measure', depthMm: half, by: 'rule' });
  const state = run.state();
  expect(state.depthMm).toBe(half);
  expect(rateFactor(state.rate)).toBeLessThan(0.8);
  expect(state.rate.sd).toBeLessThan(planned.rate.sd);
  expect(timeLeft(state)?.p50 ?? 0).toBeGreaterThan(1.5 * (timeLeft(planned)?.p50 ?? 0));
  const band = depthBand(state);
  expect(band.toMm - band.fromMm).toBeCloseTo(2 * 1.2816 * 0.25, 6);
});

it('comes to the true rate however the plan was off', () => {
  let belief = priorRate(0.4);
  for (let i = 0; i < 12; i++) belief = seenRate(belief, 20, 50, 2, 0.3);
  expect(rateFactor(belief)).toBeCloseTo(0.4, 2);
  // One reading of infinite doubt says nothing; equal precision meets half way.
  expect(seenRate(priorRate(0.4), 20, 50, 0.1, 5)).toEqual(priorRate(0.4));
  expect(seenRate({ lnK: 0, sd: 0.2 }, 20, 40, 1, 0.2).lnK).toBeCloseTo(Math.log(0.5) / 2, 9);
});

it('brings lifts again that were not reached, but not a change of water that was made', () => {
  const run = writeRun({ piece: { thicknessMm: 12 } });
  run.at(0, { kind: 'start' });
  run.at(90, { kind: 'measure', depthMm: 1.6, by: 'rule' });
  const next = comingUp(run.state());
  expect(next?.kind).toBe('lift');
  expect(next?.depthMm).toBeGreaterThan(1.6);
  run.at(91, { kind: 'measure', depthMm: 99, by: 'eye' });
  expect(run.state().depthMm).toBe(12);
  expect(run.state().flags.map(({ code }) => code)).toEqual(['depth-beyond-end']);
});

it('does not ask again for water that was changed, though the rim was set back above it', () => {
  const parts: JobParts = {
    piece: {
      material: 'stoneware',
      form: 'block',
      thicknessMm: 20,
      glassTreatment: undefined as never,
    },
    setup: { water: { kind: 'pool', coverMm: 1 } },
  };
  const changes = planWith(parts).water.changeAtDepthMm;
  expect(changes.length).toBeGreaterThan(1);
  const run = writeRun(parts);
  run.at(0, { kind: 'start' });
  let seconds = 0;
  while (later(run, seconds).phase !== 'water-change' && seconds < 3600) seconds += 5;
  run.at(seconds, { kind: 'next' });
  run.at(seconds + 1, { kind: 'measure', depthMm: (changes[0] ?? NaN) - 0.4, by: 'rule' });
  let state = later(run, seconds + 1);
  for (let s = seconds + 1; s < seconds + 600 && state.phase !== 'water-change'; s += 5)
    state = later(run, s);
  expect(state.phase).toBe('water-change');
  expect(state.depthMm).toBeCloseTo(changes[1] ?? NaN, 6);
});

it('tells the same story from the record in any order, each event twice', () => {
  const run = writeRun();
  run.at(0, { kind: 'start' });
  run.at(10, { kind: 'sign', sign: 'labours' });
  run.at(40, { kind: 'measure', depthMm: 1.2, by: 'rule' });
  run.at(60, { kind: 'pause' });
  const whole = replayRun(run.events);
  const shuffled = [...run.events, ...run.events].reverse();
  expect(replayRun(shuffled)).toEqual(whole);
  expect(replayRun(run.events.slice(1))).toBeNull();
});

it('says which entries have not arrived', () => {
  const run = writeRun();
  run.at(0, { kind: 'start' });
  run.at(9, { kind: 'pause' }, { n: 5 });
  expect(run.state().flags).toMatchObject([{ code: 'event-missing', count: 2 }]);
});

it('takes an act back, and a taking back too', () => {
  const run = writeRun();
  run.at(0, { kind: 'start' });
  const crack = run.at(30, { kind: 'crack' });
  expect(run.state().phase).toBe('cracked');
  const undo = run.at(32, { kind: 'undo', of: crack.id });
  expect(run.state().phase).not.toBe('cracked');
  run.at(33, { kind: 'undo', of: undo.id });
  expect(run.state().phase).toBe('cracked');
});

it('lets one device drive: the other may note and take over, not steer', () => {
  const run = writeRun();
  run.at(0, { kind: 'start' });
  run.at(5, { kind: 'pause' }, { device: 'tablet' });
  expect(run.state().phase).not.toBe('paused');
  expect(run.state().flags.map(({ code }) => code)).toEqual(['not-the-driver']);
  run.at(6, { kind: 'sign', sign: 'plume' }, { device: 'tablet' });
  expect(run.state().signs).toHaveLength(1);
  run.at(7, { kind: 'drive' }, { device: 'tablet' });
  run.at(8, { kind: 'pause' }, { device: 'tablet' });
  expect(run.state().phase).toBe('paused');
});

it.each([
  ['as it goes', 30, 30_000, 's1', 30, null],
  ['the wall clock set back an hour', -3570, 30_000, 's1', 30, -3600],
  ['asleep for ten minutes: the steady clock stood still', 600, 1000, 's1', 600, null],
  ['the wall clock set a day on', 86_430, 30_000, 's1', 30, 86_400],
  ['another session, by the wall clock', 90, 5, 's2', 90, null],
  ['another device a little behind', -40, 5, 's2', 0, null],
  ['another session on a clock that is far behind', -400, 5, 's2', 0, -400],
])('keeps its own time: %s', (_, wallS, tickMs, session, expectedS, jumpS) => {
  const from = { ...stamp(0), tickMs: 0 };
  const to = { at: stamp(wallS).at, tickMs, session };
  const { ms, jumpMs } = elapsedBetween(from, to);
  expect(ms / 1000).toBeCloseTo(expectedS, 6);
  expect(jumpMs === null ? null : jumpMs / 1000).toBe(jumpS);
});

it('is not pulled back and forth by two devices whose clocks differ', () => {
  const plain = writeRun();
  plain.at(0, { kind: 'start' });
  plain.at(60, { kind: 'pause' });
  const two = writeRun();
  two.at(0, { kind: 'start' });
  // The tablet is half a minute behind, and its steady clock began later.
  const tablet = (s: number) => ({
    device: 'tablet',
    session: 't1',
    at: stamp(s - 30).at,
    tickMs: (s - 10) * 1000,
  });
  two.at(20, { kind: 'sign', sign: 'plume' }, tablet(20));
  two.at(40, { kind: 'sign', sign: 'plume' }, tablet(40));
  two.at(60, { kind: 'pause' });
  expect(two.state().elapsedS).toBeCloseTo(plain.state().elapsedS, 6);
  expect(two.state().depthMm).toBeCloseTo(plain.state().depthMm, 6);
  expect(two.state().flags).toEqual([]);
});

it('flags a clock that was set, and keeps the depth', () => {
  const run = writeRun();
  run.at(0, { kind: 'start' });
  run.at(40, { kind: 'pause' }, { at: '2026-05-04T06:00:00Z' });
  const plain = writeRun();
  plain.at(0, { kind: 'start' });
  plain.at(40, { kind: 'pause' });
  expect(run.state().depthMm).toBe(plain.state().depthMm);
  expect(run.state().flags[0]?.code).toBe('clock-was-set');
});

it('does what a sign asks', () => {
  const signed = (sign: Parameters<Written['at']>[1] & { kind: 'sign' }): RunState => {
    const run = writeRun();
    run.at(0, { kind: 'start' });
    run.at(100, sign);
    return run.state();
  };
  expect(signed({ kind: 'sign', sign: 'labours' }).forceFactor).toBeCloseTo(0.8);
  expect(signed({ kind: 'sign', sign: 'murky' }).phase).toBe('water-change');
  expect(signed({ kind: 'sign', sign: 'chatter' }).phase).toBe('paused');
  expect(signed({ kind: 'sign', sign: 'screech' }).phase).toBe('lift');
  expect(signed({ kind: 'sign', sign: 'plume' }).phase).toBe('cut');
  const hollow = signed({ kind: 'sign', sign: 'hollow' });
  expect(hollow.phase).toBe('ease-off');
  expect(hollow.depthMm).toBeCloseTo(hollow.plan.easeOffAtMm ?? NaN);
});

it('goes slower when eased: Preston, with half the glazing force idle', () => {
  const run = writeRun();
  run.at(0, { kind: 'start' });
  run.at(100, { kind: 'sign', sign: 'labours' });
  const state = run.state();
  const in1s = (factor: number): number =>
    advance({ ...state, phase: 'cut', liftLeftS: 0, forceFactor: factor }, 0.1).depthMm -
    state.depthMm;
  const { plan } = state;
  const F = plan.feedForceN;
  const idle = plan.forceWindowN.glaze / 2;
  expect(in1s(state.forceFactor) / in1s(1)).toBeCloseTo((0.8 * F - idle) / (F - idle), 2);
});

it('cools, then goes on where it was; changed water does not skip the next change', () => {
  const run = writeRun();
  run.at(0, { kind: 'start' });
  run.at(100, { kind: 'sign', sign: 'hot' });
  expect(run.state().phase).toBe('cool');
  const depth = run.state().depthMm;
  run.at(600, { kind: 'next' });
  expect(run.state()).toMatchObject({ phase: 'cut', depthMm: depth });
  const done = run.state().stopsDone;
  run.at(601, { kind: 'sign', sign: 'murky' });
  run.at(660, { kind: 'next' });
  expect(run.state().stopsDone).toEqual(done);
});

it('breaks through sooner than calculated, and learns it was thinner or faster', () => {
  const run = writeRun();
  run.at(0, { kind: 'start' });
  run.at(30, { kind: 'through' });
  expect(run.state()).toMatchObject({ phase: 'through', depthMm: 6 });
  expect(rateFactor(run.state().rate)).toBeGreaterThan(1.3);
});

it('refuses to move on what does not follow, and says so', () => {
  const run = writeRun();
  run.at(1, { kind: 'resume' });
  run.at(2, { kind: 'next' });
  run.at(3, { kind: 'measure', depthMm: 2, by: 'rule' });
  expect(run.state().phase).toBe('prepare');
  expect(run.state().flags.map(({ code }) => code)).toEqual([
    'out-of-turn',
    'out-of-turn',
    'out-of-turn',
  ]);
});

it('drills the steps of a chain one after the other', () => {
  const run = writeRun({
    setup: { bits: ['small', 'cup25'] },
    bits: [
      { id: 'cup25', name: 'Cup saw 25', family: 'plated-cup-saw', diameterMm: 25, rimWidthMm: 1 },
      { id: 'small', name: 'Tube 8', family: 'plated-tube', diameterMm: 8 },
    ],
  });
  expect(run.state().legs.map(({ bitName, then }) => `${bitName} ${then}`)).toEqual([
    'Tube 8 next',
    'Cup saw 25 through',
  ]);
  run.at(0, { kind: 'start' });
  run.at(60, { kind: 'through' });
  expect(run.state().phase).toBe('step-change');
  expect(runView(run.state(), METRIC).line).toBe('Change to Cup saw 25');
  run.at(100, { kind: 'next' });
  expect(run.state()).toMatchObject({ phase: 'seat', leg: 1, depthMm: 0 });
});

it('says the one thing to do, what comes next, and what is left', () => {
  const run = writeRun();
  const before = runView(run.state(), METRIC);
  expect(before).toMatchObject({ line: 'Rim on the mark', main: { act: 'start' }, end: null });
  run.at(0, { kind: 'start' });
  const cut = runView(later(run, 60), METRIC);
  expect(cut.line).toMatch(/^Press \d+ N$/);
  expect(comingUp(later(run, 60))).toMatchObject({ kind: 'lift' });
  expect(cut.left).toMatch(/^[\d.]+ mm and .+ left$/);
  expect(cut.end).toEqual({ act: 'through', label: 'It is through' });
});
