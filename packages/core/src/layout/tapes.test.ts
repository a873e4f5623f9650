import { markCheckText } from '../words/layout/markCheckText';
import { METRIC } from '../data/unitSystem';
import { checkMark, markingOrder } from './markCheck';
import { usualMark } from './markKind';
import { markAdvice } from '../words/layout/markAdvice';
import { tapePlan } from './tapes';

const PANE = { kind: 'rectangle', widthMm: 400, heightMm: 300 } as const;
const hole = { id: 'h', xMm: 90, yMm: 120, diameterMm: 20 };
const AT = '2026-05-02T09:00:00Z';

it('measures from two edges and checks across, by hand', () => {
  const tapes = tapePlan(PANE, hole);
  expect([tapes.first.mm, tapes.second.mm, tapes.check.mm]).toEqual([90, 120, 150]);
  const other = tapePlan(PANE, hole, { x: 'right', y: 'top' });
  expect([other.first.mm, other.second.mm]).toEqual([310, 180]);
  expect(other.offsetFor(309, 182)).toEqual({ xMm: 1, yMm: -2 });
});

it('measures a round from points on its rim', () => {
  const tapes = tapePlan({ kind: 'circle', diameterMm: 420 }, { ...hole, xMm: 210, yMm: 210 });
  expect(tapes.first.mm).toBe(210);
  expect(tapes.check.mm).toBe(210);
  const off = tapes.offsetFor(213, 210);
  expect(off.xMm).toBeGreaterThan(2);
  expect(tapes.checkFor(213, 210)).toBeLessThan(208);
});

it('places a hole of a polygon by two tapes from its corners, there and back', () => {
  const triangle = {
    kind: 'polygon',
    pointsMm: [
      [0, 0],
      [300, 0],
      [40, 200],
    ],
  } as const;
  const tapes = tapePlan(triangle, { ...hole, xMm: 100, yMm: 60 });
  const off = tapes.offsetFor(tapes.first.mm, tapes.second.mm);
  expect(Math.hypot(off.xMm, off.yMm)).toBeCloseTo(0);
  expect(tapes.checkFor(tapes.first.mm, tapes.second.mm)).toBeCloseTo(tapes.check.mm);
});

it('goes along the wall and checks the other way round', () => {
  const pot = { kind: 'cylinder', outerDiameterMm: 100, heightMm: 80 } as const;
  const tapes = tapePlan(pot, hole);
  expect(tapes.check.mm).toBeCloseTo(100 * Math.PI - 90);
  expect(tapes.checkFor(91, 120)).toBeCloseTo(100 * Math.PI - 91);
});

const scene = { toleranceMm: 1, brokenThere: undefined, brokenAsPlanned: undefined };

it('says whether an error in the mark matters', () => {
  const tapes = tapePlan(PANE, hole);
  const check = (firstMm: number, secondMm: number, checkMm?: number, more = {}) =>
    checkMark(
      tapes,
      { firstMm, secondMm, at: AT, ...(checkMm ? { checkMm } : {}) },
      { ...scene, ...more },
    );
  expect(check(90.5, 120)).toMatchObject({ verdict: 'good', errorMm: 0.5, residualMm: null });
  expect(check(93, 116)).toMatchObject({ verdict: 'off', errorMm: 5 });
  expect(markCheckText(check(93, 116), METRIC)).toContain('3 mm right and 4 mm down');
  expect(check(90, 120, 150.4)).toMatchObject({ verdict: 'good' });
  expect(check(90, 120, 150.4).residualMm).toBeCloseTo(0.4);
  expect(check(90, 120, 156).verdict).toBe('misread');
  const broken = { label: 'One hole diameter', actualMm: 18, requiredMm: 20 } as never;
  expect(check(90.5, 120, undefined, { brokenThere: broken }).verdict).toBe('too-near');
});

it('marks row by row from the datum up', () => {
  const at = (xMm: number, yMm: number) => ({ xMm, yMm });
  expect(markingOrder([at(200, 102), at(50, 200), at(10, 100), at(90, 104)])).toEqual([
    at(10, 100),
    at(90, 104),
    at(200, 102),
    at(50, 200),
  ]);
});

it('advises a mark that outlives the first turn', () => {
  const base = {
    materialClass: 'glass',
    glossy: true,
    diameterMm: 22,
    solidBit: false,
  } as const;
  expect(usualMark(base)).toBe('circle');
  expect(usualMark({ ...base, diameterMm: 60 })).toBe('ticks');
  expect(usualMark({ ...base, diameterMm: 4 })).toBe('tape-cross');
  expect(usualMark({ ...base, diameterMm: 4, glossy: false })).toBe('dot');
  expect(usualMark({ ...base, start: 'tape' })).toBe('tape-cross');
  expect(markAdvice('ticks', base).with).toContain('waterproof');
});
