import type { Outline } from '../documents/outline';
import { MATERIALS } from '../data/materials/materials';
import { boundingBox, faceOutline, isOnFace, outlineArea, outlineCentre } from './outline';
import { pieceMass } from './purposes/pieceMass';
import { tapePlan } from './tapes';
import { isRound, layFlat, roundSetting, slantHeight, turnOf, wrappedRim } from './wrap';

const jar = { kind: 'cylinder', outerDiameterMm: 100, heightMm: 200 } as const;
const pot = { kind: 'cone', bottomDiameterMm: 100, topDiameterMm: 200, heightMm: 120 } as const;
const shade = { ...pot, bottomDiameterMm: 200, topDiameterMm: 100 } as const;
const triangle = {
  kind: 'polygon',
  pointsMm: [
    [10, 20],
    [130, 20],
    [10, 110],
  ],
} as unknown as Extract<Outline, { kind: 'polygon' }>;
const at = (xMm: number, yMm: number) => ({ xMm, yMm });

describe('outlines', () => {
  it('are as wide, high and large as their figures', () => {
    const rows: readonly [Outline, number, number, number][] = [
      [{ kind: 'rectangle', widthMm: 40, heightMm: 30 }, 40, 30, 1200],
      [{ kind: 'circle', diameterMm: 20 }, 20, 20, Math.PI * 100],
      [jar, Math.PI * 100, 200, Math.PI * 100 * 200],
      [pot, Math.PI * 200, 120, (Math.PI * 300 * 120) / 2],
      [shade, Math.PI * 200, 120, (Math.PI * 300 * 120) / 2],
      [triangle, 120, 90, 5400],
    ];
    for (const [outline, widthMm, heightMm, area] of rows) {
      expect(boundingBox(outline).widthMm).toBeCloseTo(widthMm, 9);
      expect(boundingBox(outline).heightMm).toBeCloseTo(heightMm, 9);
      expect(outlineArea(outline)).toBeCloseTo(area, 6);
      expect(outlineCentre(outline).xMm).toBeCloseTo(widthMm / 2, 9);
      expect(outlineCentre(outline).yMm).toBeCloseTo(heightMm / 2, 9);
    }
  });

  it('have a base that is a disc where they are round', () => {
    expect(faceOutline(jar, 'base')).toEqual({ kind: 'circle', diameterMm: 100 });
    expect(faceOutline(shade, 'base')).toEqual({ kind: 'circle', diameterMm: 200 });
    expect(faceOutline(triangle, 'base')).toBe(triangle);
    expect(faceOutline(jar, 'side')).toBe(jar);
  });

  it('end at rim and base where they are unrolled, and nowhere round', () => {
    expect(isOnFace(jar, at(-500, 1))).toBe(true);
    expect([isOnFace(jar, at(0, 0)), isOnFace(jar, at(0, 200))]).toEqual([false, false]);
    expect(isOnFace(pot, at(0, 119.9))).toBe(true);
    expect(isOnFace(pot, at(0, 121))).toBe(false);
  });

  it('weigh area times thickness times density, but no wall', () => {
    const piece = {
      form: 'slab',
      outline: { kind: 'rectangle', widthMm: 500, heightMm: 400 },
    } as const;
    // 0.2 m² × 0.02 m × 2650 kg/m³.
    expect(pieceMass({ ...piece, thicknessMm: 20 }, 2650)).toBeCloseTo(10.6, 9);
    expect(
      pieceMass({ ...piece, form: 'wall', thicknessMm: 20 }, MATERIALS.granite.densityKgPerM3),
    ).toBeNull();
    expect(pieceMass({ ...piece, form: 'floor', thicknessMm: 20 }, 2650)).toBeNull();
  });
});

describe('round a wall', () => {
  it('only cylinders and cones are round', () => {
    expect([jar, pot, triangle, { kind: 'circle', diameterMm: 5 } as const].map(isRound)).toEqual([
      true,
      true,
      false,
      false,
    ]);
  });

  it('turns from the seam, once round and backwards', () => {
    const round = Math.PI * 100;
    expect(turnOf(jar, round / 4)).toBeCloseTo(90, 9);
    expect(turnOf(jar, -round / 4)).toBeCloseTo(270, 9);
    expect(turnOf(jar, 1.25 * round)).toBeCloseTo(90, 9);
  });

  it('is set by arc, chord and turn the shorter way', () => {
    const setting = (turn: number, diameterMm = 20) =>
      roundSetting(jar, at((turn / 360) * Math.PI * 100, 50), diameterMm);
    expect(setting(90)).toMatchObject({ radiusMm: 50, tiltDeg: 0 });
    expect(setting(90).arcMm).toBeCloseTo(Math.PI * 25, 9);
    expect(setting(90).chordMm).toBeCloseTo(100 * Math.sin(Math.PI / 4), 9);
    expect(setting(270).chordMm).toBeCloseTo(100 * Math.sin(Math.PI / 4), 9);
    expect(setting(60).chordMm).toBeCloseTo(50, 9);
    expect(setting(90).cradleTurnDeg).toBeCloseTo(90, 9);
    expect(setting(270).cradleTurnDeg).toBeCloseTo(90, 9);
    expect(setting(180).cradleTurnDeg).toBeCloseTo(180, 9);
    expect(setting(0, 60).ringDepthMm).toBeCloseTo(50 - 40, 9);
    expect(setting(0, 60).acrossArcMm).toBeCloseTo(100 * Math.asin(0.6), 9);
    expect(setting(0, 100).acrossArcMm).toBeCloseTo(Math.PI * 50, 9);
    expect(setting(0, 120).acrossArcMm).toBeCloseTo(Math.PI * 50, 9);
    const tilt = (Math.atan(50 / 120) * 180) / Math.PI;
    expect(roundSetting(pot, at(0, 60), 20)).toMatchObject({ radiusMm: 75 });
    expect(roundSetting(pot, at(0, 60), 20).tiltDeg).toBeCloseTo(tilt, 9);
    expect(roundSetting(shade, at(0, 60), 20).tiltDeg).toBeCloseTo(tilt, 9);
  });

  it('lies flat with every length kept: a cylinder as it is, a cone as part of a ring', () => {
    expect(layFlat(jar, at(30, 40))).toEqual([30, 40]);
    expect(layFlat({ ...pot, topDiameterMm: 100 }, at(30, 40))).toEqual([30, 40]);
    expect(slantHeight(pot)).toBeCloseTo(130, 9);
    for (const cone of [pot, shade]) {
      const flat = (turn: number, yMm: number) => layFlat(cone, at(turn * 200 * Math.PI, yMm));
      const apart = (a: readonly [number, number], b: readonly [number, number]): number =>
        Math.hypot(a[0] - b[0], a[1] - b[1]);
      // Up the wall it is the slant, whatever the turn.
      for (const turn of [0.1, 0.5, 0.8])
        expect(apart(flat(turn, 0), flat(turn, 120))).toBeCloseTo(130, 6);
      // A hair round is the arc at that height.
      expect(apart(flat(0.3, 60), flat(0.3001, 60))).toBeCloseTo(0.0001 * 2 * Math.PI * 75, 6);
      // The seam is cut opposite the middle, which stands upright with its base at the bottom.
      expect(flat(0.5, 0)[0]).toBeCloseTo(0, 9);
      expect(flat(0.5, 0)[1]).toBeCloseTo(0, 6);
      expect(flat(0.5, 120)[1]).toBeCloseTo(130, 6);
      expect(flat(0.25, 60)[0]).toBeCloseTo(-flat(0.75, 60)[0], 6);
      expect(flat(0.75, 60)[0]).toBeGreaterThan(0);
    }
  });

  it('shows a bit’s rim: D/2 up, R·asin(D/2R) along', () => {
    const rim = wrappedRim(jar, at(80, 90), 60, 4);
    expect(rim).toHaveLength(4);
    const along = 50 * Math.asin(0.6);
    expect(rim[0]?.xMm).toBeCloseTo(80 + along, 9);
    expect(rim[0]?.yMm).toBeCloseTo(90, 9);
    expect(rim[1]?.xMm).toBeCloseTo(80, 9);
    expect(rim[1]?.yMm).toBeCloseTo(120, 9);
    expect(rim[2]?.xMm).toBeCloseTo(80 - along, 9);
    expect(rim[3]?.yMm).toBeCloseTo(60, 9);
    // On a cone the strip is as wide as its widest round.
    expect(wrappedRim(pot, at(0, 60), 60, 4)[0]?.xMm).toBeCloseTo(100 * Math.asin(30 / 75), 9);
    // A bit wider than the wall touches its sides.
    expect(wrappedRim(jar, at(0, 0), 140, 4)[0]?.xMm).toBeCloseTo(25 * Math.PI, 9);
    expect(wrappedRim(jar, at(0, 0), 140, 4)[2]?.xMm).toBeCloseTo(-25 * Math.PI, 9);
    expect(wrappedRim(jar, at(0, 0), 20)).toHaveLength(72);
  });
});

describe('tapes', () => {
  const hole = (xMm: number, yMm: number) => ({ id: 'h', xMm, yMm, diameterMm: 10 });
  const disc = { kind: 'circle', diameterMm: 100 } as const;

  it('hook on a disc’s rim at the datum’s quarters, and check from across', () => {
    const names = (x: 'left' | 'right', y: 'bottom' | 'top') => {
      const { first, second, check } = tapePlan(disc, hole(30, 40), { x, y });
      return [first.from, second.from, check.from];
    };
    expect(names('left', 'bottom')).toEqual([
      'rim at its left',
      'rim at its bottom',
      'rim at its right',
    ]);
    expect(names('right', 'top')).toEqual([
      'rim at its right',
      'rim at its top',
      'rim at its left',
    ]);
    const plan = tapePlan(disc, hole(30, 40));
    // From (0, 50), (50, 0) and (100, 50).
    expect(plan.first.mm).toBeCloseTo(Math.hypot(30, 10), 9);
    expect(plan.second.mm).toBeCloseTo(Math.hypot(20, 40), 9);
    expect(plan.check.mm).toBeCloseTo(Math.hypot(70, 10), 9);
    expect(tapePlan(disc, hole(30, 40), { x: 'left', y: 'top' }).second.mm).toBeCloseTo(
      Math.hypot(20, 60),
      9,
    );
  });

  it('meet on the hole’s own side of their line, however they are hooked', () => {
    for (const where of [hole(30, 40), hole(60, 20), hole(20, 75), hole(70, 80)])
      for (const x of ['left', 'right'] as const)
        for (const y of ['bottom', 'top'] as const) {
          const plan = tapePlan(disc, where, { x, y });
          const off = plan.offsetFor(plan.first.mm, plan.second.mm);
          expect(Math.hypot(off.xMm, off.yMm)).toBeLessThan(1e-6);
          expect(plan.checkFor(plan.first.mm, plan.second.mm)).toBeCloseTo(plan.check.mm, 6);
        }
  });

  it('find a mark that is off where it is', () => {
    const plan = tapePlan(disc, hole(30, 40));
    const from = (a: readonly [number, number], xMm: number, yMm: number): number =>
      Math.hypot(xMm - a[0], yMm - a[1]);
    const off = plan.offsetFor(from([0, 50], 33, 38), from([50, 0], 33, 38));
    expect(off.xMm).toBeCloseTo(3, 6);
    expect(off.yMm).toBeCloseTo(-2, 6);
  });

  it('of a polygon hook on the corner at the datum, the farthest from it, and the one off their line', () => {
    const { first, second, check } = tapePlan(
      {
        kind: 'polygon',
        pointsMm: [
          [0, 0],
          [120, 0],
          [120, 50],
          [0, 90],
        ],
      },
      { id: 'h', xMm: 30, yMm: 40, diameterMm: 10 },
      { x: 'right', y: 'bottom' },
    );
    expect([first.from, second.from, check.from]).toEqual(['corner 2', 'corner 4', 'corner 1']);
    expect(first.mm).toBeCloseTo(Math.hypot(90, 40), 9);
    expect(second.mm).toBeCloseTo(Math.hypot(30, 50), 9);
    expect(check.mm).toBeCloseTo(50, 9);
  });

  it('go along a round wall from the seam and upright from the base', () => {
    const plan = tapePlan(pot, {
      id: 'h',
      xMm: 50 * Math.PI,
      yMm: 60,
      diameterMm: 10,
      face: 'side',
    });
    // A quarter turn at R = 75.
    expect(plan.first.mm).toBeCloseTo((75 * Math.PI) / 2, 9);
    expect(plan.second.mm).toBe(60);
    expect(plan.check.mm).toBeCloseTo((3 * 75 * Math.PI) / 2, 9);
    expect(plan.checkFor(100, 60)).toBeCloseTo(150 * Math.PI - 100, 9);
    const off = plan.offsetFor(plan.first.mm + 4, 57);
    expect([off.xMm, off.yMm].map((one) => Math.round(one * 1e6) / 1e6)).toEqual([4, -3]);
  });

  it('measure a base as the disc it is', () => {
    expect(tapePlan(jar, { id: 'h', xMm: 0, yMm: 0, diameterMm: 10, face: 'base' })).toMatchObject({
      kind: 'points',
      first: { mm: 50 },
    });
  });
});
