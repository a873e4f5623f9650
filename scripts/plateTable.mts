/** The plate solver beside the closed forms, and as its mesh is refined: for docs/plate.md. */
import { freeEdges } from '@nucleon/core/layout/outline';
import { bendPlate, type PlateSolution } from '@nucleon/core/physics/plate/bendPlate';
import { locator } from '@nucleon/core/physics/plate/locate';
import { meshPlate } from '@nucleon/core/physics/plate/meshPlate';
import { discLoad, nodeAreas, ringLoad } from '@nucleon/core/physics/plate/nodeShares';
import { evenAxis, rectangleMesh, type PlateMesh } from '@nucleon/core/physics/plate/plateMesh';
import { preparePlate } from '@nucleon/core/physics/plate/preparePlate';

const E = 70_000;
const ν = 0.22;
const t = 6;
const D_p = (E * t ** 3) / (12 * (1 - ν ** 2));
const F = 26.389;
const K_F = 0.2;
const PANE_MM = 300;
const WIDE_MM = 800;

interface Row {
  readonly what: string;
  readonly closed: number;
  readonly solved: number;
  readonly nodes: number;
  readonly allowed: number;
}

function solve(mesh: PlateMesh, loadN: Float64Array | null, onFoam: boolean): PlateSolution {
  if (!loadN) throw new Error('the load left the plate');
  const [max] = [Math.max(...mesh.x)];
  const onEdge = Array.from(mesh.x.keys()).filter((node) =>
    [mesh.x[node] ?? 0, mesh.y[node] ?? 0].some((at) => at < 1e-9 || max - at < 1e-9),
  );
  const prepared = preparePlate({
    mesh,
    youngModulusMpa: E,
    poisson: ν,
    thicknessMm: t,
    springNPerMm: nodeAreas(mesh).map((area) => (onFoam ? area * K_F : 0)),
    noTension: false,
    held: onFoam ? [] : onEdge,
  });
  if (prepared.kind !== 'prepared') throw new Error(prepared.kind);
  const outcome = bendPlate(prepared.plate, loadN);
  if (outcome.kind !== 'converged') throw new Error(outcome.kind);
  return outcome;
}

function ringed(aMm: number, yMm: number, radiusMm: number, minMm: number): PlateMesh {
  const meshed = meshPlate({
    edge: freeEdges({ kind: 'rectangle', widthMm: aMm, heightMm: aMm }),
    gaps: [],
    foci: [{ centre: { xMm: aMm / 2, yMm }, radiusMm, minMm }],
    maxMm: aMm / 20,
  });
  if (meshed.kind !== 'meshed') throw new Error(meshed.kind);
  return meshed.mesh;
}

const max = (values: Float64Array): number => values.reduce((a, b) => Math.max(a, b), 0);

function closedForms(): readonly Row[] {
  const middle = { xMm: PANE_MM / 2, yMm: PANE_MM / 2 };
  const pane = ringed(PANE_MM, PANE_MM / 2, 0, 2);
  const q = 0.001;
  const point = ringLoad(pane, locator(pane), middle, 0, F);
  const even = nodeAreas(pane).map((area) => area * q);
  const wideMiddle = { xMm: WIDE_MM / 2, yMm: WIDE_MM / 2 };
  const sharp = ringed(WIDE_MM, WIDE_MM / 2, 0, 2);
  const wide = ringed(WIDE_MM, WIDE_MM / 2, 12.5, 2.5);
  const atEdge = ringed(WIDE_MM, 12.5, 12.5, 1.5);
  const ℓ = (D_p / K_F) ** 0.25;
  const [a] = [12.5];
  const interior =
    ((3 * (1 + ν) * F) / (2 * Math.PI * t * t)) * (Math.log((2 * ℓ) / a) + 0.5 - 0.5772);
  const edge =
    ((3 * (1 + ν) * F) / (Math.PI * (3 + ν) * t * t)) *
    (Math.log((E * t ** 3) / (100 * K_F * a ** 4)) +
      1.84 -
      (4 * ν) / 3 +
      (1 - ν) / 2 +
      (1.18 * (1 + 2 * ν) * a) / ℓ);
  return [
    {
      what: 'held square, point load: w = 0.01160·F·a²/D_p, mm (Navier)',
      closed: (0.0116 * F * PANE_MM ** 2) / D_p,
      solved: max(solve(pane, point, false).deflectionMm),
      nodes: pane.x.length,
      allowed: 0.02,
    },
    {
      what: 'held square, even load: w = 0.00406·q·a⁴/D_p, mm (Navier)',
      closed: (0.00406 * q * PANE_MM ** 4) / D_p,
      solved: max(solve(pane, even, false).deflectionMm),
      nodes: pane.x.length,
      allowed: 0.02,
    },
    {
      what: 'on foam, point load: w = F/(8√(k_f·D_p)), mm (Hertz)',
      closed: F / (8 * Math.sqrt(K_F * D_p)),
      solved: max(
        solve(sharp, ringLoad(sharp, locator(sharp), wideMiddle, 0, F), true).deflectionMm,
      ),
      nodes: sharp.x.length,
      allowed: 0.02,
    },
    {
      what: 'on foam, disc inside: σ, MPa (Westergaard)',
      closed: interior,
      solved: max(solve(wide, discLoad(wide, locator(wide), wideMiddle, a, F), true).farTensionMpa),
      nodes: wide.x.length,
      allowed: 0.05,
    },
    {
      what: 'on foam, disc at a free edge: σ, MPa (Westergaard)',
      closed: edge,
      solved: max(
        solve(atEdge, discLoad(atEdge, locator(atEdge), { xMm: WIDE_MM / 2, yMm: a }, a, F), true)
          .farTensionMpa,
      ),
      nodes: atEdge.x.length,
      allowed: 0.05,
    },
  ];
}

/** Point load on the held square as its mesh is refined. */
function refinement(): readonly { readonly cells: number; readonly off: number }[] {
  const closed = (0.0116 * F * PANE_MM ** 2) / D_p;
  return [4, 8, 16, 32].map((cells) => {
    const mesh = rectangleMesh(evenAxis(PANE_MM, cells), evenAxis(PANE_MM, cells));
    const load = ringLoad(mesh, locator(mesh), { xMm: PANE_MM / 2, yMm: PANE_MM / 2 }, 0, F);
    return { cells, off: max(solve(mesh, load, false).deflectionMm) / closed - 1 };
  });
}

const percent = (share: number): string => `${(100 * share).toFixed(2)} %`;

/** The two tables, as rows of cells. */
export const plateTables = (): {
  readonly forms: readonly (readonly string[])[];
  readonly refined: readonly (readonly string[])[];
} => ({
  forms: closedForms().map(({ what, closed, solved, nodes, allowed }) => [
    what,
    closed.toPrecision(5),
    solved.toPrecision(5),
    percent(solved / closed - 1),
    percent(allowed),
    String(nodes),
  ]),
  refined: refinement().map(({ cells, off }) => [`${cells} × ${cells}`, percent(off)]),
});
