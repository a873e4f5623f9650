/** Prints what the plate solver takes, ms and MB, beside a library's sparse factor: `tsx scripts/bench/plates.mts`. */
import { createRequire } from 'node:module';
import type { DrillCase } from '@nucleon/core/setup/drillCase';
import { contextOf } from '@nucleon/core/plan/contextOf';
import { oddsMap, oddsSurface } from '@nucleon/core/advice/risk/oddsMap';
import { rememberingBend } from '@nucleon/core/physics/plate/bender';
import { METRIC } from '@nucleon/core/data/unitSystem';
import { bendPlate } from '@nucleon/core/physics/plate/bendPlate';
import { locator } from '@nucleon/core/physics/plate/locate';
import { nodeAreas, ringLoad } from '@nucleon/core/physics/plate/nodeShares';
import { evenAxis, rectangleMesh, type PlateMesh } from '@nucleon/core/physics/plate/plateMesh';
import {
  factorWith,
  preparePlate,
  type PreparedPlate,
} from '@nucleon/core/physics/plate/preparePlate';
import { solveEnvelope } from '@nucleon/core/math/envelopeCholesky';

type Entry = [number, number, number];
// The library has no types of its own.
const { prepare } = createRequire(import.meta.url)('cholesky-solve') as {
  prepare: (matrix: Entry[], size: number) => (b: number[]) => number[];
};

const GLASS = { youngModulusMpa: 70_000, poisson: 0.22, thicknessMm: 6 };
const WEIGHT_N_PER_MM2 = 2500e-9 * 9.81 * 6;

const ms = (work: () => void): number => {
  const began = performance.now();
  work();
  return performance.now() - began;
};

function prepared(mesh: PlateMesh): PreparedPlate {
  const springNPerMm = nodeAreas(mesh).map((area) => area * 0.4);
  const made = preparePlate({ mesh, ...GLASS, springNPerMm, noTension: true, held: [] });
  if (made.kind !== 'prepared') throw new Error(made.kind);
  return made.plate;
}

function loadAt(mesh: PlateMesh, xMm: number, yMm: number): Float64Array {
  const ring = ringLoad(mesh, locator(mesh), { xMm, yMm }, 12, 26);
  if (!ring) throw new Error('off the plate');
  return nodeAreas(mesh).map((area, node) => area * WEIGHT_N_PER_MM2 + (ring[node] ?? 0));
}

const sixty = rectangleMesh(evenAxis(400, 60), evenAxis(300, 60));
let plate: PreparedPlate | null = null;
const coldMs = ms(() => {
  plate = prepared(sixty);
  bendPlate(plate, loadAt(sixty, 200, 150));
});
const moved = [
  [150, 120],
  [80, 200],
  [330, 60],
].map(([x = 0, y = 0]) => {
  const load = loadAt(sixty, x, y);
  return ms(() => {
    if (plate) bendPlate(plate, load);
  });
});

/** A pane of 400 × 300 on foam, one hole of 25 in its middle. */
const PANE: DrillCase = {
  job: {},
  piece: {
    id: 'pane',
    name: 'Pane',
    form: 'sheet',
    material: 'float-glass',
    thicknessMm: 6,
    outline: { kind: 'rectangle', widthMm: 400, heightMm: 300 },
    glassTreatment: 'annealed',
  },
  hole: {
    id: 'hole',
    xMm: 200,
    yMm: 150,
    diameterMm: 25,
    depth: { kind: 'through' },
    setup: { support: { kind: 'foam' }, hold: 'press' },
  },
  kit: {},
  materials: [],
  habits: {},
};

function factorAndSolve(made: PreparedPlate): void {
  const factor = factorWith(made, made.touching);
  if (factor) solveEnvelope(factor, new Float64Array(factor.size).fill(1));
}

/** The same matrix, numbered the same, factored and solved by the library. */
function byLibrary({ elastic, rowOf, plate: held }: PreparedPlate): Record<string, number> {
  const size = 3 * rowOf.length;
  const entries: Entry[] = Array.from(elastic.values, (value, at) => [
    elastic.columns[at] ?? 0,
    elastic.rows[at] ?? 0,
    value,
  ]);
  held.springNPerMm.forEach((k, node) => entries.push([rowOf[node] ?? 0, rowOf[node] ?? 0, k]));
  const merged = new Map<number, number>();
  for (const [i, j, value] of entries) {
    const key = Math.min(i, j) * size + Math.max(i, j);
    merged.set(key, (merged.get(key) ?? 0) + value);
  }
  const matrix = [...merged].map(([key, value]): Entry => [
    Math.floor(key / size),
    key % size,
    value,
  ]);
  const b = Array.from({ length: size }, () => 1);
  return { libraryMs: ms(() => prepare(matrix, size)(b)) };
}

const ownMs = plate
  ? ms(() => {
      if (plate) factorAndSolve(plate);
    })
  : NaN;
const library = plate ? byLibrary(plate) : {};
plate = null;

const before = process.memoryUsage().arrayBuffers;
const large = rectangleMesh(evenAxis(400, 120), evenAxis(300, 120));
const largePlate = prepared(large);
bendPlate(largePlate, loadAt(large, 200, 150));
const memoryMb = (process.memoryUsage().arrayBuffers - before) / 1e6;

const bend = rememberingBend();
const worked = contextOf(PANE, bend);
if (worked.kind === 'faulty') throw new Error('the pane is faulty');
const firstMapMs = ms(() => {
  const surface = oddsSurface(worked.context, bend);
  if (surface.kind === 'surface') oddsMap(surface.surface, 16);
});

console.log(
  JSON.stringify({ firstMapMs, coldMs, movedMs: Math.max(...moved), ownMs, ...library, memoryMb }),
);
