import type { PlanHeadline } from '@nucleon/contract/wire';
import { MATERIAL_DATA_VERSION } from '@nucleon/core/materials/materials';
import { makePlan } from '@nucleon/core/plan/makePlan';
import { MODEL_VERSION, type Plan } from '@nucleon/core/plan/plan';
import { bendLater, rememberingBend, type Bend } from '@nucleon/core/plate/bender';
import { METRIC } from '@nucleon/core/units/unitSystem';
import { In, type EntityManager } from 'typeorm';
import type { HoleRow } from '../holes/holeEntity';
import { faultyProblem, notFound } from '../http/problem';
import { holePlanEntity, type HolePlanRow } from './holePlanEntity';
import { loadKit, loadPiece, planningFile, type LoadedJob } from './loadJob';

/** Plans these holes anew and stores them; a hole that cannot be planned refuses the whole change. */
export async function storePlans(
  manager: EntityManager,
  loaded: LoadedJob,
  now: Date,
  bend: Bend = bendLater,
): Promise<HolePlanRow[]> {
  const kit = await loadKit(manager);
  const rows: HolePlanRow[] = [];
  for (const hole of loaded.holes) {
    const piece = loaded.pieces.find((candidate) => candidate.id === hole.pieceId);
    if (!piece) continue;
    const outcome = makePlan(planningFile(loaded, kit, piece, hole), hole.id, METRIC, bend);
    if (outcome.kind === 'faulty') throw faultyProblem(outcome.faults);
    rows.push(planRow(outcome.plan, now));
  }
  if (rows.length > 0) await manager.upsert(holePlanEntity, rows, ['holeId']);
  return rows;
}

function planRow(plan: Plan, now: Date): HolePlanRow {
  const stops = plan.gates.filter((gate) => gate.level === 'stop').map((gate) => gate.title);
  return {
    holeId: plan.holeId,
    plan,
    headline: {
      rpm: plan.rpm,
      feedForceN: plan.feedForceN,
      drillTimeS: plan.drillTimeS,
      bitName: plan.setup.bitName,
      bitDiameterMm: plan.setup.bitDiameterMm,
      stops,
      toConfirm: plan.gates.filter((gate) => gate.level === 'confirm').length,
      settled: plan.settledGates.length,
      warningCount: plan.warnings.length,
      modelVersion: plan.modelVersion,
      dataVersion: plan.dataVersion,
    },
    stopCount: stops.length,
    modelVersion: plan.modelVersion,
    dataVersion: plan.dataVersion,
    computedAt: now,
  };
}

/** What lists show of the stored plans; those missing since a kit change are made first. */
export async function headlinesOf(
  manager: EntityManager,
  loaded: LoadedJob,
  now: Date,
): Promise<ReadonlyMap<string, PlanHeadline>> {
  const ids = loaded.holes.map((hole) => hole.id);
  if (ids.length === 0) return new Map();
  const stored = await manager.find(holePlanEntity, {
    select: { holeId: true, headline: true, modelVersion: true, dataVersion: true },
    where: { holeId: In(ids) },
  });
  const have = new Set(stored.map((row) => row.holeId));
  const missing = ids.some((id) => !have.has(id))
    ? await storePlans(
        manager,
        { ...loaded, holes: loaded.holes.filter((hole) => !have.has(hole.id)) },
        now,
      )
    : [];
  return new Map([...stored, ...missing].map((row) => [row.holeId, headlineOf(row)]));
}

/** Plans are stored at once without the bending, which is worked out when it is asked for. */
const isUnbent = ({ bending }: Partial<Plan>): boolean =>
  bending === undefined || (bending.kind === 'declined' && bending.why === 'later');

/**
 * The stored plan of a hole, made first when a kit change has thrown it away.
 * @param bent asks for the bending too, which takes a tenth of a second or two the first time
 */
export async function planOf(
  manager: EntityManager,
  hole: HoleRow,
  now: Date,
  bent: boolean,
): Promise<Plan> {
  const stored = await manager.findOneBy(holePlanEntity, { holeId: hole.id });
  if (stored && !(bent && isUnbent(stored.plan))) return stored.plan;
  const loaded = await loadPiece(manager, hole.pieceId, hole.id);
  const [made] = await storePlans(manager, loaded, now, bent ? rememberingBend() : bendLater);
  if (!made) throw notFound('plan of hole', hole.id);
  return made.plan;
}

const headlineOf = (
  row: Pick<HolePlanRow, 'headline' | 'modelVersion' | 'dataVersion'>,
): PlanHeadline => ({
  ...row.headline,
  current: row.modelVersion === MODEL_VERSION && row.dataVersion === MATERIAL_DATA_VERSION,
});

/** Forgets every plan: they are made again when next read. */
export async function forgetAllPlans(manager: EntityManager): Promise<void> {
  // Not a truncation: that would end the transaction.
  await manager.createQueryBuilder().delete().from(holePlanEntity).execute();
}

/**
 * Forgets plans that a change of kit may alter: those that name this part and those for which the
 * planner chose from what is owned. They are made again when next read.
 */
export async function forgetPlansWithKit(manager: EntityManager, kitId: string): Promise<void> {
  await manager.query(
    `DELETE hole_plan FROM hole_plan JOIN hole ON hole.id = hole_plan.hole_id
     WHERE hole.setup IS NULL OR hole.setup LIKE ?
        OR JSON_EXTRACT(hole.setup, '$.machine') IS NULL
        OR (JSON_EXTRACT(hole.setup, '$.bit') IS NULL AND JSON_EXTRACT(hole.setup, '$.bits') IS NULL)`,
    [`%${kitId.replace(/[%_\\]/g, '\\$&')}%`],
  );
}
