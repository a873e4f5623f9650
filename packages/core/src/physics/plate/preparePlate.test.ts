import { bendingLaw } from './kirchhoffTriangle';
import { neighboursOf } from './nodeOrder';
import { nodeAreas } from './nodeShares';
import { evenAxis, rectangleMesh } from './plateMesh';
import { preparePlate, type HeldPlate, type PreparedPlate } from './preparePlate';
import { tensions } from './tensions';

const [E, ν, t] = [70_000, 0.22, 5];
const D = (E * t ** 3) / (12 * (1 - ν ** 2));
const mesh = rectangleMesh(evenAxis(60, 5), evenAxis(40, 4));
const plate = (over: Partial<HeldPlate> = {}): HeldPlate => ({
  mesh,
  youngModulusMpa: E,
  poisson: ν,
  thicknessMm: t,
  springNPerMm: nodeAreas(mesh).map((area) => area * 0.1),
  noTension: false,
  held: [],
  ...over,
});
function prepared(held: HeldPlate): PreparedPlate {
  const outcome = preparePlate(held);
  if (outcome.kind !== 'prepared') throw new Error(outcome.kind);
  return outcome.plate;
}

it.each([
  ['along x', [1e-3, 0, 0]],
  ['along y', [0, 1e-3, 0]],
  ['by twist', [0, 0, 1e-3]],
  ['every way', [1e-3, -5e-4, 4e-4]],
  ['upwards', [-1e-3, -2e-4, 3e-4]],
] as const)('is stressed as its curvature says: %s', (_, [κx, κy, κxy]) => {
  const ready = prepared(plate());
  // κ = −(w,xx, w,yy, 2·w,xy) of w = −(κx·x² + κy·y² + κxy·x·y)/2, with u = (w, w,y, −w,x) at each node.
  const u = new Float64Array(3 * mesh.x.length);
  mesh.x.forEach((x, node) => {
    const y = mesh.y[node] ?? 0;
    const row = ready.rowOf[node] ?? 0;
    u[row] = -(κx * x * x + κy * y * y + κxy * x * y) / 2;
    u[row + 1] = -(κy * y + (κxy * x) / 2);
    u[row + 2] = κx * x + (κxy * y) / 2;
  });
  const [Mx, My, Mxy] = [D * (κx + ν * κy), D * (κy + ν * κx), (D * (1 - ν) * κxy) / 2];
  const mean = (Mx + My) / 2;
  const radius = Math.hypot((Mx - My) / 2, Mxy);
  const { farTensionMpa, nearTensionMpa } = tensions(ready, u);
  const far = Math.max(0, ((mean + radius) * 6) / t ** 2);
  const near = Math.max(0, ((radius - mean) * 6) / t ** 2);
  for (const one of farTensionMpa) expect(one).toBeCloseTo(far, 6);
  for (const one of nearTensionMpa) expect(one).toBeCloseTo(near, 6);
  expect(farTensionMpa).toHaveLength(mesh.x.length);
});

it('has the law of a plate: D, ν·D and (1 − ν)/2·D', () => {
  const law = bendingLaw(E, ν, t);
  expect([...law]).toEqual(
    [D, ν * D, 0, ν * D, D, 0, 0, 0, ((1 - ν) / 2) * D].map((one) => expect.closeTo(one, 6)),
  );
});

it('keeps the stiffness of each node from its leftmost neighbour on, and no more', () => {
  const { rowOf, elastic } = prepared(plate());
  neighboursOf(mesh).forEach((neighbours, node) => {
    const place = (one: number): number => (rowOf[one] ?? 0) / 3;
    const leftmost = Math.min(place(node), ...neighbours.map(place));
    expect(elastic.firstOfThree[place(node)]).toBe(leftmost);
  });
});

it('holds a held node a million times as stiffly as the plate does, and no other', () => {
  const held = [0, 7];
  const { rowOf, elastic, holdNPerMm, touching } = prepared(plate({ held }));
  for (const node of mesh.x.keys()) {
    const row = rowOf[node] ?? 0;
    const own = elastic.values.reduce(
      (sum, value, i) =>
        elastic.rows[i] === row && elastic.columns[i] === row ? sum + value : sum,
      0,
    );
    expect((holdNPerMm[node] ?? 0) / own).toBeCloseTo(held.includes(node) ? 1e6 : 0, 3);
  }
  expect([...touching].every((one) => one === 1)).toBe(true);
});

it('touches where a spring is, and says so where none is anywhere', () => {
  const springNPerMm = nodeAreas(mesh).map((area, node) => (node < 12 ? area : 0));
  const { touching } = prepared(plate({ springNPerMm }));
  expect(Array.from(touching, (one, node) => one === (node < 12 ? 1 : 0)).every(Boolean)).toBe(
    true,
  );
  const none = plate({ springNPerMm: new Float64Array(mesh.x.length) });
  expect(preparePlate(none)).toEqual({ kind: 'singular' });
});
