/**
 * The discrete Kirchhoff triangle (Batoz, Bathe and Ho 1980): nine degrees of freedom, at each corner
 * the deflection w and the slopes θx = ∂w/∂y and θy = −∂w/∂x; Kirchhoff's constraint holds along its
 * sides. Lengths mm, moments N·mm/mm.
 */

/** Row by row: D of the plate's law M = D·κ with κ = (κx, κy, κxy). */
export type BendingLaw = readonly [
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
];

/** D_p·[[1, ν, 0], [ν, 1, 0], [0, 0, (1 − ν)/2]], D_p = E·t³/(12(1 − ν²)). */
export function bendingLaw(
  youngModulusMpa: number,
  poisson: number,
  thicknessMm: number,
): BendingLaw {
  const D = (youngModulusMpa * thicknessMm ** 3) / (12 * (1 - poisson ** 2));
  return [D, poisson * D, 0, poisson * D, D, 0, 0, 0, ((1 - poisson) / 2) * D];
}

/** Corner coordinates x1, y1, x2, y2, x3, y3, counter-clockwise. */
export type Triangle = readonly [number, number, number, number, number, number];

const AT_MIDSIDES = [
  [0.5, 0.5],
  [0, 0.5],
  [0.5, 0],
] as const;

/** B at (ξ, η): 27 numbers, three rows of nine, so that κ = B·u. */
export function curvatureMatrix(triangle: Triangle, ξ: number, η: number): Float64Array {
  const [x1, y1, x2, y2, x3, y3] = triangle;
  const [x23, y23] = [x2 - x3, y2 - y3];
  const [x31, y31] = [x3 - x1, y3 - y1];
  const [x12, y12] = [x1 - x2, y1 - y2];
  const side = (x: number, y: number) => {
    const l2 = x * x + y * y;
    return { P: (-6 * x) / l2, t: (-6 * y) / l2, q: (3 * x * y) / l2, r: (3 * y * y) / l2 };
  };
  const [s4, s5, s6] = [side(x23, y23), side(x31, y31), side(x12, y12)];
  const twoA = x31 * y12 - x12 * y31;
  const Hxξ = [
    s6.P * (1 - 2 * ξ) + (s5.P - s6.P) * η,
    s6.q * (1 - 2 * ξ) - (s5.q + s6.q) * η,
    -4 + 6 * (ξ + η) + s6.r * (1 - 2 * ξ) - η * (s5.r + s6.r),
    -s6.P * (1 - 2 * ξ) + η * (s4.P + s6.P),
    s6.q * (1 - 2 * ξ) - η * (s6.q - s4.q),
    -2 + 6 * ξ + s6.r * (1 - 2 * ξ) + η * (s4.r - s6.r),
    -η * (s5.P + s4.P),
    η * (s4.q - s5.q),
    -η * (s5.r - s4.r),
  ];
  const Hyξ = [
    s6.t * (1 - 2 * ξ) + (s5.t - s6.t) * η,
    1 + s6.r * (1 - 2 * ξ) - (s5.r + s6.r) * η,
    -s6.q * (1 - 2 * ξ) + η * (s5.q + s6.q),
    -s6.t * (1 - 2 * ξ) + η * (s4.t + s6.t),
    -1 + s6.r * (1 - 2 * ξ) + η * (s4.r - s6.r),
    -s6.q * (1 - 2 * ξ) - η * (s4.q - s6.q),
    -η * (s4.t + s5.t),
    η * (s4.r - s5.r),
    -η * (s4.q - s5.q),
  ];
  const Hxη = [
    -s5.P * (1 - 2 * η) - ξ * (s6.P - s5.P),
    s5.q * (1 - 2 * η) - ξ * (s5.q + s6.q),
    -4 + 6 * (ξ + η) + s5.r * (1 - 2 * η) - ξ * (s5.r + s6.r),
    ξ * (s4.P + s6.P),
    ξ * (s4.q - s6.q),
    -ξ * (s6.r - s4.r),
    s5.P * (1 - 2 * η) - ξ * (s4.P + s5.P),
    s5.q * (1 - 2 * η) + ξ * (s4.q - s5.q),
    -2 + 6 * η + s5.r * (1 - 2 * η) + ξ * (s4.r - s5.r),
  ];
  const Hyη = [
    -s5.t * (1 - 2 * η) - ξ * (s6.t - s5.t),
    1 + s5.r * (1 - 2 * η) - ξ * (s5.r + s6.r),
    -s5.q * (1 - 2 * η) + ξ * (s5.q + s6.q),
    ξ * (s4.t + s6.t),
    ξ * (s4.r - s6.r),
    -ξ * (s4.q - s6.q),
    s5.t * (1 - 2 * η) - ξ * (s4.t + s5.t),
    -1 + s5.r * (1 - 2 * η) + ξ * (s4.r - s5.r),
    -s5.q * (1 - 2 * η) - ξ * (s4.q - s5.q),
  ];
  const B = new Float64Array(27);
  for (let i = 0; i < 9; i++) {
    const [xξ, yξ, xη, yη] = [Hxξ[i] ?? 0, Hyξ[i] ?? 0, Hxη[i] ?? 0, Hyη[i] ?? 0];
    B[i] = (y31 * xξ + y12 * xη) / twoA;
    B[9 + i] = (-x31 * yξ - x12 * yη) / twoA;
    B[18 + i] = (-x31 * xξ - x12 * xη + y31 * yξ + y12 * yη) / twoA;
  }
  return B;
}

/** K = ∫ Bᵀ·D·B dA, 81 numbers, by three mid-side points, which is exact for it. */
export function triangleStiffness(triangle: Triangle, law: BendingLaw): Float64Array {
  const [x1, y1, x2, y2, x3, y3] = triangle;
  const twoA = (x2 - x1) * (y3 - y1) - (x3 - x1) * (y2 - y1);
  const K = new Float64Array(81);
  for (const [ξ, η] of AT_MIDSIDES) {
    const B = curvatureMatrix(triangle, ξ, η);
    for (let i = 0; i < 9; i++) {
      const [b0, b1, b2] = [B[i] ?? 0, B[9 + i] ?? 0, B[18 + i] ?? 0];
      const m0 = b0 * law[0] + b1 * law[3] + b2 * law[6];
      const m1 = b0 * law[1] + b1 * law[4] + b2 * law[7];
      const m2 = b0 * law[2] + b1 * law[5] + b2 * law[8];
      for (let j = 0; j < 9; j++)
        K[i * 9 + j] =
          (K[i * 9 + j] ?? 0) +
          (twoA / 6) * (m0 * (B[j] ?? 0) + m1 * (B[9 + j] ?? 0) + m2 * (B[18 + j] ?? 0));
    }
  }
  return K;
}
