import type { Bit } from '../documents/kit';
import type { Operation } from '../documents/operation';
import type { Bend } from '../physics/plate/bender';
import type { DrillCase } from '../setup/drillCase';
import { caseIn, jobWith, wallOf, type JobParts } from '../setup/jobFixtures';
import { contextOf } from './contextOf';
import type { CutPlan, HoleTask } from './planCut';
import { cutsOf, type PlanContext } from './planContext';

/** A case worked out, not bent unless by `bend`. */
export function contextIn(drillCase: DrillCase, bend?: Bend): PlanContext {
  const outcome = contextOf(drillCase, bend);
  if (outcome.kind === 'faulty') throw new Error(JSON.stringify(outcome.faults));
  return outcome.context;
}

/** A job's hole worked out, by these operations where they are given. */
export function workedOut(parts: JobParts = {}, operations?: readonly Operation[]): PlanContext {
  const hole = { ...parts.hole, ...(operations ? { operations } : {}) };
  return contextIn(caseIn(jobWith({ ...parts, hole })));
}

/** One of a hole's cuts, in the order they are made. */
export function cutAt(context: PlanContext, index: number): CutPlan {
  const cut = cutsOf(context)[index];
  if (!cut) throw new Error(`no cut ${index}`);
  return cut;
}

/** A hole whose body is known, to look at by itself. */
export const taskOf = ({ piece, hole }: PlanContext): HoleTask =>
  ({ piece, hole, possible: [] }) as unknown as HoleTask;

export const coreBit = (diameterMm: number, usableDepthMm?: number): Bit => ({
  id: 'core',
  name: `Core ${diameterMm}`,
  family: 'segmented-core',
  diameterMm,
  ...(usableDepthMm ? { usableDepthMm } : {}),
});

/** A masonry bit of 10 mm, which leaves no core. */
export const ROD_10: Bit = {
  id: 'rod',
  name: 'Rod',
  family: 'masonry-bit',
  diameterMm: 10,
  usableDepthMm: 300,
};

/** One bit through two leaves and what lies between them, in one go. */
export const BORED_CAVITY: JobParts = {
  piece: wallOf(['engineering-brick', 60], ['cavity', 40], ['concrete', 60]),
  hole: { diameterMm: 10, operations: [{ id: 'b', does: 'bore', bitId: 'rod' }] },
  setup: { bit: 'rod', water: { kind: 'none' } },
  bits: [ROD_10],
};

/** A plug hole: the tile by its own bit, the block behind it by another. */
export const TILED_BLOCK: JobParts = {
  piece: wallOf(['porcelain-tile', 9], ['lightweight-block', 100]),
  hole: { diameterMm: 8, depth: { kind: 'blind', depthMm: 60 } },
  setup: { bit: 'tile8', water: { kind: 'none' } },
  bits: [
    { id: 'tile8', name: 'Tile core 8', family: 'dry-tile-core', diameterMm: 8 },
    { id: 'mas8', name: 'Masonry 8', family: 'masonry-bit', diameterMm: 8 },
  ],
};

/** Three passes of 45 mm and one of 15. */
export const FOUR_PASSES: JobParts = {
  piece: wallOf(['concrete', 150]),
  hole: { diameterMm: 62 },
  setup: { bit: 'cup', water: { kind: 'bottle' } },
  bits: [
    { id: 'cup', name: 'Cup 62', family: 'plated-cup-saw', diameterMm: 62, usableDepthMm: 50 },
  ],
};

export const CAVITY_WALL: JobParts = {
  piece: wallOf(['clay-brick', 102], ['cavity', 70], ['lightweight-block', 100]),
  hole: { diameterMm: 127 },
  setup: { bit: 'dry', water: { kind: 'none' } },
  bits: [
    {
      id: 'dry',
      name: 'Dry core 127',
      family: 'dry-segmented-core',
      diameterMm: 127,
      usableDepthMm: 300,
    },
  ],
};

/** A cup of 12 before the one of 25. */
export const STEPPED_PANE: JobParts = {
  piece: { thicknessMm: 12 },
  setup: { bits: ['cup12', 'cup25'] },
  bits: [12, 25].map((diameterMm) => ({
    id: `cup${diameterMm}`,
    name: `Cup ${diameterMm}`,
    family: 'plated-cup-saw',
    diameterMm,
    rimWidthMm: 1,
  })),
};
