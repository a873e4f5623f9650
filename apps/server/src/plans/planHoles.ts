import type { PlanHeadline } from '@nucleon/contract/wire';
import type { Fault } from '@nucleon/core/documents/fault';
import { MATERIAL_DATA_VERSION } from '@nucleon/core/data/materials/materials';
import { makePlan } from '@nucleon/core/words/plan/makePlan';
import { MODEL_VERSION, type Plan } from '@nucleon/core/documents/plan';
import { planChanges } from '@nucleon/core/words/plan/planChanges';
import { METRIC } from '@nucleon/core/data/unitSystem';
import { In, Like, Not, type EntityManager } from 'typeorm';
import { drillCaseOf, type JobRow, type LoadedJob } from '../documents/loadJob';
import type { LoadedKit } from '../documents/loadKit';
import { inBatches, inPackets } from '../documents/repository';
import { takingTurns } from '../http/turns';
import { holePlanEntity, type HolePlanRow } from './holePlanEntity';

/** What came of planning holes: a plan each, or what is wrong with it. */
export interface Planned {
  readonly rows: readonly HolePlanRow[];
  readonly faulty: ReadonlyMap<string, readonly Fault[]>;
}

type Made = Pick<JobRow, 'version'>;

/** What a plan names as its makings; another text anywhere and it is made anew. */
export const makingsOf = (
  job: Made,
  piece: Made,
  hole: Made,
  kit: Pick<LoadedKit, 'version' | 'houseVersion' | 'learnedHash'>,
): string =>
  [
    `job ${job.version}`,
    `piece ${piece.version}`,
    `hole ${hole.version}`,
    `kit ${kit.version}`,
    `house ${kit.houseVersion}`,
    `log ${kit.learnedHash}`,
    REFERENCE,
  ].join(', ');

const REFERENCE = `model ${MODEL_VERSION}, data ${MATERIAL_DATA_VERSION}`;
/** The same documents, whatever model and data. */
const documentsOf = (madeFrom: string): string => madeFrom.replace(/model .*$/, '');

/**
 * Plans these holes anew and stores what can be planned; what cannot is told, and its old plan forgotten.
 * @param older plans of an earlier model: the new ones say what changed
 */
export async function planHoles(
  manager: EntityManager,
  { job, pieces, holes }: LoadedJob,
  kit: LoadedKit,
  older: ReadonlyMap<string, HolePlanRow> = new Map(),
): Promise<Planned> {
  const pieceById = new Map(pieces.map((piece) => [piece.id, piece]));
  const rows: HolePlanRow[] = [];
  const faulty = new Map<string, readonly Fault[]>();
  const turn = takingTurns();
  for (const hole of holes) {
    const piece = pieceById.get(hole.parentId);
    if (!piece) continue;
    await turn();
    const outcome = makePlan(drillCaseOf(job, piece, hole, kit), METRIC);
    if (outcome.kind === 'faulty') faulty.set(hole.id, outcome.faults);
    else
      rows.push(
        planRow(outcome.plan, makingsOf(job, piece, hole, kit), older.get(hole.id) ?? null),
      );
  }
  // In one order, so that two who store the same plans do not wait for each other.
  rows.sort((a, b) => (a.holeId < b.holeId ? -1 : 1));
  for (const some of inPackets(rows)) await manager.upsert(holePlanEntity, [...some], ['holeId']);
  for (const some of inBatches([...faulty.keys()]))
    await manager.delete(holePlanEntity, { holeId: In([...some]) });
  return { rows, faulty };
}

/** Plans of an earlier model or data, by hole; there are none but right after a new version. */
export async function olderPlans(
  manager: EntityManager,
  holeIds: readonly string[],
): Promise<ReadonlyMap<string, HolePlanRow>> {
  const found = new Map<string, HolePlanRow>();
  for (const some of inBatches(holeIds))
    for (const row of await manager.findBy(holePlanEntity, {
      holeId: In([...some]),
      madeFrom: Not(Like(`%${REFERENCE}`)),
    }))
      found.set(row.holeId, row);
  return found;
}

/** What a later model changed in a plan of the same documents; told until one of them changes. */
const changedSince = (before: HolePlanRow | null, plan: Plan, madeFrom: string) =>
  before && documentsOf(before.madeFrom) === documentsOf(madeFrom)
    ? planChanges(before.plan, plan)
    : undefined;

function planRow(plan: Plan, madeFrom: string, before: HolePlanRow | null): HolePlanRow {
  const changed = changedSince(before, plan, madeFrom);
  const headline = { ...headlineOf(plan), ...(changed ? { changed } : {}) };
  return {
    holeId: plan.holeId,
    madeFrom,
    plan,
    risk: null,
    headline,
    stopCount: headline.stops.length,
  };
}

const headlineOf = (plan: Plan): PlanHeadline => ({
  rpm: plan.rpm,
  feedForceN: plan.feedForceN,
  drillTimeS: plan.drillTimeS,
  bitName: plan.setup.bitName,
  bitDiameterMm: plan.setup.bitDiameterMm,
  stops: plan.gates.filter((gate) => gate.level === 'stop').map((gate) => gate.title),
  toConfirm: plan.gates.filter((gate) => gate.level === 'confirm').length,
  settled: plan.settledGates.length,
  warningCount: plan.warnings.length,
});
