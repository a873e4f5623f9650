import { faultyInWords } from '@nucleon/core/words/faults';
import type { PlanHeadline } from '@nucleon/contract/wire';
import type { DrillCase } from '@nucleon/core/setup/drillCase';
import type { Fault } from '@nucleon/core/documents/fault';
import type { Plan } from '@nucleon/core/documents/plan';
import type { Risk } from '@nucleon/core/physics/strength/assessRisk';
import { In, type DataSource, type EntityManager } from 'typeorm';
import { transact } from '../database/transact';
import { drillCaseOf, loadHole, type LoadedJob } from '../documents/loadJob';
import { loadKit, type LoadedKit } from '../documents/loadKit';
import { askerGone } from '../http/admission';
import type { ServerContext } from '../serverContext';
import { holePlanEntity, type HolePlanRow } from './holePlanEntity';
import { makingsOf, olderPlans, planHoles, type Planned } from './planHoles';

/** So many plans are made for one reading of a list, some milliseconds each; the others at the next. */
const MAX_PLANNED = 200;

/** What lists show of holes: what their plans come to, or what is wrong with them; neither while it waits. */
export interface Headlines {
  readonly of: ReadonlyMap<string, PlanHeadline>;
  readonly faulty: ReadonlyMap<string, readonly Fault[]>;
}

const NOTHING_DUE: Planned = { rows: [], faulty: new Map() };

/** The plans’ headlines; those that are stale or missing are made first, as many as a request has time for. */
export async function headlinesOf(
  source: DataSource,
  loaded: LoadedJob,
  kit: LoadedKit,
): Promise<Headlines> {
  if (loaded.holes.length === 0) return { of: new Map(), faulty: new Map() };
  const stored = await source.manager
    .createQueryBuilder(holePlanEntity, 'plan')
    .select(['plan.holeId', 'plan.madeFrom', 'plan.headline'])
    .where({ holeId: In(loaded.holes.map(({ id }) => id)) })
    .getMany();
  const due = staleHoles(loaded, kit, stored);
  const waiting = new Set(due.slice(MAX_PLANNED).map(({ id }) => id));
  const { rows, faulty } =
    due.length === 0
      ? NOTHING_DUE
      : await transact(source, async (manager) => {
          const now = due.slice(0, MAX_PLANNED);
          const older = await olderPlans(
            manager,
            now.map(({ id }) => id),
          );
          return planHoles(manager, { ...loaded, holes: now }, kit, older);
        });
  const of = new Map(
    [...stored, ...rows]
      .filter(({ holeId }) => !waiting.has(holeId) && !faulty.has(holeId))
      .map(({ holeId, headline }) => [holeId, headline]),
  );
  return { of, faulty };
}

function staleHoles(
  { job, pieces, holes }: LoadedJob,
  kit: LoadedKit,
  stored: readonly Pick<HolePlanRow, 'holeId' | 'madeFrom'>[],
): LoadedJob['holes'] {
  const madeFrom = new Map(stored.map((row) => [row.holeId, row.madeFrom]));
  const pieceById = new Map(pieces.map((piece) => [piece.id, piece]));
  return holes.filter((hole) => {
    const piece = pieceById.get(hole.parentId);
    return piece && madeFrom.get(hole.id) !== makingsOf(job, piece, hole, kit);
  });
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
  readonly drillCase: DrillCase;
}

/** A hole's stored plan, made anew where it is stale, with what it is made from. */
async function oneHole(source: DataSource, holeId: string): Promise<Read<OneHole>> {
  const { manager } = source;
  const { job, piece, hole } = await loadHole(manager, holeId);
  const kit = await loadKit(manager);
  const drillCase = drillCaseOf(job, piece, hole, kit);
  const madeFrom = makingsOf(job, piece, hole, kit);
  const stored = await manager.findOneBy(holePlanEntity, { holeId, madeFrom });
  if (stored) return { kind: 'made', value: { row: stored, drillCase } };
  const { rows, faulty } = await transact(source, async (inside) =>
    planHoles(
      inside,
      { job, pieces: [piece], holes: [hole] },
      kit,
      await olderPlans(inside, [holeId]),
    ),
  );
  const [row] = rows;
  return row
    ? { kind: 'made', value: { row, drillCase } }
    : { kind: 'faulty', faults: faulty.get(holeId) ?? [] };
}

/** Keeps what was worked out beside, unless the plan was made anew meanwhile. */
async function keepWith(
  manager: EntityManager,
  { holeId, madeFrom }: HolePlanRow,
  worked: Partial<Pick<HolePlanRow, 'plan' | 'risk'>>,
): Promise<void> {
  await manager.update(holePlanEntity, { holeId, madeFrom }, worked);
}

/**
 * The plan of a hole as it is stored.
 * @param bent asks for the bending too, which takes a tenth of a second or two the first time
 */
export async function planOf(
  { source, heavy }: ServerContext,
  holeId: string,
  bent: boolean,
): Promise<Read<Plan>> {
  const read = await oneHole(source, holeId);
  if (read.kind === 'faulty') return read;
  const { row, drillCase } = read.value;
  if (!bent || !isUnbent(row.plan)) return { kind: 'made', value: row.plan };
  const outcome = await heavy.run('bentPlan', drillCase, askerGone());
  if (outcome.kind === 'faulty') return outcome;
  await keepWith(source.manager, row, { plan: outcome.plan });
  return { kind: 'made', value: outcome.plan };
}

/** The Monte Carlo of a hole, bending and all; kept with its plan. */
export async function riskOf(
  { source, heavy }: ServerContext,
  holeId: string,
): Promise<Read<Risk>> {
  const read = await oneHole(source, holeId);
  if (read.kind === 'faulty') return read;
  const { row, drillCase } = read.value;
  if (row.risk) return { kind: 'made', value: row.risk };
  const outcome = await heavy.run('risk', drillCase, askerGone());
  if (outcome.kind === 'faulty') return faultyInWords(outcome);
  await keepWith(source.manager, row, { risk: outcome.risk });
  return { kind: 'made', value: outcome.risk };
}
