import {
  AIM_DEG,
  exitOffset,
  guideLean,
  leanOf,
  tanDeg,
  twoSidedMismatch,
  USUAL_GUIDE,
} from './aim';
import { exitPlace } from './exitPlace';
import { meanThickness, thicknessSpread, UNMEASURED_THICKNESS_SD } from './thickness';
import { bandWidth, clashes, reachOf, spansToServices } from './services';

const piece = {
  outline: { kind: 'rectangle', widthMm: 400, heightMm: 300 },
  thicknessMm: 100,
} as const;
const hole = {
  id: 'h',
  xMm: 100,
  yMm: 150,
  diameterMm: 40,
  depth: { kind: 'through' },
} as const;
const TRUE = { alongDeg: 0, acrossDeg: 0, how: 'rig' } as const;

describe('where a hole comes out', () => {
  it('is its own middle, round, where nothing leans or falls', () => {
    expect(exitPlace(piece, hole, [], TRUE)).toMatchObject({
      at: { xMm: 100, yMm: 150 },
      depthMm: 100,
      acrossMm: 0,
      alongMm: 0,
      lengthMm: 40,
      clearMm: 80,
    });
  });

  it('is lower by depth/oneIn on the low side, and longer by √(1 + slope²)', () => {
    const fallen = exitPlace(piece, { ...hole, fall: { oneIn: 4, lowSide: 'far' } }, [], TRUE);
    expect(fallen).toMatchObject({ fallMm: -25, at: { xMm: 100, yMm: 125 } });
    expect(fallen?.lengthMm).toBeCloseTo(40 * Math.sqrt(1 + 1 / 16), 9);
    expect(
      exitPlace(piece, { ...hole, fall: { oneIn: 4, lowSide: 'near' } }, [], TRUE)?.fallMm,
    ).toBe(25);
  });

  it('wanders by depth·tan(lean), more along a fall', () => {
    const lean = { alongDeg: 1, acrossDeg: 2, how: 'hand' } as const;
    const out = exitPlace(piece, { ...hole, fall: { oneIn: 4, lowSide: 'far' } }, [], lean);
    expect(out?.acrossMm).toBeCloseTo(100 * Math.tan((2 * Math.PI) / 180), 9);
    expect(out?.alongMm).toBeCloseTo(100 * Math.tan(Math.PI / 180) * (1 + 1 / 16), 9);
    expect(out?.clearMm).toBeCloseTo(80 - (out?.acrossMm ?? NaN), 9);
  });

  it('keeps clear of holes and marked places there too, whichever is nearest', () => {
    const other = { id: 'o', xMm: 170, yMm: 150, diameterMm: 20 };
    expect(exitPlace(piece, hole, [other], TRUE)?.clearMm).toBeCloseTo(40, 9);
    const marked = {
      ...piece,
      keepOff: [
        {
          id: 'k',
          kind: 'rib' as const,
          shape: { kind: 'circle' as const, xMm: 100, yMm: 190, diameterMm: 20 },
        },
      ],
    };
    expect(exitPlace(marked, hole, [other], TRUE)?.clearMm).toBeCloseTo(10, 9);
  });

  it('is nowhere for a hole that does not go through', () => {
    const blind = { ...hole, depth: { kind: 'blind', depthMm: 20 } } as const;
    expect(exitPlace(piece, blind, [], TRUE)).toBeNull();
  });
});

describe('lean', () => {
  it('drifts by depth·tan(angle); two sides meet within √2 of each half and the marking', () => {
    expect(exitOffset(100, 'freehand')).toBeCloseTo(100 * Math.tan((2 * Math.PI) / 180), 12);
    expect(twoSidedMismatch(100, 'level')).toBeCloseTo(
      Math.SQRT2 * 50 * Math.tan(Math.PI / 180) + 0.5,
      12,
    );
    expect(AIM_DEG).toEqual({ freehand: 2, level: 1, laser: 0.4, press: 0.3, rig: 0.2 });
    expect(tanDeg(45)).toBeCloseTo(1, 12);
  });

  it('is the guide’s own play over its thickness, never worse than free hand', () => {
    expect(guideLean(1, 20)).toBeCloseTo((Math.atan(0.05) * 180) / Math.PI, 12);
    const guide = { kind: 'board', thicknessMm: 20, clearanceMm: 0.4 } as const;
    expect(leanOf({ hold: 'guided', guide }).acrossDeg).toBeCloseTo(guideLean(0.4, 20), 12);
    expect(leanOf({ hold: 'guided' }).acrossDeg).toBeCloseTo(
      guideLean(USUAL_GUIDE.clearanceMm, USUAL_GUIDE.thicknessMm),
      12,
    );
    expect(leanOf({ guide: { ...guide, clearanceMm: 5 } })).toEqual({
      alongDeg: 2,
      acrossDeg: 2,
      how: 'guide',
    });
  });

  it('goes by what steers it: a level one way only', () => {
    expect(leanOf({ guide: { kind: 'level' } })).toEqual({
      alongDeg: 1,
      acrossDeg: 2,
      how: 'level',
    });
    expect(leanOf({ guide: { kind: 'laser' } })).toMatchObject({ alongDeg: 0.4, how: 'laser' });
    expect(leanOf({ hold: 'press' })).toMatchObject({ alongDeg: 0.3, how: 'press' });
    expect(leanOf({ hold: 'rig' })).toMatchObject({ acrossDeg: 0.2, how: 'rig' });
    expect(leanOf({})).toMatchObject({ alongDeg: 2, how: 'hand' });
    // A machine that holds itself is not held by hand.
    expect(leanOf({}, 'bench-drill-press').how).toBe('press');
    expect(leanOf({ hold: 'freehand' }, 'bench-drill-press').how).toBe('hand');
  });
});

describe('thickness', () => {
  it('is as even as its readings: sample sd over the mean', () => {
    const spread = thicknessSpread({ thicknessMm: 6, thicknessReadingsMm: [5.8, 6.2, 6.3] });
    const mean = (5.8 + 6.2 + 6.3) / 3;
    const sd = Math.sqrt(((5.8 - mean) ** 2 + (6.2 - mean) ** 2 + (6.3 - mean) ** 2) / 2);
    expect(spread).toMatchObject({ thinnestMm: 5.8, thickestMm: 6.3, readings: 3 });
    expect(spread.relativeSd).toBeCloseTo(sd / mean, 12);
    expect(thicknessSpread({ thicknessMm: 7, thicknessReadingsMm: [5.8, 6.2] }).thickestMm).toBe(7);
  });
  it('is two in a hundred off where nobody measured twice', () => {
    for (const thicknessReadingsMm of [undefined, [], [6.1]])
      expect(
        thicknessSpread({
          thicknessMm: 6,
          ...(thicknessReadingsMm ? { thicknessReadingsMm } : {}),
        }),
      ).toEqual({
        thinnestMm: 6,
        thickestMm: 6,
        relativeSd: UNMEASURED_THICKNESS_SD,
        readings: 1,
      });
    expect(meanThickness([6, 6.1, 6.33])).toBe(6.14);
  });
});

describe('what a scan found', () => {
  const band = (more: object = {}) => ({
    id: 's',
    kind: 'pipe' as const,
    pointsMm: [
      [150, 0],
      [150, 300],
    ] as [number, number][],
    widthMm: 10,
    uncertaintyMm: 5,
    depthMm: 60,
    ...more,
  });
  const wall = (...services: ReturnType<typeof band>[]) => ({ ...piece, services });

  it('lies over its width and what it may be off to either side', () => {
    expect(bandWidth(band())).toBe(20);
    // 50 to the line, less the hole’s radius and half the band.
    expect(spansToServices(wall(band()), hole)[0]?.clearMm).toBeCloseTo(50 - 20 - 10, 9);
    expect(clashes(wall(band()), hole)).toBe(false);
    expect(clashes(wall(band()), { ...hole, xMm: 121 })).toBe(true);
    expect(clashes(wall(band()), { ...hole, xMm: 120 })).toBe(false);
  });

  it('counts as deep as it may begin, and only where the hole reaches', () => {
    const blind = (depthMm: number) => ({ ...hole, depth: { kind: 'blind', depthMm } as const });
    expect(spansToServices(wall(band()), blind(55))).toHaveLength(0);
    expect(spansToServices(wall(band()), blind(55.1))).toHaveLength(1);
    expect(spansToServices(wall(band({ depthMm: undefined })), blind(1))).toHaveLength(1);
    expect(spansToServices(wall(band()), { ...hole, face: 'base' })).toHaveLength(0);
    expect(reachOf(hole, piece)).toBe(100);
    expect(reachOf(blind(12), piece)).toBe(12);
  });

  it('puts the nearest first', () => {
    const far = band({
      id: 'far',
      pointsMm: [
        [300, 0],
        [300, 300],
      ],
    });
    expect(spansToServices(wall(far, band()), hole).map((span) => span.band.id)).toEqual([
      's',
      'far',
    ]);
  });
});
