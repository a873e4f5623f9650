import { freeEdges } from '../../layout/outline';
import { bendPiece, loadRadius, preparePiece, preparePieceEvenly, pressPiece } from './bendPiece';
import type { BendingScene } from './bendingScene';
import { paneOf } from './paneFixtures';

const pane = (over: Partial<BendingScene> = {}): BendingScene =>
  paneOf(300, 200, {
    bedNPerMm3: 0.1,
    rim: { xMm: 110, yMm: 90, meanRadiusMm: 12 },
    ...over,
  });
function pressed(scene: BendingScene) {
  const { bending, field } = bendPiece(scene);
  if (bending.kind !== 'bent' || !field) throw new Error(JSON.stringify(bending));
  const { mesh, solution } = field;
  const nodes = Array.from(mesh.x, (xMm, node) => ({
    xMm,
    yMm: mesh.y[node] ?? 0,
    far: solution.farTensionMpa[node] ?? 0,
    near: solution.nearTensionMpa[node] ?? 0,
    w: solution.deflectionMm[node] ?? 0,
  }));
  return { bending, nodes };
}
type Node = ReturnType<typeof pressed>['nodes'][number];
const greatest = (nodes: readonly Node[]): number =>
  Math.max(...nodes.map(({ far, near }) => Math.max(far, near)));
const sum = (values: readonly number[]): number => values.reduce((all, one) => all + one, 0);

it('spreads a narrow rim by the plate’s own thickness, as Westergaard says', () => {
  // a = √e·1 = 1.64872, t = 10: b = √(1.6·e + 100) − 6.75 = 3.46515, over √e.
  expect(loadRadius(1, 10)).toBeCloseTo(2.10172, 4);
  // a = √e·8 = 13.1898 < 1.724·10: b = √(1.6·173.970 + 100) − 6.75 = 12.7012.
  expect(loadRadius(8, 10)).toBeCloseTo(7.70371, 4);
  expect(loadRadius(20, 10)).toBeCloseTo(20, 12);
  // Where a is under 1.724·t the spreading counts, and there alone.
  expect(loadRadius(2, 1)).toBeCloseTo(2, 12);
  expect(Math.abs(loadRadius(1, 1) - 1)).toBeGreaterThan(1e-4);
});

it('says where it is stretched most: anywhere, under the rim, and at the edge', () => {
  const clamp = { xMm: 285, yMm: 185, padDiameterMm: 10, forceN: 400 };
  const scene = pane({ clamps: [clamp] });
  const { bending, nodes } = pressed(scene);
  const radiusMm = loadRadius(12, 6);
  const off = (p: Node, x: number, y: number) => Math.hypot(p.xMm - x, p.yMm - y);
  const isOnEdge = ({ xMm, yMm }: Node) =>
    [xMm, 300 - xMm, yMm, 200 - yMm].some((mm) => Math.abs(mm) < 0.2);
  expect(bending.stressMpa).toBe(greatest(nodes));
  expect(bending.underRimMpa).toBe(greatest(nodes.filter((p) => off(p, 110, 90) <= 2 * radiusMm)));
  expect(bending.edgeMpa).toBe(greatest(nodes.filter(isOnEdge)));
  expect(bending.underRimMpa).toBeLessThan(bending.stressMpa);
  // The clamp strains it most, and does so before anybody drills.
  expect(Math.hypot(bending.at.xMm - 285, bending.at.yMm - 185)).toBeLessThan(30);
  expect(bending.atRestMpa / bending.stressMpa).toBeGreaterThan(0.5);
  const stands = (p: Node, { xMm, yMm }: typeof bending.at) => p.xMm === xMm && p.yMm === yMm;
  expect(nodes.find((p) => stands(p, bending.at))?.[bending.face]).toBe(bending.stressMpa);
  const atEdge = nodes.find((p) => stands(p, bending.edgeAt));
  expect(atEdge && Math.max(atEdge.far, atEdge.near)).toBe(bending.edgeMpa);
  const rest = preparePiece(scene);
  if (rest.kind !== 'ready' || !rest.piece.atRest) throw new Error(rest.kind);
  const { farTensionMpa, nearTensionMpa } = rest.piece.atRest;
  const worst = nodes.findIndex((p) => stands(p, bending.at));
  expect(bending.atRestMpa).toBe((bending.face === 'far' ? farTensionMpa : nearTensionMpa)[worst]);
  expect(bending.carriedN).toBeCloseTo(440, 3);
  expect(bending.deflectionMm).toBe(Math.max(...nodes.map(({ w }) => w)));
});

it('bends as much again for twice the force, where all of it touches', () => {
  const [one, two] = [40, 80].map(
    (forceN) => pressed(pane({ edgesHeld: 'four', bedNPerMm3: 0, forceN })).bending,
  );
  expect((two?.stressMpa ?? 0) / (one?.stressMpa ?? 1)).toBeCloseTo(2, 9);
  expect((two?.deflectionMm ?? 0) / (one?.deflectionMm ?? 1)).toBeCloseTo(2, 9);
  expect(one?.liftOffFraction).toBe(0);
});

it('meshes a hole that is there with some twenty sides round it', () => {
  const gap = freeEdges({ kind: 'circle', diameterMm: 40 }).map((side) => ({
    ...side,
    a: { xMm: side.a.xMm + 200, yMm: side.a.yMm + 80 },
    b: { xMm: side.b.xMm + 200, yMm: side.b.yMm + 80 },
  }));
  const { nodes } = pressed(pane({ gaps: [gap] }));
  const round = nodes.filter(
    ({ xMm, yMm }) => Math.abs(Math.hypot(xMm - 220, yMm - 100) - 20) < 0.3,
  );
  expect(round.length).toBeGreaterThanOrEqual(18);
  expect(round.length).toBeLessThanOrEqual(28);
  expect(nodes.filter(({ xMm, yMm }) => Math.hypot(xMm - 220, yMm - 100) < 19)).toEqual([]);
});

it('rests on its pads, each with the share that balances the drill', () => {
  const pad = (xMm: number) => ({ xMm, yMm: 0, widthMm: 20, heightMm: 200, foundationNPerMm3: 2 });
  // 40 N at 110 mm between battens with their middles at 10 and 290.
  const { bending } = pressed(pane({ pads: [pad(0), pad(280)] }));
  const [left = 0, right = 0] = bending.padsN;
  expect(left + right).toBeCloseTo(40, 1);
  expect(right / 40).toBeCloseTo((110 - 10) / 280, 1);
});

it('weighs what it weighs where it lies, and nothing where it stands', () => {
  // 0.3·0.2·0.006 m³ · 2500 kg/m³ · 9.81 = 8.829 N.
  expect(pressed(pane({ lies: true })).bending.carriedN - 40).toBeCloseTo(8.829, 2);
  expect(pressed(pane()).bending.carriedN).toBeCloseTo(40, 3);
});

it('is stiffer under a board', () => {
  const bare = pressed(pane({ edgesHeld: 'two', bedNPerMm3: 0 })).bending;
  const board = { xMm: 0, yMm: 0, widthMm: 300, heightMm: 200, thicknessMm: 18 };
  const boarded = pressed(pane({ edgesHeld: 'two', bedNPerMm3: 0, boards: [board] })).bending;
  // D of the board over D of the glass, both with their own ν: it takes all of that off.
  const D = (E: number, ν: number, t: number) => (E * t ** 3) / (12 * (1 - ν ** 2));
  const times = 1 + D(8000, 0.3, 18) / D(70_000, 0.22, 6);
  expect(bare.deflectionMm / boarded.deflectionMm).toBeCloseTo(times, 6);
});

it('says so where the rim is off the piece, where nothing holds it, and where it tips', () => {
  const troubleOf = (over: Partial<BendingScene>) => {
    const { bending } = bendPiece(pane(over));
    return bending.kind === 'trouble' ? bending.trouble : bending.kind;
  };
  expect(troubleOf({ rim: { xMm: 295, yMm: 100, meanRadiusMm: 12 } })).toBe('rim-off-piece');
  expect(troubleOf({ bedNPerMm3: 0 })).toBe('unheld');
  const pads = [{ xMm: 0, yMm: 0, widthMm: 60, heightMm: 200, foundationNPerMm3: 2 }];
  expect(troubleOf({ pads, rim: { xMm: 250, yMm: 100, meanRadiusMm: 12 } })).toBe('tips');
});

it('comes out alike on even sides, to be pressed anywhere', () => {
  const scene = pane({ edgesHeld: 'four', bedNPerMm3: 0 });
  const even = preparePieceEvenly(scene);
  if (even.kind !== 'ready') throw new Error(even.kind);
  const { bending } = pressPiece(even.piece, scene.rim, scene.forceN);
  if (bending.kind !== 'bent') throw new Error(bending.kind);
  const fine = pressed(scene).bending;
  expect(bending.deflectionMm / fine.deflectionMm).toBeCloseTo(1, 1);
  expect(sum(bending.padsN)).toBe(0);
});
