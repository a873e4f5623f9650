import type { Coverage, CoverageTarget, HolePlace, PostCoverage } from '@nucleon/contract/wire';
import type { Gate } from '@nucleon/core/documents/gate';
import type { HazardCheck } from '@nucleon/core/documents/hazardCheck';
import {
  answersHere,
  answersThere,
  gatedHole,
  type GatedHole,
} from '@nucleon/core/setup/hazards/coverage';
import { In, type EntityManager } from 'typeorm';
import { lockJob } from '../database/locks';
import { transact } from '../database/transact';
import {
  loadHole,
  loadJob,
  type HoleRow,
  type LoadedJob,
  type PieceRow,
} from '../documents/loadJob';
import { loadKit } from '../documents/loadKit';
import { inBatches, putAll } from '../documents/repository';
import { holeOf, pieceOf } from '../documents/shown';
import { touchJob } from '../jobs/touchJob';
import { holePlanEntity } from '../plans/holePlanEntity';
import { planAfterWrite } from '../plans/planAfterWrite';
import { makingsOf } from '../plans/planHoles';
import { headlinesOf } from '../plans/readPlan';
import type { ServerContext } from '../serverContext';

interface GatedJob {
  readonly loaded: LoadedJob;
  readonly here: GatedHole | null;
  readonly others: readonly GatedHole[];
}

/** A hole with the others of its job, as far as their plans are made, in the job's order. */
async function gatedJob(manager: EntityManager, holeId: string): Promise<GatedJob> {
  const { job } = await loadHole(manager, holeId);
  const [loaded, kit] = await Promise.all([loadJob(manager, job.id), loadKit(manager)]);
  const pieces = new Map(loaded.pieces.map((row) => [row.id, row]));
  const stored = new Map(
    (await storedPlans(manager, loaded)).map(({ madeFrom, plan }) => [
      `${plan.holeId} ${madeFrom}`,
      plan,
    ]),
  );
  const gated = loaded.holes.flatMap((row) => {
    const piece = pieces.get(row.parentId);
    const plan = piece && stored.get(`${row.id} ${makingsOf(loaded.job, piece, row, kit)}`);
    return plan ? [gatedHole(pieceOf(piece), holeOf(row), plan)] : [];
  });
  return {
    loaded,
    here: gated.find(({ hole }) => hole.id === holeId) ?? null,
    others: gated.filter(({ hole }) => hole.id !== holeId),
  };
}

async function storedPlans(manager: EntityManager, { holes }: LoadedJob) {
  const rows = [];
  for (const some of inBatches(holes.map(({ id }) => id)))
    rows.push(...(await manager.findBy(holePlanEntity, { holeId: In([...some]) })));
  return rows;
}

const placeOf = ({ piece, hole }: GatedHole): HolePlace => ({
  holeId: hole.id,
  holeName: hole.label?.trim() ? hole.label : null,
  pieceId: piece.id,
  pieceName: piece.name,
});

const labelOf = ({ answers }: Gate, { answer }: HazardCheck): string =>
  answers.find(({ code }) => code === answer)?.label ?? answer;

/** Which answers of a hole hold at others of its job, and which of theirs hold here. */
export async function coverageOf(
  { source, now }: ServerContext,
  holeId: string,
): Promise<Coverage> {
  // Plans that are stale or missing are made first, as many as a request has time for.
  const { job } = await loadHole(source.manager, holeId);
  await headlinesOf(source, await loadJob(source.manager, job.id), await loadKit(source.manager));
  const { here, others, loaded } = await gatedJob(source.manager, holeId);
  const waiting = loaded.holes.length - others.length - (here ? 1 : 0);
  if (!here) return { there: [], here: [], waiting };
  return {
    there: answersThere(here, others, now()).map(({ gate, covered, exceptions }) => ({
      hazard: gate.code,
      title: gate.title,
      scope: gate.scope,
      answer: gate.settledBy ? labelOf(gate, gate.settledBy) : '',
      covered: covered.map(({ at }) => placeOf(at)),
      exceptions: exceptions.map(({ at, why }) => ({ ...placeOf(at), why })),
    })),
    here: answersHere(here, others, now()).map(({ gate, check, from }) => ({
      hazard: gate.code,
      title: gate.title,
      answer: labelOf(gate, check),
      check,
      from: placeOf(from),
    })),
    waiting,
  };
}

type Checks = readonly HazardCheck[];

/**
 * Takes answers of a hole to others that they cover, or takes them back from where they were taken: all of it or
 * nothing. What they do not cover by now is left out.
 * @returns where they stand now, to take them back from
 */
export async function takeAnswers(
  { source, now }: ServerContext,
  holeId: string,
  { take = [], takeBack = [] }: PostCoverage,
): Promise<readonly CoverageTarget[]> {
  return transact(source, async (manager) => {
    const { job } = await loadHole(manager, holeId);
    await lockJob(manager, job.id);
    const { loaded, here, others } = await gatedJob(manager, holeId);
    if (!here) return [];
    const taken = answersThere(here, others, now()).flatMap(({ gate, covered }) =>
      covered
        .filter(({ at }) => isListed(take, gate, at))
        .map(({ at, check }) => ({ gate, at, check })),
    );
    const changes = new Map<string, Change>();
    const change = (gate: Gate, { piece, hole }: GatedHole, next: Change): void => {
      const id = gate.scope === 'piece' ? piece.id : hole.id;
      const before = changes.get(id);
      changes.set(id, before ? (checks) => next(before(checks)) : next);
    };
    for (const { gate, at, check } of taken)
      change(gate, at, (checks) => [...checks.filter(({ hazard }) => hazard !== gate.code), check]);
    for (const gate of here.settled)
      for (const at of others.filter((one) => isListed(takeBack, gate, one)))
        change(gate, at, (checks) =>
          checks.filter((one) => one.hazard !== gate.code || one.at !== gate.settledBy?.at),
        );
    await writeChecks(manager, loaded, changes, now());
    return taken.map(({ gate, at }) => ({ hazard: gate.code, holeId: at.hole.id }));
  });
}

const isListed = (
  targets: readonly CoverageTarget[],
  { code }: Gate,
  { hole }: GatedHole,
): boolean => targets.some(({ hazard, holeId }) => hazard === code && holeId === hole.id);

type Change = (checks: Checks) => Checks;

/** Rows of pieces or holes as their answers are to be; those that are not to change are left out. */
const withChecks = <R extends PieceRow | HoleRow>(
  rows: readonly R[],
  changes: ReadonlyMap<string, Change>,
): R[] =>
  rows.flatMap((row) => {
    const change = changes.get(row.id);
    return change
      ? [{ ...row, document: { ...row.document, checks: [...change(row.document.checks ?? [])] } }]
      : [];
  });

async function writeChecks(
  manager: EntityManager,
  loaded: LoadedJob,
  changes: ReadonlyMap<string, Change>,
  now: Date,
): Promise<void> {
  if (changes.size === 0) return;
  const { job, pieces, holes } = loaded;
  await putAll(manager, 'piece', withChecks(pieces, changes), now, pieces);
  await putAll(manager, 'hole', withChecks(holes, changes), now, holes);
  const after = await loadJob(manager, job.id);
  const changed = after.holes.filter(
    ({ id, parentId }) => changes.has(id) || changes.has(parentId),
  );
  await planAfterWrite(manager, { ...after, holes: changed }, loaded);
  await touchJob(manager, job.id, now);
}
