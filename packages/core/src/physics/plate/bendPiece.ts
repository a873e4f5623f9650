import type { PointMm } from '../../math/arc';
import { distance } from '../../math/arc';
import { bendPlate, type PlateSolution, type Settled } from './bendPlate';
import {
  heldNodes,
  isOnEdge,
  padReactions,
  springsUnder,
  stiffening,
  twistGap,
  weightOf,
} from './elasticFoundation';
import type { BendingScene } from './bendingScene';
import type { Bending, BendingTrouble } from '../../documents/bending';
import { locator, type Locate } from './locate';
import { meshPlate, type Focus, type MeshWish } from './meshPlate';
import { discLoad, ringLoad } from './nodeShares';
import type { PlateMesh } from './plateMesh';
import { preparePlate, type PreparedPlate } from './preparePlate';

/** Sides of the mesh on the rim's circle, and the coarsest of them across the piece. */
const SIDES_ROUND_RIM = 28;
const SIDES_ACROSS = 16;
/** Nodes far from the rim are no more than about this. */
const MAX_FAR_NODES = 4000;
/** Sides round a hole that is there already. */
const SIDES_ROUND_GAP = 20;

/** Sides of an even mesh across the shorter span: fewer where contact is found anew everywhere. */
const EVEN_SIDES = { whole: 22, touching: 13 };
const MAX_SIDES_LONG = 60;

/** A piece meshed, held and factored, to be pressed on. */
export interface PreparedPiece {
  readonly scene: Omit<BendingScene, 'rim' | 'forceN'>;
  readonly locate: Locate;
  readonly prepared: PreparedPlate;
  /** Weight and clamps, N at each node. */
  readonly atRestN: Float64Array;
  /** How it lies before it is pressed; null where nothing presses or it does not lie still. */
  readonly atRest: PlateSolution | null;
}

export type PieceOutcome =
  | { readonly kind: 'ready'; readonly piece: PreparedPiece }
  | (Bending & { readonly kind: 'trouble' });

export interface Pressed {
  readonly bending: Bending;
  /** Everything at the nodes; null where it could not be worked out. */
  readonly field: { readonly mesh: PlateMesh; readonly solution: PlateSolution } | null;
}

/** Meshes a piece about a rim and factors it on what holds it. */
export function preparePiece(scene: BendingScene): PieceOutcome {
  const { rim } = scene;
  const radiusMm = loadRadius(rim.meanRadiusMm, scene.thicknessMm);
  const span = Math.min(scene.widthMm, scene.heightMm);
  const minMm = Math.min((2 * Math.PI * radiusMm) / SIDES_ROUND_RIM, span / SIDES_ACROSS);
  // Far from the rim a long strip needs no finer sides than a square of its area.
  const maxMm = Math.max(
    span / SIDES_ACROSS,
    Math.sqrt((scene.widthMm * scene.heightMm) / MAX_FAR_NODES),
  );
  return preparedOn(scene, [{ centre: rim, radiusMm, minMm }], maxMm);
}

/**
 * The same with even sides everywhere, to be pressed on in many places. A whole flat bed is let pull
 * a little where the piece would lift: a hundredth of the stress under the rim, a tenth at the
 * corners on sponge, and many times quicker. Pads and twisted pieces keep their contact.
 */
export function preparePieceEvenly(scene: BendingScene): PieceOutcome {
  const centre = { xMm: scene.widthMm / 2, yMm: scene.heightMm / 2 };
  const noTension = scene.pads.length > 0 || scene.twistMm > 0;
  const [short, long] = [scene.widthMm, scene.heightMm].sort((a, b) => a - b) as [number, number];
  const across = noTension ? EVEN_SIDES.touching : EVEN_SIDES.whole;
  const sideMm = Math.max(short / across, long / MAX_SIDES_LONG);
  return preparedOn(scene, [{ centre, radiusMm: 0, minMm: sideMm }], sideMm, noTension);
}

function preparedOn(
  scene: BendingScene,
  foci: readonly [Focus, ...Focus[]],
  maxMm: number,
  noTension = true,
): PieceOutcome {
  const round = scene.gaps.map((gap): Focus => {
    const points = gap.map(({ a }) => a);
    const centre = {
      xMm: points.reduce((sum, p) => sum + p.xMm, 0) / points.length,
      yMm: points.reduce((sum, p) => sum + p.yMm, 0) / points.length,
    };
    const radiusMm = Math.max(...points.map((p) => distance(p, centre)));
    return {
      centre,
      radiusMm,
      minMm: Math.min((2 * Math.PI * radiusMm) / SIDES_ROUND_GAP, maxMm),
    };
  });
  const wish: MeshWish = { edge: scene.edge, gaps: scene.gaps, foci: [...foci, ...round], maxMm };
  const meshed = meshPlate(wish);
  if (meshed.kind === 'too-fine')
    return trouble('mesh-too-fine', { count: meshed.nodes, max: meshed.max });
  const { mesh } = meshed;
  const locate = locator(mesh);
  const prepared = preparePlate({
    mesh,
    youngModulusMpa: scene.youngModulusMpa,
    poisson: scene.poisson,
    thicknessMm: scene.thicknessMm,
    ...(scene.boards.length > 0 ? { stiffening: stiffening(scene, mesh) } : {}),
    springNPerMm: springsUnder(scene, mesh, locate),
    ...(scene.twistMm > 0 ? { gapMm: twistGap(scene, mesh) } : {}),
    noTension,
    held: heldNodes(scene, mesh),
  });
  if (prepared.kind === 'singular') return trouble('unheld');
  const atRestN = weightOf(scene, mesh);
  for (const { padDiameterMm, forceN, ...centre } of scene.clamps) {
    const load = discLoad(mesh, locate, centre, padDiameterMm / 2, forceN);
    load?.forEach((one, node) => {
      atRestN[node] = (atRestN[node] ?? 0) + one;
    });
  }
  const rest = atRestN.some((one) => one !== 0) ? bendPlate(prepared.plate, atRestN) : null;
  const atRest = rest?.kind === 'converged' ? rest : null;
  return { kind: 'ready', piece: { scene, locate, prepared: prepared.plate, atRestN, atRest } };
}

/** Presses a prepared piece with a rim; the tension is what the plate's own bending makes. */
export function pressPiece(
  { scene, locate, prepared, atRestN, atRest }: PreparedPiece,
  rim: BendingScene['rim'],
  forceN: number,
  from?: Settled,
): Pressed {
  const { mesh } = prepared.plate;
  const radiusMm = loadRadius(rim.meanRadiusMm, scene.thicknessMm);
  const load = ringLoad(mesh, locate, rim, radiusMm, forceN);
  if (!load) return { bending: trouble('rim-off-piece'), field: null };
  const solution = bendPlate(
    prepared,
    load.map((one, node) => one + (atRestN[node] ?? 0)),
    from,
  );
  if (solution.kind === 'tips') return { bending: trouble('tips'), field: null };
  if (solution.kind === 'not-converged')
    return { bending: trouble('contact-unsettled', { count: solution.changing }), field: null };
  const worst = maxTension(mesh, solution);
  const tensionOf = (from: PlateSolution): number =>
    (worst.face === 'far' ? from.farTensionMpa : from.nearTensionMpa)[worst.node] ?? 0;
  const at = (node: number): PointMm => ({ xMm: mesh.x[node] ?? 0, yMm: mesh.y[node] ?? 0 });
  const edge = maxTension(mesh, solution, (p) => isOnEdge(scene, p));
  const under = maxTension(mesh, solution, (p) => distance(p, rim) <= 2 * radiusMm);
  return {
    bending: {
      kind: 'bent',
      stressMpa: worst.mpa,
      face: worst.face,
      at: at(worst.node),
      atRestMpa: atRest ? Math.min(tensionOf(atRest), worst.mpa) : 0,
      underRimMpa: under.mpa,
      edgeMpa: edge.mpa,
      edgeAt: at(edge.node),
      deflectionMm: Math.max(...solution.deflectionMm),
      liftOffFraction: solution.liftOffFraction,
      carriedN: solution.reactionN.reduce((sum, one) => sum + one, 0),
      padsN: padReactions(scene, mesh, locate, solution.deflectionMm),
      nodes: mesh.x.length,
      rounds: solution.rounds,
    },
    field: { mesh, solution },
  };
}

/** Meshes, holds and presses in one go. */
export function bendPiece(scene: BendingScene): Pressed {
  const outcome = preparePiece(scene);
  return outcome.kind === 'ready'
    ? pressPiece(outcome.piece, scene.rim, scene.forceN)
    : { bending: outcome, field: null };
}

const trouble = (
  what: BendingTrouble,
  counts: { readonly count?: number; readonly max?: number } = {},
): Bending & { readonly kind: 'trouble' } => ({ kind: 'trouble', trouble: what, ...counts });

/** A ring bends a plate in its middle as a disc √e times as wide does. */
const DISC_OF_RING = Math.sqrt(Math.E);

/**
 * Radius of the ring that presses, mm. A load narrower than the plate is thick is spread by the
 * plate's own thickness: Westergaard's b = √(1.6a² + t²) − 0.675t where a < 1.724t.
 */
export function loadRadius(meanRadiusMm: number, thicknessMm: number): number {
  const a = DISC_OF_RING * meanRadiusMm;
  const t = thicknessMm;
  const b = a < 1.724 * t ? Math.sqrt(1.6 * a * a + t * t) - 0.675 * t : a;
  return b / DISC_OF_RING;
}

function maxTension(
  { x, y }: PlateMesh,
  { farTensionMpa, nearTensionMpa }: PlateSolution,
  counts: (p: PointMm) => boolean = () => true,
): { readonly mpa: number; readonly face: 'near' | 'far'; readonly node: number } {
  let [mpa, node] = [0, 0];
  let face: 'near' | 'far' = 'far';
  for (let one = 0; one < x.length; one++) {
    if (!counts({ xMm: x[one] ?? 0, yMm: y[one] ?? 0 })) continue;
    if ((farTensionMpa[one] ?? 0) > mpa) [mpa, node, face] = [farTensionMpa[one] ?? 0, one, 'far'];
    if ((nearTensionMpa[one] ?? 0) > mpa)
      [mpa, node, face] = [nearTensionMpa[one] ?? 0, one, 'near'];
  }
  return { mpa, face, node };
}
