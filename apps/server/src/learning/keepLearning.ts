import type { LearningInput } from '@nucleon/core/run/learning/learningReport';
import { loggedRun, type LoggedHole } from '@nucleon/core/run/learning/loggedHole';
import { In, IsNull, Not, type EntityManager } from 'typeorm';
import { workshopNow } from '../database/workshop';
import { transact } from '../database/transact';
import { drillCaseOf, loadHole } from '../documents/loadJob';
import { loadKit } from '../documents/loadKit';
import { Problem } from '../http/problem';
import { inWorkshop } from '../people/asking';
import { runEntity, runEventEntity } from '../runs/runEntities';
import type { Learning, ServerContext } from '../serverContext';
import { learnedEntity } from './learnedEntity';

/** No hash of a log: of one that tells nothing. */
export const NOTHING_LEARNED = '';

interface State {
  isDue: boolean;
  working: Promise<void> | null;
}

/** One workshop's log at a time, each apart from the others'. */
export function keepLearning(context: Omit<ServerContext, 'learning'>): Learning {
  const states = new Map<string, State>();
  const stateNow = (): State => {
    const state = states.get(workshopNow()) ?? { isDue: false, working: null };
    states.set(workshopNow(), state);
    return state;
  };
  const work = async (state: State): Promise<void> => {
    try {
      while (state.isDue) {
        state.isDue = false;
        await relearn(context);
      }
    } catch (error) {
      // The next run asks again; plans go on with what was learned before.
      context.log(`The log could not be learned from: ${String(error)}`);
    } finally {
      state.working = null;
    }
  };
  return {
    changed: () => {
      const state = stateNow();
      state.isDue = true;
      state.working ??= inWorkshop(workshopNow(), context.now(), () => work(state));
    },
    settled: () => stateNow().working ?? Promise.resolve(),
  };
}

async function relearn({ source, heavy, now }: Omit<ServerContext, 'learning'>): Promise<void> {
  await fillLogged(source.manager);
  const { manager } = source;
  const runs = await manager.find(runEntity, {
    select: { id: true, logged: true, leftOut: true, holeId: true, bitId: true, openedAt: true },
    where: { logged: Not(IsNull()), workshopId: workshopNow() },
    order: { openedAt: 'ASC', id: 'ASC' },
  });
  const kit = await loadKit(manager);
  const lastHole = new Map(runs.map(({ bitId, holeId }) => [bitId, holeId]));
  const bits = kit.for({}).bits ?? [];
  const cases = [];
  for (const { id: bitId, retired } of bits) {
    const holeId = lastHole.get(bitId);
    if (!holeId || retired) continue;
    const found = await loadHole(manager, holeId).catch((error: unknown) => {
      // Its hole, piece or job is deleted: nothing to say when to change by.
      if (error instanceof Problem) return null;
      throw error;
    });
    if (found)
      cases.push({
        bitId,
        // What the log tells is about to be learned anew.
        drillCase: { ...drillCaseOf(found.job, found.piece, found.hole, kit), experience: null },
      });
  }
  const input: LearningInput = {
    holes: runs.flatMap(({ logged, leftOut }) => (logged ? [withChoice(logged, leftOut)] : [])),
    bits,
    cases,
    now: now().toISOString(),
  };
  const outcome = await heavy.run('learn', input);
  await transact(source, (inside) =>
    inside.upsert(
      learnedEntity,
      {
        id: workshopNow(),
        hash: outcome.experience?.hash ?? NOTHING_LEARNED,
        learnedAt: now(),
        outcome: outcome as never,
      },
      ['id'],
    ),
  );
}

/** A person may leave a run out, or put one back that is not believed. */
const withChoice = (hole: LoggedHole, leftOut: boolean | null): LoggedHole =>
  leftOut === null ? hole : { ...hole, choice: leftOut ? 'left-out' : 'put-back' };

const AT_ONCE = 200;

/** Runs that ended before this was kept. */
async function fillLogged(manager: EntityManager): Promise<void> {
  for (let after = ''; ;) {
    const rows = await manager
      .createQueryBuilder(runEntity, 'run')
      .select(['run.id'])
      .where('run.logged IS NULL AND run.outcome IS NOT NULL AND run.outcome <> :going', {
        going: 'under-way',
      })
      .andWhere('run.id > :after', { after })
      .orderBy('run.id')
      .take(AT_ONCE)
      .getMany();
    const last = rows.at(-1);
    if (!last) return;
    after = last.id;
    const events = await manager.find(runEventEntity, {
      where: { runId: In(rows.map(({ id }) => id)) },
      order: { seq: 'ASC' },
    });
    for (const { id } of rows) {
      const own = events.filter(({ runId }) => runId === id).map(({ body }) => body);
      const logged = loggedRun(id, own);
      if (logged) await manager.update(runEntity, { id }, { logged: logged });
    }
  }
}
