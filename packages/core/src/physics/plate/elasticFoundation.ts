import { distance, nearestOnSide } from '../../math/arc';
import type { PointMm } from '../../math/arc';
import type { BendingScene, Patch } from './bendingScene';
import { bendingLaw } from './kirchhoffTriangle';
import type { Locate } from './locate';
import { nodeAreas, patchShares } from './nodeShares';
import { cornersOf, triangleCount, type PlateMesh } from './plateMesh';

/** Plywood flat on the piece: E and ν of the board. */
const BOARD = { youngModulusMpa: 8000, poisson: 0.3 };
const GRAVITY_M_PER_S2 = 9.81;
/** A node this near the outline lies on it, mm. */
const ON_EDGE_MM = 0.2;

/** Whether a point of the mesh lies on the piece's edge. */
export const isOnEdge = ({ edge }: Pick<BendingScene, 'edge'>, p: PointMm): boolean =>
  edge.some((side) => distance(nearestOnSide(side, p), p) < ON_EDGE_MM);

/** N at each node of a piece that lies flat. */
export function weightOf(scene: BendingScene, mesh: PlateMesh): Float64Array {
  if (!scene.lies) return new Float64Array(mesh.x.length);
  const perMm2 = scene.densityKgPerM3 * 1e-9 * GRAVITY_M_PER_S2 * scene.thicknessMm;
  return nodeAreas(mesh).map((area) => area * perMm2);
}

/** What each pad gives back, N: its own springs times how far they are pressed. */
export function padReactions(
  scene: Pick<BendingScene, 'pads' | 'twistMm' | 'widthMm' | 'heightMm'>,
  mesh: PlateMesh,
  locate: Locate,
  deflectionMm: Float64Array,
): readonly number[] {
  const gapMm = scene.twistMm > 0 ? twistGap(scene, mesh) : null;
  return scene.pads.map((pad) =>
    patchShares(mesh, locate, pad).reduce((sum, share, node) => {
      const pressed = (deflectionMm[node] ?? 0) - (gapMm?.[node] ?? 0);
      return sum + share * pad.foundationNPerMm3 * Math.max(0, pressed);
    }, 0),
  );
}

export function springsUnder(scene: BendingScene, mesh: PlateMesh, locate: Locate): Float64Array {
  if (scene.pads.length === 0) return nodeAreas(mesh).map((area) => area * scene.bedNPerMm3);
  const springs = new Float64Array(mesh.x.length);
  for (const pad of scene.pads) {
    patchShares(mesh, locate, pad).forEach((share, node) => {
      springs[node] = (springs[node] ?? 0) + share * pad.foundationNPerMm3;
    });
  }
  return springs;
}

/** Two corners across from each other touch, the other two stand off by the twist: a saddle. */
export function twistGap(
  scene: Pick<BendingScene, 'twistMm' | 'widthMm' | 'heightMm'>,
  { x, y }: PlateMesh,
): Float64Array {
  return Float64Array.from(x, (at, node) => {
    const ξ = (2 * at) / scene.widthMm - 1;
    const η = (2 * (y[node] ?? 0)) / scene.heightMm - 1;
    return (scene.twistMm / 2) * (1 - ξ * η);
  });
}

/** All of the edge, or what of it lies over a batten at the left and at the right. */
export function heldNodes(scene: BendingScene, { x, y }: PlateMesh): readonly number[] {
  if (scene.edgesHeld === 'none') return [];
  const onEdge = Array.from(x.keys()).filter((node) =>
    isOnEdge(scene, { xMm: x[node] ?? 0, yMm: y[node] ?? 0 }),
  );
  if (scene.edgesHeld === 'four') return onEdge;
  const within = (share: number): number[] => {
    const mm = share * scene.widthMm;
    return onEdge.filter((node) => Math.min(x[node] ?? 0, scene.widthMm - (x[node] ?? 0)) < mm);
  };
  const straight = within(LINE_SUPPORT);
  const ys = straight.map((node) => y[node] ?? 0);
  const isStraight = Math.max(...ys) - Math.min(...ys) >= STRAIGHT_SHARE * scene.heightMm;
  return isStraight ? straight : within(ROUND_SUPPORT);
}

/** Of the width: a straight end lies on its batten, a round one as far in as this. */
const LINE_SUPPORT = 1e-3;
const ROUND_SUPPORT = 0.04;
/** Of the height: an end that is straight for so long is. A circle is within LINE_SUPPORT for a sixteenth of its own. */
const STRAIGHT_SHARE = 0.25;

/** A board under or over a triangle adds its own bending stiffness, unglued. */
export function stiffening(scene: BendingScene, mesh: PlateMesh): Float64Array {
  const [D] = bendingLaw(scene.youngModulusMpa, scene.poisson, scene.thicknessMm);
  return Float64Array.from({ length: triangleCount(mesh) }, (_, triangle) => {
    const nodes = cornersOf(mesh, triangle);
    const middle = {
      xMm: nodes.reduce((sum, node) => sum + (mesh.x[node] ?? 0), 0) / 3,
      yMm: nodes.reduce((sum, node) => sum + (mesh.y[node] ?? 0), 0) / 3,
    };
    return scene.boards
      .filter((board) => isOver(board, middle))
      .reduce(
        (sum, { thicknessMm }) =>
          sum + bendingLaw(BOARD.youngModulusMpa, BOARD.poisson, thicknessMm)[0] / D,
        1,
      );
  });
}

const isOver = (patch: Patch, p: PointMm): boolean =>
  p.xMm >= patch.xMm &&
  p.xMm <= patch.xMm + patch.widthMm &&
  p.yMm >= patch.yMm &&
  p.yMm <= patch.yMm + patch.heightMm;
