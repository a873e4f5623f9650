import type { PlanHeadline } from '@nucleon/contract/wire';
import type { Fault } from '@nucleon/core/job/fault';
import type { JobFile } from '@nucleon/core/documents/jobFile';
import { MATERIAL_DATA_VERSION } from '@nucleon/core/materials/materials';
import { makePlan } from '@nucleon/core/plan/makePlan';
import { MODEL_VERSION, type Plan } from '@nucleon/core/plan/plan';
import type { Risk } from '@nucleon/core/risk/assessRisk';
import { METRIC } from '@nucleon/core/units/unitSystem';
import { In, IsNull, type DataSource, type EntityManager } from 'typeorm';
import { lockJob, lockPiece } from '../database/locks';
import { transact } from '../database/transact';
import { holeEntity } from '../holes/holeEntity';
import { faultyProblem, notFound } from '../http/problem';
import type { ServerContext } from '../serverContext';
import { holePlanEntity, type HolePlanRow } from './holePlanEntity';
import { loadJob, loadKit, loadPiece, planningFile, type LoadedJob } from './loadJob';

/** What came of planning holes: a row each, or what is wrong with it. */
interface Planned {
  readonly rows: readonly HolePlanRow[];
  readonly faulty: ReadonlyMap<string, readonly Fault[]>;
}

/** Plans these holes anew and stores what can be planned; what cannot is told, and its old plan forgotten. */
async function planHoles(manager: EntityManager, loaded: LoadedJob, now: Date): Promise<Planned> {
  const kit = await loadKit(manager);
  const rows: HolePlanRow[] = [];
  const faulty = new Map<string, readonly Fault[]>();
  for (const hole of loaded.holes) {
    const piece = loaded.pieces.find((candidate) => candidate.id === hole.pieceId);
    if (!piece) continue;
    const outcome = makePlan(planningFile(loaded, kit, piece, hole), hole.id, METRIC);
    if (outcome.kind === 'faulty') faulty.set(hole.id, outcome.faults);
    else rows.push(planRow(outcome.plan, now));
  }
  if (rows.length > 0) await manager.upsert(holePlanEntity, rows, ['holeId']);
  if (faulty.size > 0) await manager.delete(holePlanEntity, { holeId: In([...faulty.keys()]) });
  return { rows, faulty };
}

/**
 * Plans these holes anew after a change. A hole that can no longer be planned refuses the whole change,
 * but for one that could not be planned before it either: that was marked, and stands in nobody's way.
 * @param before pieces as they were, where the change is of a piece
 */
export async function storePlans(
  manager: EntityManager,
  loaded: LoadedJob,
  now: Date,
  before?: LoadedJob,
): Promise<void> {
  const { faulty } = await planHoles(manager, loaded, now);
  for (const [holeId, faults] of faulty)
    if (!before || !(await faultsOf(manager, before, holeId))) throw faultyProblem(faults);
}

/** What is wrong with a hole as it stands; null where it can be planned. */
async function faultsOf(
  manager: EntityManager,
  loaded: LoadedJob,
  holeId: string,
): Promise<readonly Fault[] | null> {
  const hole = loaded.holes.find(({ id }) => id === holeId);
  const piece = loaded.pieces.find(({ id }) => id === hole?.pieceId);
  if (!hole || !piece) return null;
  const file = planningFile(loaded, await loadKit(manager), piece, hole);
  const outcome = makePlan(file, holeId, METRIC);
  return outcome.kind === 'faulty' ? outcome.faults : null;
}

function planRow(plan: Plan, now: Date): HolePlanRow {
  const stops = plan.gates.filter((gate) => gate.level === 'stop').map((gate) => gate.title);
  return {
    holeId: plan.holeId,
    plan,
    risk: null,
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

/** What lists show of holes: what their plans come to, or what is wrong with them. */
export interface Headlines {
  readonly of: ReadonlyMap<string, PlanHeadline>;
  readonly faulty: ReadonlyMap<string, readonly Fault[]>;
}

/**
 * Plans holes whose plans a kit change has thrown away, as carefully as a change does: from what stands while
 * nobody writes it.
 */
function planMissing(
  source: DataSource,
  jobId: string,
  holeIds: readonly string[],
  now: Date,
): Promise<Planned> {
  return transact(source, async (manager) => {
    await lockJob(manager, jobId);
    const loaded = await loadJob(manager, jobId);
    const holes = loaded.holes.filter(({ id }) => holeIds.includes(id));
    return planHoles(manager, { ...loaded, holes }, now);
  });
}

/** The stored plans' headlines; those missing since a kit change are made first. */
export async function headlinesOf(
  source: DataSource,
  loaded: LoadedJob,
  now: Date,
): Promise<Headlines> {
  const ids = loaded.holes.map((hole) => hole.id);
  if (ids.length === 0) return { of: new Map(), faulty: new Map() };
  const stored = await source.manager.find(holePlanEntity, {
    select: { holeId: true, headline: true, modelVersion: true, dataVersion: true },
    where: { holeId: In(ids) },
  });
  const have = new Set(stored.map((row) => row.holeId));
  const missing = ids.filter((id) => !have.has(id));
  const { rows, faulty } =
    missing.length > 0
      ? await planMissing(source, loaded.job.id, missing, now)
      : { rows: [], faulty: new Map<string, readonly Fault[]>() };
  return {
    of: new Map([...stored, ...rows].map((row) => [row.holeId, headlineOf(row)])),
    faulty,
  };
}

/** Plans are stored at once without the bending, which is worked out when it is asked for. */
const isUnbent = ({ bending }: Partial<Plan>): boolean =>
  bending === undefined || (bending.kind === 'declined' && bending.why === 'later');

/** A hole's plan or risk as it was asked for; a hole that cannot be planned reads as its faults. */
export type Read<T> =
  | { readonly kind: 'made'; readonly value: T }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

interface OneHole {
  readonly row: HolePlanRow;
  readonly file: JobFile;
}

/** A hole's stored plan, made first when a kit change has thrown it away, with the job it is made from. */
async function oneHole(source: DataSource, holeId: string, now: Date): Promise<Read<OneHole>> {
  const { manager } = source;
  const hole = await manager.findOneBy(holeEntity, { id: holeId, deletedAt: IsNull() });
  if (!hole) throw notFound('hole', holeId);
  const loaded = await loadPiece(manager, hole.pieceId, holeId);
  const stored = await manager.findOneBy(holePlanEntity, { holeId });
  const planned = stored ? null : await planMissing(source, loaded.job.id, [holeId], now);
  const row = stored ?? planned?.rows[0];
  if (!row) return { kind: 'faulty', faults: planned?.faulty.get(holeId) ?? [] };
  const file = planningFile(loaded, await loadKit(manager), loaded.piece, hole);
  return { kind: 'made', value: { row, file } };
}

/** Keeps what was worked out beside, unless the plan was made anew meanwhile. */
async function keepWith(
  manager: EntityManager,
  { holeId, computedAt }: HolePlanRow,
  worked: Partial<Pick<HolePlanRow, 'plan' | 'risk'>>,
): Promise<void> {
  await manager.update(holePlanEntity, { holeId, computedAt }, worked);
}

/**
 * The plan of a hole as it is stored.
 * @param bent asks for the bending too, which takes a tenth of a second or two the first time
 */
export async function planOf(
  { source, heavy, now }: ServerContext,
  holeId: string,
  bent: boolean,
): Promise<Read<Plan>> {
  const read = await oneHole(source, holeId, now());
  if (read.kind === 'faulty') return read;
  const { row, file } = read.value;
  if (!bent || !isUnbent(row.plan)) return { kind: 'made', value: row.plan };
  const outcome = await heavy.run('bentPlan', file, holeId);
  if (outcome.kind === 'faulty') return outcome;
  await keepWith(source.manager, row, { plan: outcome.plan });
  return { kind: 'made', value: outcome.plan };
}

/** The Monte Carlo of a hole, bending and all; kept with its plan. */
export async function riskOf(
  { source, heavy, now }: ServerContext,
  holeId: string,
): Promise<Read<Risk>> {
  const read = await oneHole(source, holeId, now());
  if (read.kind === 'faulty') return read;
  const { row, file } = read.value;
  if (row.risk) return { kind: 'made', value: row.risk };
  const outcome = await heavy.run('risk', file, holeId);
  if (outcome.kind === 'faulty') return outcome;
  await keepWith(source.manager, row, { risk: outcome.risk });
  return { kind: 'made', value: outcome.risk };
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

/** Locks the hole's piece and forgets its plan: what it stands in may have changed while it was away. */
export async function forgetHolePlan(manager: EntityManager, holeId: string): Promise<void> {
  const hole = await manager.findOneBy(holeEntity, { id: holeId });
  if (!hole) return;
  await lockPiece(manager, hole.pieceId);
  await manager.delete(holePlanEntity, { holeId });
}

/** The same for a piece and all its holes. */
export async function forgetPiecePlans(manager: EntityManager, pieceId: string): Promise<void> {
  await lockPiece(manager, pieceId);
  await manager.query(
    'DELETE hole_plan FROM hole_plan JOIN hole ON hole.id = hole_plan.hole_id WHERE hole.piece_id = ?',
    [pieceId],
  );
}
