import { METRIC } from '../data/unitSystem';
import { wallOf, type JobParts } from '../setup/jobFixtures';
import { runView } from '../words/run/runView';
import { START_S } from '../physics/cutting/pauses';
import { advance } from './advance';
import { legsOf } from './legs';
import { timeLeft, wayDown } from './runFigures';
import { planWith, writeRun } from './runFixtures';
import { bitUses } from './runRecord';
import type { RunState } from './runState';

const CAVITY_WALL: JobParts = {
  piece: wallOf(['clay-brick', 102], ['cavity', 70], ['lightweight-block', 100]),
  hole: { diameterMm: 127 },
  setup: { bit: 'dry', sides: 'two', water: { kind: 'none' } },
  bits: [{ id: 'dry', name: 'Dry core 127', family: 'dry-segmented-core', diameterMm: 127 }],
};
const TILED: JobParts = {
  piece: wallOf(['porcelain-tile', 9], ['lightweight-block', 100]),
  hole: { diameterMm: 8, depth: { kind: 'blind', depthMm: 60 } },
  setup: { bit: 'tile8', water: { kind: 'none' } },
  bits: [
    { id: 'tile8', name: 'Tile core 8', family: 'dry-tile-core', diameterMm: 8 },
    { id: 'mas8', name: 'Masonry 8', family: 'masonry-bit', diameterMm: 8, usableDepthMm: 120 },
  ],
};

/** To the foot of the present cut, lifts and all. */
const toFoot = (state: RunState): RunState => advance(state, 1e5);

it('go cut by cut, with what hands do between them at their foot', () => {
  const plan = planWith(CAVITY_WALL);
  const legs = legsOf(plan);
  expect(legs.map((leg) => [leg.side, leg.fromMm, leg.depthMm, leg.then, leg.givesWay])).toEqual([
    [1, 0, 102, 'next', true],
    [2, 0, 100, 'through', true],
  ]);
  expect(legs[0]?.stops.at(-1)).toMatchObject({
    kind: 'flip',
    depthMm: 102,
    haltS: 300,
    title: 'Go round to the other side',
  });
  expect(legs.every(({ dry }) => dry)).toBe(true);
});

it('waits at a cavity until it gives way, and then sends round to the other side', () => {
  const run = writeRun(CAVITY_WALL);
  run.at(0, { kind: 'start' });
  expect(toFoot(run.state())).toMatchObject({ phase: 'cut', depthMm: 102, leg: 0 });
  run.at(400, { kind: 'through' });
  expect(run.state().phase).toBe('flip');
  expect(runView(run.state(), METRIC)).toMatchObject({
    line: 'Go round to the other side',
    main: { label: 'Turned over: go on' },
  });
  run.at(700, { kind: 'next' });
  expect(run.state()).toMatchObject({ leg: 1, depthMm: 0, phase: 'seat' });
  expect(wayDown(run.state())).toEqual({ doneMm: 102, wholeMm: 202 });
  run.at(800, { kind: 'through' });
  expect(run.state().phase).toBe('through');
});

it('changes the tool where the leaf asks for another, and goes on from there', () => {
  const run = writeRun(TILED);
  run.at(0, { kind: 'start' });
  const foot = toFoot(run.state());
  // A tile on a block does not give way: the clock brings the change.
  expect(foot).toMatchObject({ phase: 'step-change', depthMm: 9 });
  expect(runView(foot, METRIC).line).toBe('Change to Masonry 8');
  run.at(500, { kind: 'next' });
  expect(run.state()).toMatchObject({ leg: 1, depthMm: 9, phase: 'cut' });
  expect(toFoot(run.state())).toMatchObject({ phase: 'cut', depthMm: 60 });
  run.at(600, { kind: 'through' });
  for (const at of [610, 620, 630, 640]) run.at(at, { kind: 'next' });
  expect(run.state().phase).toBe('done');
  expect(bitUses(run.events).map(({ bitId, depthMm, holes }) => [bitId, depthMm, holes])).toEqual([
    ['tile8', 9, 1],
    ['mas8', 51, 1],
  ]);
});

it('counts what is left over all cuts, with the change between them', () => {
  const plan = planWith(TILED);
  const run = writeRun(TILED);
  run.at(0, { kind: 'start' });
  // All that the plan says but winning the groove, which is over when the clock starts.
  expect(timeLeft(run.state())?.p50).toBeCloseTo((plan.drillTimeS?.p50 ?? NaN) - START_S.guide, 6);
});

it('goes on in its own groove after a core is out, as unsure of the depth as before', () => {
  const run = writeRun({
    piece: wallOf(['concrete', 150]),
    hole: { diameterMm: 62 },
    setup: { bit: 'cup', water: { kind: 'bottle' } },
    bits: [{ id: 'cup', name: 'Cup', family: 'plated-cup-saw', diameterMm: 62, usableDepthMm: 50 }],
  });
  run.at(0, { kind: 'start' });
  const broken = toFoot(run.state());
  expect(broken).toMatchObject({ phase: 'core-break', depthMm: 45 });
  run.at(3000, { kind: 'next' });
  const on = run.state();
  expect(on).toMatchObject({ leg: 1, depthMm: 45, phase: 'cut', rate: broken.rate });
  expect(on.anchor.sdMm).toBeCloseTo(45 * broken.rate.sd, 9);
});
