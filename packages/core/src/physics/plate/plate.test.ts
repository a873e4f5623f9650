import { freeEdges } from '../../layout/outline';
import { bendPlate, type PlateSolution } from './bendPlate';
import { curvatureMatrix, type Triangle } from './kirchhoffTriangle';
import { locator } from './locate';
import { meshPlate } from './meshPlate';
import { discLoad, nodeAreas, ringLoad } from './nodeShares';
import { evenAxis, rectangleMesh, type PlateMesh } from './plateMesh';
import { preparePlate, type HeldPlate } from './preparePlate';

const E = 70_000;
const ν = 0.22;
const t = 6;
const D_p = (E * t ** 3) / (12 * (1 - ν ** 2));
const F = 26.389;
const glass = { youngModulusMpa: E, poisson: ν, thicknessMm: t };

const onEdge = ({ x, y }: PlateMesh, aMm: number): number[] =>
  Array.from(x.keys()).filter((node) =>
    [x[node], y[node]].some((at) => at === 0 || Math.abs((at ?? 0) - aMm) < 1e-9),
  );
const nearest = ({ x, y }: PlateMesh, xMm: number, yMm: number): number =>
  Array.from(x.keys()).reduce((best, node) => {
    const off = (one: number) => Math.hypot((x[one] ?? 0) - xMm, (y[one] ?? 0) - yMm);
    return off(node) < off(best) ? node : best;
  });
const solved = (plate: HeldPlate, loadN: Float64Array): PlateSolution => {
  const prepared = preparePlate(plate);
  if (prepared.kind !== 'prepared') throw new Error(prepared.kind);
  const outcome = bendPlate(prepared.plate, loadN);
  if (outcome.kind !== 'converged') throw new Error(outcome.kind);
  return outcome;
};
const total = (forces: Float64Array): number => forces.reduce((sum, one) => sum + one, 0);
const must = <T>(value: T | null): T => {
  if (value === null) throw new Error('the load left the plate');
  return value;
};

/** A square pane meshed round a rim, as the plan meshes it. */
const pane = (aMm: number, xMm: number, yMm: number, radiusMm: number, minMm: number) => {
  const meshed = meshPlate({
    edge: freeEdges({ kind: 'rectangle', widthMm: aMm, heightMm: aMm }),
    gaps: [],
    foci: [{ centre: { xMm, yMm }, radiusMm, minMm }],
    maxMm: aMm / 20,
  });
  if (meshed.kind !== 'meshed') throw new Error(meshed.kind);
  return meshed.mesh;
};

/** A square pane, its edges simply supported. */
const square = (mesh: PlateMesh, loadN: Float64Array, aMm = 300) => {
  const plate: HeldPlate = {
    mesh,
    ...glass,
    springNPerMm: new Float64Array(mesh.x.length),
    noTension: false,
    held: onEdge(mesh, aMm),
  };
  return { plate, solution: solved(plate, loadN), middle: nearest(mesh, aMm / 2, aMm / 2) };
};
const even = (cells: number): PlateMesh =>
  rectangleMesh(evenAxis(300, cells), evenAxis(300, cells));
const pointLoad = (mesh: PlateMesh): Float64Array =>
  must(ringLoad(mesh, locator(mesh), { xMm: 150, yMm: 150 }, 0, F));
const NAVIER_POINT_MM = (0.0116 * F * 300 ** 2) / D_p;

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

it.each([
  ['rows of squares', even(24)],
  ['rings about the rim', pane(300, 150, 150, 0, 2)],
])('deflects as Navier says under a point load and a uniform one, on %s', (_, mesh) => {
  const point = square(mesh, pointLoad(mesh));
  expect((point.solution.deflectionMm[point.middle] ?? 0) / NAVIER_POINT_MM).toBeCloseTo(1, 1.7);
  const q = 0.001;
  const { solution, middle } = square(
    mesh,
    nodeAreas(mesh).map((area) => area * q),
  );
  expect((solution.deflectionMm[middle] ?? 0) / ((0.00406 * q * 300 ** 4) / D_p)).toBeCloseTo(
    1,
    1.7,
  );
});

it('converges as the mesh is refined', () => {
  const errors = [8, 16, 32].map((cells) => {
    const mesh = even(cells);
    const { solution, middle } = square(mesh, pointLoad(mesh));
    return Math.abs((solution.deflectionMm[middle] ?? 0) / NAVIER_POINT_MM - 1);
  });
  expect(errors[1]).toBeLessThan(errors[0] ?? 0);
  expect(errors[2]).toBeLessThan(0.02);
});

it('gives back just what is put on it', () => {
  const mesh = even(16);
  const { solution } = square(mesh, pointLoad(mesh));
  expect(total(solution.reactionN) / F).toBeCloseTo(1, 6);
});

/** A wide pane on foam. */
const onFoam = (mesh: PlateMesh, noTension: boolean, k = 0.2): HeldPlate => ({
  mesh,
  ...glass,
  springNPerMm: nodeAreas(mesh).map((area) => area * k),
  noTension,
  held: [],
});

it('sinks into its foundation as Hertz says, and is stressed as Westergaard says', () => {
  const sharp = pane(800, 400, 400, 0, 2);
  const middle = nearest(sharp, 400, 400);
  const point = must(ringLoad(sharp, locator(sharp), { xMm: 400, yMm: 400 }, 0, F));
  const w = solved(onFoam(sharp, false), point).deflectionMm[middle] ?? 0;
  expect(w / (F / (8 * Math.sqrt(0.2 * D_p)))).toBeCloseTo(1, 1.7);
  const wide = pane(800, 400, 400, 12.5, 2.5);
  const disc = must(discLoad(wide, locator(wide), { xMm: 400, yMm: 400 }, 12.5, F));
  const { farTensionMpa } = solved(onFoam(wide, false), disc);
  // Westergaard interior, a = 12.5 mm, ℓ = 50.725 mm: 0.8611 MPa.
  expect(Math.abs((farTensionMpa[nearest(wide, 400, 400)] ?? 0) / 0.8611 - 1)).toBeLessThan(0.05);
});

it('is stressed at a free edge as Westergaard says', () => {
  const mesh = pane(800, 400, 12.5, 12.5, 1.5);
  const disc = must(discLoad(mesh, locator(mesh), { xMm: 400, yMm: 12.5 }, 12.5, F));
  const { farTensionMpa } = solved(onFoam(mesh, false), disc);
  expect(Math.abs(Math.max(...farTensionMpa) / 1.5352 - 1)).toBeLessThan(0.05);
});

it('is the same on both sides where load and pane are', () => {
  const mesh = even(20);
  const load = must(ringLoad(mesh, locator(mesh), { xMm: 150, yMm: 150 }, 12.5, F));
  const { deflectionMm } = solved(onFoam(mesh, true), load);
  for (let row = 0; row <= 20; row++)
    for (let column = 0; column <= 20; column++)
      expect(
        Math.abs((deflectionMm[row * 21 + column] ?? 0) - (deflectionMm[column * 21 + row] ?? 0)),
      ).toBeLessThan(1e-9);
});

it('says the same of holes that mirror each other', () => {
  const max = [60, 240].map((xMm) => {
    const mesh = pane(300, xMm, 110, 12, 2);
    const load = must(ringLoad(mesh, locator(mesh), { xMm, yMm: 110 }, 12, F));
    return Math.max(...solved(onFoam(mesh, true), load).farTensionMpa);
  });
  expect((max[0] ?? 0) / (max[1] ?? 1)).toBeCloseTo(1, 2);
});

it('lifts off a bed that cannot pull, keeps the balance, and never pulls', () => {
  const mesh = pane(800, 400, 400, 12.5, 2.5);
  const load = must(ringLoad(mesh, locator(mesh), { xMm: 400, yMm: 400 }, 12.5, F));
  const solution = solved(onFoam(mesh, true), load);
  expect(solution.liftOffFraction).toBeGreaterThan(0.1);
  expect(total(solution.reactionN) / F).toBeCloseTo(1, 6);
  expect(Math.min(...solution.reactionN)).toBeGreaterThanOrEqual(0);
});

it('comes to the same contact by steps as by factoring anew', () => {
  const mesh = pane(400, 60, 60, 12.5, 2.5);
  const load = must(ringLoad(mesh, locator(mesh), { xMm: 60, yMm: 60 }, 12.5, F));
  const plate = onFoam(mesh, true, 5);
  const solution = solved(plate, load);
  const springNPerMm = plate.springNPerMm.map((k, node) =>
    (solution.reactionN[node] ?? 0) > 0 ? k : 0,
  );
  const straight = solved({ ...plate, springNPerMm, noTension: false }, load);
  const max = Math.max(...solution.farTensionMpa);
  expect(Math.max(...straight.farTensionMpa) / max).toBeCloseTo(1, 6);
});

it('says so where nothing holds it, and where it tips', () => {
  const mesh = pane(300, 250, 150, 12, 3);
  const load = must(ringLoad(mesh, locator(mesh), { xMm: 250, yMm: 150 }, 12, F));
  const plate = onFoam(mesh, true);
  const none = { ...plate, springNPerMm: new Float64Array(load.length) };
  expect(preparePlate(none).kind).toBe('singular');
  // A pad under the left fifth only, and no weight to hold it down.
  const springNPerMm = plate.springNPerMm.map((k, node) => ((mesh.x[node] ?? 0) < 60 ? k : 0));
  const prepared = preparePlate({ ...plate, springNPerMm });
  expect(prepared.kind === 'prepared' && bendPlate(prepared.plate, load).kind).toBe('tips');
});
