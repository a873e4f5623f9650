import { grooveStress, lastLigament, rimLengthShare, shellStress, webStress } from './stressSites';

const ring = { solid: false, meanRadiusMm: 12, rimWidthMm: 1 };

it('counts a rim by its length over that of 25 mm', () => {
  expect(rimLengthShare(50)).toBe(2);
});

it('stretches a web as a clamped strip, fading as it grows as wide as the hole', () => {
  // (1 − 5/25)·40·25/(2π·5·36).
  expect(webStress(40, 25, 5, 6)).toBeCloseTo((0.8 * 40 * 25) / (2 * Math.PI * 5 * 36), 9);
  expect(webStress(40, 25, 25, 6)).toBe(0);
  expect(webStress(40, 25, 30, 6)).toBe(0);
  // No web at all counts as one of a hundredth of the hole.
  expect(webStress(40, 25, 0, 6)).toBeCloseTo((40 * 25) / (2 * Math.PI * 0.25 * 36), 9);
});

it('stretches the far face by 0.75·q·w/δ² under a ring, 3F/4πδ² under a solid', () => {
  expect(grooveStress(40, ring, 2)).toBeCloseTo((0.75 * 40) / (2 * Math.PI * 12) / 4, 12);
  expect(grooveStress(40, { ...ring, rimWidthMm: 2 }, 2)).toBeCloseTo(
    2 * grooveStress(40, ring, 2),
    12,
  );
  expect(grooveStress(40, { ...ring, solid: true }, 2)).toBeCloseTo(120 / (4 * Math.PI) / 4, 12);
});

it('lets go where the groove’s stress is the strength', () => {
  expect(grooveStress(40, ring, lastLigament(40, ring, 30))).toBeCloseTo(30, 9);
});

describe('a curved wall', () => {
  const wall = { radiusMm: 60, thicknessMm: 5, poisson: 0.2 };
  const R = 120;
  /** μ = r₀·(12(1 − ν²)/(R²t²))^¼ turned round. */
  const radiusAt = (μ: number): number => μ / ((12 * 0.96) / (R * R * 25)) ** 0.25;
  const stressOf = (B: number, C: number): number => (50 * (B * Math.sqrt(0.96) + C * 1.2)) / 25;

  it.each([
    [0.4, 0.204, 0.739],
    [0.8, 0.181, 0.429],
    [1.2, 0.155, 0.266],
  ])('follows Roark’s table at μ = %s', (μ, B, C) => {
    expect(shellStress(50, wall, radiusAt(μ))).toBeCloseTo(stressOf(B, C), 6);
  });

  it('lies half-way between two rows half-way between them', () => {
    expect(shellStress(50, wall, radiusAt(0.9))).toBeCloseTo(
      stressOf((0.181 + 0.168) / 2, (0.429 + 0.337) / 2),
      6,
    );
  });

  it('keeps the first row below the table and dies away beyond it', () => {
    // A long thin radius of curvature: r₀′ = 0.325·t at a point load is still below μ = 0.1.
    const flat = { radiusMm: 6000, thicknessMm: 5, poisson: 0.2 };
    expect(shellStress(50, flat, 0)).toBeCloseTo(stressOf(0.215, 1.394), 6);
    expect(shellStress(50, wall, radiusAt(2.8))).toBeCloseTo(stressOf(0.143 / 2, 0.211 / 4), 6);
    expect(shellStress(50, wall, radiusAt(1.4))).toBeCloseTo(stressOf(0.143, 0.211), 6);
  });

  it('takes Westergaard’s radius for a load narrower than half the wall', () => {
    // 12 mm thick, μ = 0.2 at r₀′ = 4.12 mm: the load that is as wide is 1.82 mm.
    const thick = { ...wall, thicknessMm: 12 };
    const equivalent = 0.2 / ((12 * 0.96) / (R * R * 144)) ** 0.25;
    const r = Math.sqrt(((equivalent + 0.675 * 12) ** 2 - 144) / 1.6);
    expect(r).toBeLessThan(6);
    expect(shellStress(50, thick, r)).toBeCloseTo((stressOf(0.212, 1.064) * 25) / 144, 6);
  });
});
