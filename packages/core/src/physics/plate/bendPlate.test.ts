import { bendPlate, type PlateSolution } from './bendPlate';
import { nodeAreas } from './nodeShares';
import { evenAxis, rectangleMesh } from './plateMesh';
import { preparePlate, type HeldPlate } from './preparePlate';

/** 100 mm square of 10 mm cells. */
const mesh = rectangleMesh(evenAxis(100, 10), evenAxis(100, 10));
const nodes = Array.from(mesh.x.keys());
const place = (node: number) => ({ x: mesh.x[node] ?? 0, y: mesh.y[node] ?? 0 });
const nodeAt = (x: number, y: number): number =>
  nodes.findIndex((node) => mesh.x[node] === x && mesh.y[node] === y);
const bed = nodeAreas(mesh).map((area) => area * 0.5);
const plate = (over: Partial<HeldPlate> = {}): HeldPlate => ({
  mesh,
  youngModulusMpa: 70_000,
  poisson: 0.22,
  thicknessMm: 3,
  springNPerMm: bed,
  noTension: true,
  held: [],
  ...over,
});
const load = (...at: readonly (readonly [x: number, y: number, newtons: number])[]) => {
  const forces = new Float64Array(nodes.length);
  for (const [x, y, newtons] of at) forces[nodeAt(x, y)] = newtons;
  return forces;
};
const prepared = (held: HeldPlate) => {
  const outcome = preparePlate(held);
  if (outcome.kind !== 'prepared') throw new Error(outcome.kind);
  return outcome.plate;
};
const bent = (held: HeldPlate, forces: Float64Array) => bendPlate(prepared(held), forces);
const solved = (held: HeldPlate, forces: Float64Array): PlateSolution => {
  const outcome = bent(held, forces);
  if (outcome.kind !== 'converged') throw new Error(outcome.kind);
  return outcome;
};
const total = (values: Iterable<number>): number => [...values].reduce((sum, one) => sum + one, 0);
const about = (forces: Float64Array, axis: 'x' | 'y'): number =>
  total(forces.map((one, node) => one * place(node)[axis]));

/** Corners turned up, as a warped pane lies. */
const gapMm = Float64Array.from(nodes, (node) => {
  const { x, y } = place(node);
  return 0.02 * Math.abs((x - 50) * (y - 50)) * 1e-2;
});
const CORNER = load([20, 30, 80], [60, 50, 10]);

describe.each([
  ['a flat plate', plate()],
  ['a warped one', plate({ gapMm })],
])('%s on a bed that cannot pull', (_, held) => {
  const solution = solved(held, CORNER);
  const gap = (node: number): number => held.gapMm?.[node] ?? 0;
  const touches = (node: number): boolean => (solution.deflectionMm[node] ?? 0) > gap(node);

  it('is in balance: forces, and moments about both edges', () => {
    expect(total(solution.reactionN)).toBeCloseTo(90, 6);
    expect(about(solution.reactionN, 'x')).toBeCloseTo(about(CORNER, 'x'), 4);
    expect(about(solution.reactionN, 'y')).toBeCloseTo(about(CORNER, 'y'), 4);
  });

  it('is pushed by its springs where it has sunk past them, and by no others', () => {
    for (const node of nodes) {
      const sunk = (solution.deflectionMm[node] ?? 0) - gap(node);
      expect(solution.reactionN[node]).toBeCloseTo((bed[node] ?? 0) * Math.max(0, sunk), 6);
    }
    const lifted = total(nodes.map((node) => (touches(node) ? 0 : (bed[node] ?? 0))));
    expect(lifted).toBeGreaterThan(0);
    expect(solution.liftOffFraction).toBeCloseTo(lifted / total(bed), 12);
    expect(solution.rounds).toBeGreaterThan(1);
  });

  it('lies as a plate does that is held by just those springs', () => {
    const springNPerMm = bed.map((k, node) => (touches(node) ? k : 0));
    // A spring that begins at a gap presses k·gap less.
    const lessened = CORNER.map(
      (one, node) => one + (touches(node) ? (bed[node] ?? 0) * gap(node) : 0),
    );
    const { gapMm: _gap, ...flat } = held;
    const straight = solved({ ...flat, springNPerMm, noTension: false }, lessened);
    for (const node of nodes)
      expect(solution.deflectionMm[node]).toBeCloseTo(straight.deflectionMm[node] ?? 0, 8);
  });

  it('comes to the same from where a like load came to rest, and sooner', () => {
    const ready = prepared(held);
    const like = CORNER.map((one) => one * 1.02);
    const first = bendPlate(ready, CORNER);
    if (first.kind !== 'converged') throw new Error(first.kind);
    const [afresh, on] = [bendPlate(ready, like), bendPlate(ready, like, first.settled)];
    if (afresh.kind !== 'converged' || on.kind !== 'converged') throw new Error('not converged');
    expect(on.rounds).toBeLessThan(afresh.rounds);
    for (const node of nodes)
      expect(on.deflectionMm[node]).toBeCloseTo(afresh.deflectionMm[node] ?? 0, 8);
  });
});

it('settles at once where all of it touches, and twice the load sinks it twice as far', () => {
  const even = load(...nodes.map((node) => [place(node).x, place(node).y, 1] as const));
  const once = solved(plate(), even);
  expect([once.rounds, once.liftOffFraction]).toEqual([1, 0]);
  const twice = solved(
    plate(),
    even.map((one) => 2 * one),
  );
  for (const node of nodes)
    expect(twice.deflectionMm[node]).toBeCloseTo(2 * (once.deflectionMm[node] ?? 0), 9);
});

it('pulls where its bed can', () => {
  const glued = solved(plate({ noTension: false }), CORNER);
  expect(Math.min(...glued.reactionN)).toBeLessThan(0);
  expect(glued.liftOffFraction).toBe(0);
});

describe('tipping', () => {
  // Springs in the middle 60 mm alone.
  const isUnder = (node: number): boolean => {
    const { x, y } = place(node);
    return x >= 20 && x <= 80 && y >= 20 && y <= 80;
  };
  const stand = plate({ springNPerMm: bed.map((k, node) => (isUnder(node) ? k : 0)) });

  it.each([
    ['left', 20, 50, 10, 50],
    ['right', 80, 50, 90, 50],
    ['bottom', 50, 20, 50, 10],
    ['top', 50, 80, 50, 90],
    ['corner', 80, 80, 90, 90],
  ] as const)('comes just beyond what bears it: %s', (_, x, y, outX, outY) => {
    const weight = [50, 50, 2] as const;
    expect(bent(stand, load([x, y, 20], weight)).kind).toBe('converged');
    expect(bent(stand, load([outX, outY, 20])).kind).toBe('tips');
  });

  it('goes by where all forces together lie', () => {
    expect(bent(stand, load([90, 50, 20])).kind).toBe('tips');
    expect(bent(stand, load([90, 50, 20], [10, 50, 20])).kind).toBe('converged');
  });

  it('cannot be where it is held down, or its bed can pull', () => {
    expect(bent({ ...stand, held: [nodeAt(50, 50)] }, load([90, 50, 20])).kind).toBe('converged');
    expect(bent({ ...stand, noTension: false }, load([90, 50, 20])).kind).toBe('converged');
  });
});
