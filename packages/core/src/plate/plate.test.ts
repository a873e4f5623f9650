import { discLoad, nodeAreas, ringLoad } from './nodeShares';
import { curvatureMatrix, type Triangle } from './kirchhoffTriangle';
import { evenAxis, gradedAxis, rectangleMesh, type PlateMesh } from './plateMesh';
import { solvePlate, type PlateCase, type PlateSolution } from './solvePlate';

const E = 70_000;
const ν = 0.22;
const t = 6;
const D_p = (E * t ** 3) / (12 * (1 - ν ** 2));
const F = 26.389;

const onEdge = ({ x, y }: PlateMesh, aMm: number): number[] =>
  Array.from(x.keys()).filter((node) =>
    [x[node], y[node]].some((at) => at === 0 || Math.abs((at ?? 0) - aMm) < 1e-9),
  );
const middleOf = ({ x, y }: PlateMesh, xMm: number, yMm: number): number =>
  Array.from(x.keys()).reduce((best, node) => {
    const off = (one: number) => Math.hypot((x[one] ?? 0) - xMm, (y[one] ?? 0) - yMm);
    return off(node) < off(best) ? node : best;
  });
const solved = (plate: PlateCase): PlateSolution => {
  const outcome = solvePlate(plate);
  if (outcome.kind !== 'converged') throw new Error(outcome.kind);
  return outcome;
};
const total = (forces: Float64Array): number => forces.reduce((sum, one) => sum + one, 0);

/** A square pane, its edges simply supported. */
const square = (cells: number, loadOf: (mesh: PlateMesh) => Float64Array, aMm = 300) => {
  const mesh = rectangleMesh(evenAxis(aMm, cells), evenAxis(aMm, cells));
  const plate: PlateCase = {
    mesh,
    youngModulusMpa: E,
    poisson: ν,
    thicknessMm: t,
    loadN: loadOf(mesh),
    springNPerMm: new Float64Array(mesh.x.length),
    noTension: false,
    held: onEdge(mesh, aMm),
  };
  return { mesh, plate, solution: solved(plate), middle: middleOf(mesh, aMm / 2, aMm / 2) };
};
const pointLoad = (mesh: PlateMesh): Float64Array =>
  ringLoad(mesh, { xMm: 150, yMm: 150 }, 0, F) ?? new Float64Array(mesh.x.length);
const uniform =
  (q: number) =>
  (mesh: PlateMesh): Float64Array =>
    nodeAreas(mesh).map((area) => area * q);

it('bends to constant curvature exactly: the patch test', () => {
  const triangle: Triangle = [0, 0, 3, 0.4, 1, 2];
  // w = x²/2 + 0.3·xy + 0.2·y²: κ = −(w,xx, w,yy, 2·w,xy).
  const u = [0, 2, 4].flatMap((at) => {
    const [x, y] = [triangle[at] ?? 0, triangle[at + 1] ?? 0];
    return [x * x * 0.5 + 0.3 * x * y + 0.2 * y * y, 0.3 * x + 0.4 * y, -(x + 0.3 * y)];
  });
  for (const [ξ, η] of [
    [0.2, 0.3],
    [0.6, 0.1],
  ] as const) {
    const B = curvatureMatrix(triangle, ξ, η);
    const κ = [0, 1, 2].map((part) =>
      u.reduce((sum, value, j) => sum + (B[9 * part + j] ?? 0) * value, 0),
    );
    expect(κ[0]).toBeCloseTo(-1, 9);
    expect(κ[1]).toBeCloseTo(-0.4, 9);
    expect(κ[2]).toBeCloseTo(-0.6, 9);
  }
});

it('deflects as Navier says under a point load and a uniform one', () => {
  const point = square(24, pointLoad);
  const closed = (0.0116 * F * 300 ** 2) / D_p;
  expect((point.solution.deflectionMm[point.middle] ?? 0) / closed).toBeCloseTo(1, 1.7);
  const q = 0.001;
  const even = square(24, uniform(q));
  expect(
    (even.solution.deflectionMm[even.middle] ?? 0) / ((0.00406 * q * 300 ** 4) / D_p),
  ).toBeCloseTo(1, 1.7);
});

it('converges as the mesh is refined', () => {
  const closed = (0.0116 * F * 300 ** 2) / D_p;
  const errors = [8, 16, 32].map((cells) => {
    const { solution, middle } = square(cells, pointLoad);
    return Math.abs((solution.deflectionMm[middle] ?? 0) / closed - 1);
  });
  expect(errors[1]).toBeLessThan(errors[0] ?? 0);
  expect(errors[2]).toBeLessThan(0.02);
});

it('gives back just what is put on it', () => {
  const { solution } = square(16, pointLoad);
  expect(total(solution.reactionN) / F).toBeCloseTo(1, 6);
});

/** A wide pane on foam, pressed in the middle. */
const onFoam = (radiusMm: number, noTension: boolean, k = 0.2, aMm = 800) => {
  const axis = gradedAxis(aMm, aMm / 2, 4, 1.15);
  const mesh = rectangleMesh(axis, axis);
  const centre = { xMm: aMm / 2, yMm: aMm / 2 };
  const plate: PlateCase = {
    mesh,
    youngModulusMpa: E,
    poisson: ν,
    thicknessMm: t,
    loadN: ringLoad(mesh, centre, radiusMm, F) ?? new Float64Array(mesh.x.length),
    springNPerMm: nodeAreas(mesh).map((area) => area * k),
    noTension,
    held: [],
  };
  return { mesh, plate, middle: middleOf(mesh, aMm / 2, aMm / 2) };
};

it('sinks into its foundation as Hertz says, and is stressed as Westergaard says', () => {
  const point = onFoam(0, false);
  const w = solved(point.plate).deflectionMm[point.middle] ?? 0;
  expect(w / (F / (8 * Math.sqrt(0.2 * D_p)))).toBeCloseTo(1, 1.7);
  const { mesh, plate, middle } = onFoam(0, false);
  const disc = discLoad(mesh, { xMm: 400, yMm: 400 }, 12.5, F);
  if (!disc) throw new Error('the disc left the plate');
  const { farTensionMpa } = solved({ ...plate, loadN: disc });
  // Westergaard interior, a = 12.5 mm, ℓ = 50.725 mm: 0.8611 MPa, to 5 %.
  expect((farTensionMpa[middle] ?? 0) / 0.8611).toBeGreaterThan(0.95);
  expect((farTensionMpa[middle] ?? 0) / 0.8611).toBeLessThan(1.05);
});

it('is the same on both sides where load and pane are', () => {
  const { mesh, plate } = onFoam(12.5, true);
  const { deflectionMm } = solved(plate);
  const rows = mesh.x.length / mesh.columns;
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < mesh.columns; column++) {
      const there = deflectionMm[row * mesh.columns + column] ?? 0;
      const across = deflectionMm[column * mesh.columns + row] ?? 0;
      expect(Math.abs(there - across)).toBeLessThan(1e-6);
    }
  }
});

it('lifts off a bed that cannot pull, and keeps the balance', () => {
  const { plate } = onFoam(12.5, true);
  const solution = solved(plate);
  expect(solution.liftOffFraction).toBeGreaterThan(0.1);
  expect(total(solution.reactionN) / F).toBeCloseTo(1, 6);
  expect(Math.min(...solution.reactionN)).toBeGreaterThanOrEqual(0);
});

it('says so where nothing holds it', () => {
  const { plate } = onFoam(0, false);
  expect(solvePlate({ ...plate, springNPerMm: new Float64Array(plate.loadN.length) }).kind).toBe(
    'singular',
  );
});
