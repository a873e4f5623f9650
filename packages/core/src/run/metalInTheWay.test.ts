import { METRIC } from '../data/unitSystem';
import { wallOf, type JobParts } from '../setup/jobFixtures';
import { runView } from '../words/run/runView';
import { advance } from './advance';
import { forceNow, rpmNow } from './runFigures';
import { planWith, writeRun } from './runFixtures';
import { bitUses } from './runRecord';

const SLAB: JobParts = {
  piece: wallOf(['concrete', 200]),
  hole: { diameterMm: 52 },
  setup: { bit: 'core' },
  bits: [{ id: 'core', name: 'Core 52', family: 'segmented-core', diameterMm: 52 }],
};
const TILE_BIT: JobParts = {
  piece: wallOf(['clay-brick', 102]),
  hole: { diameterMm: 8 },
  setup: { bit: 'mas', water: { kind: 'none' } },
  bits: [{ id: 'mas', name: 'Masonry 8', family: 'masonry-bit', diameterMm: 8 }],
};
const barOf = (parts: JobParts) => {
  const bar = planWith(parts).operations?.find(({ does }) => does === 'core')?.bar;
  if (!bar) throw new Error('no bar');
  return bar;
};
/** At a measured 60 mm, then bright metal. */
function atTheBar(parts: JobParts) {
  const run = writeRun(parts);
  run.at(0, { kind: 'start' });
  run.at(100, { kind: 'measure', depthMm: 60, by: 'rule' });
  run.at(100, { kind: 'sign', sign: 'metal' });
  return run;
}

it('stops at bright metal, and goes through a bar at its own force, speed and rate', () => {
  const run = atTheBar(SLAB);
  const bar = barOf(SLAB);
  const stopped = run.state();
  expect(stopped).toMatchObject({ phase: 'paused', resumeTo: 'bar' });
  expect(runView(stopped, METRIC)).toMatchObject({
    line: 'Metal: stopped',
    main: { act: 'resume', label: 'Cut the bar' },
  });
  run.at(160, { kind: 'resume' });
  const cutting = run.state();
  expect(cutting.phase).toBe('bar');
  expect(forceNow(cutting)).toBe(bar.feedForceN);
  expect(rpmNow(cutting)).toBe(bar.rpm);
  expect(advance(cutting, 10).depthMm).toBeCloseTo(60 + 10 * bar.rateMmPerS, 9);
  expect(runView(cutting, METRIC).end).toEqual({ act: 'next', label: 'Past the bar' });
  // A lift on the way comes back to the bar.
  expect(advance(cutting, 60)).toMatchObject({ phase: 'bar', inBar: true });
  run.at(170, { kind: 'next' });
  expect(run.state()).toMatchObject({ phase: 'cut', inBar: false });
  expect(run.state().barMm[0]).toBeCloseTo(10 * bar.rateMmPerS, 9);
});

it('says nothing of how the piece cuts, and wears the bit as steel does', () => {
  const run = atTheBar(SLAB);
  const bar = barOf(SLAB);
  const before = run.state().rate;
  run.at(160, { kind: 'resume' });
  const inBar = advance(run.state(), 60).depthMm - 60;
  run.at(220, { kind: 'measure', depthMm: 60 + inBar, by: 'rule' });
  expect(run.state()).toMatchObject({ phase: 'bar' });
  expect(run.state().rate.lnK).toBeCloseTo(before.lnK, 6);
  run.at(220, { kind: 'next' });
  run.at(220, { kind: 'abort', why: 'enough' });
  const [use] = bitUses(run.events);
  const { lifeDepthMm = 0 } = use ?? {};
  expect(bar.lifeDepthMm).toBeLessThan(lifeDepthMm);
  // z + z_bar·(L/L_bar − 1)
  expect(use?.depthMm).toBeCloseTo(60 + inBar * (lifeDepthMm / bar.lifeDepthMm), 6);
});

it('has a tie chiselled clear from where it stopped, and goes on at the same depth', () => {
  const run = atTheBar(SLAB);
  run.at(130, { kind: 'sign', sign: 'tie' });
  expect(run.state()).toMatchObject({ phase: 'chisel', resumeTo: null, depthMm: 60 });
  expect(runView(run.state(), METRIC)).toMatchObject({
    line: 'Chisel it clear',
    main: { act: 'next', label: 'Clear: go on' },
    end: null,
  });
  run.at(300, { kind: 'next' });
  expect(run.state()).toMatchObject({ phase: 'cut', depthMm: 60 });
});

it('goes on as it was with a bit that does not cut steel', () => {
  const run = writeRun(TILE_BIT);
  run.at(0, { kind: 'start' });
  run.at(5, { kind: 'sign', sign: 'metal' });
  expect(run.state().resumeTo).not.toBe('bar');
  expect(runView(run.state(), METRIC).main?.label).toBe('Go on');
});

it('is no matter of glass', () => {
  expect(planWith().operations?.every(({ bar }) => bar === null)).toBe(true);
});
