import type { Bin, BinItem } from '@nucleon/contract/wire';
import { BIN_DAYS } from '@nucleon/contract/wire';
import { Router } from 'express';
import { IsNull, Not, type EntityManager } from 'typeorm';
import { lockJob } from '../database/locks';
import { transact } from '../database/transact';
import { workshopNow } from '../database/workshop';
import { KINDS } from '../documents/documentKinds';
import { aliveJob } from '../documents/loadJob';
import { find, findOne } from '../documents/repository';
import { idParam } from '../http/body';
import { notFound } from '../http/problem';
import { touchJob } from '../jobs/touchJob';
import type { ServerContext } from '../serverContext';
import { setDeleted } from './setDeleted';

type Binned = 'job' | 'piece' | 'hole';
const PATHS = { job: '/jobs', piece: '/pieces', hole: '/holes' } as const;
const DAY_MS = 24 * 3600 * 1000;
const DELETED = { deletedAt: Not(IsNull()) };

/** A thing with what it stands in, from the job down; @throws Problem where there is none. */
async function pathOf(
  manager: EntityManager,
  kind: Binned,
  id: string,
): Promise<readonly { readonly kind: Binned; readonly id: string }[]> {
  const row = await findOne(manager, kind, { id });
  if (!row) throw notFound(KINDS[kind].called, id);
  if (kind === 'job') return [{ kind, id }];
  const above = await pathOf(manager, kind === 'hole' ? 'piece' : 'job', row.parentId);
  return [...above, { kind, id }];
}

const stamps = (deletedAt: Date | null): Pick<BinItem, 'deletedAt' | 'emptiedAt'> => {
  const at = deletedAt ?? new Date(0);
  return {
    deletedAt: at.toISOString(),
    emptiedAt: new Date(at.getTime() + BIN_DAYS * DAY_MS).toISOString(),
  };
};

/** Pieces and holes that were deleted from a job, the last first. */
async function binOf(manager: EntityManager, jobId: string): Promise<Bin> {
  await aliveJob(manager, jobId);
  const pieces = await find(manager, 'piece', { parentId: jobId });
  const nameOf = new Map(pieces.map(({ id, document }) => [id, document.name]));
  const binned = (await manager
    .createQueryBuilder(KINDS.hole.entity, 'hole')
    .innerJoin('piece', 'piece', 'piece.id = hole.parentId AND piece.parentId = :jobId', { jobId })
    .where('hole.deletedAt IS NOT NULL')
    .getMany()) as Awaited<ReturnType<typeof find<'hole'>>>;
  const items: BinItem[] = [
    ...pieces
      .filter(({ deletedAt }) => deletedAt)
      .map(({ id, document, deletedAt }) => ({
        kind: 'piece' as const,
        id,
        name: document.name,
        ...stamps(deletedAt),
      })),
    ...binned.map(({ id, parentId, document, deletedAt }) => ({
      kind: 'hole' as const,
      id,
      name: document.label ?? '',
      pieceName: nameOf.get(parentId) ?? '',
      ...stamps(deletedAt),
    })),
  ];
  return { items: items.sort((a, b) => (a.deletedAt < b.deletedAt ? 1 : -1)) };
}

/**
 * Deletes go to a bin and come back from it, in any order: what is brought back brings along what it stands
 * in. It may no longer fit what stands now; it is read with what is wrong with it.
 */
export function binRoutes({ source, now }: ServerContext): Router {
  const router = Router();
  router.get('/bin', async (_request, response) => {
    const jobs = await find(
      source.manager,
      'job',
      { parentId: workshopNow(), ...DELETED },
      { deletedAt: 'DESC' },
    );
    const bin: Bin = {
      items: jobs.map(({ id, document, deletedAt }) => ({
        kind: 'job',
        id,
        name: document.job.name,
        ...stamps(deletedAt),
      })),
    };
    response.json(bin);
  });
  router.get('/jobs/:jobId/bin', async (request, response) => {
    response.json(await binOf(source.manager, idParam(request, 'jobId')));
  });
  for (const kind of ['job', 'piece', 'hole'] as const) {
    router.delete(`${PATHS[kind]}/:id`, async (request, response) => {
      const id = idParam(request, 'id');
      await transact(source, async (manager) => {
        const jobId = (await pathOf(manager, kind, id))[0]?.id ?? '';
        await lockJob(manager, jobId);
        await setDeleted(manager, kind, [id], now());
        await touchJob(manager, jobId, now());
      });
      response.status(204).end();
    });
    router.post(`${PATHS[kind]}/:id/restore`, async (request, response) => {
      const id = idParam(request, 'id');
      await transact(source, async (manager) => {
        const path = await pathOf(manager, kind, id);
        const jobId = path[0]?.id ?? '';
        await lockJob(manager, jobId);
        for (const step of path) await setDeleted(manager, step.kind, [step.id], null);
        await touchJob(manager, jobId, now());
      });
      response.status(204).end();
    });
  }
  return router;
}
