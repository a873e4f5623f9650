import type { EntityManager } from 'typeorm';
import type { DocumentKind } from '../documents/documentKinds';
import { findOne } from '../documents/repository';
import { notFound } from '../http/problem';
import { runEntity } from '../runs/runEntities';
import type { Asker } from './asking';
import type { Asked, PathKind, Shared } from './routeAccess';

type IsOfJob = (manager: EntityManager, id: string, jobId: string) => Promise<boolean> | boolean;

const isPieceOfJob: IsOfJob = async (manager, id, jobId) =>
  (await findOne(manager, 'piece', { id }))?.parentId === jobId;

/** Whether what is asked for belongs to the job a link shows. */
export const IS_OF_JOB: Readonly<Record<Shared, IsOfJob>> = {
  kit: () => true,
  // It hears of its own job alone.
  news: () => true,
  job: (_manager, id, jobId) => id === jobId,
  piece: isPieceOfJob,
  hole: async (manager, id, jobId) => {
    const hole = await findOne(manager, 'hole', { id });
    return hole !== null && isPieceOfJob(manager, hole.parentId, jobId);
  },
  run: async (manager, id, jobId) => (await manager.findOneBy(runEntity, { id }))?.jobId === jobId,
};

const hasWorkshop = (kind: DocumentKind) => async (manager: EntityManager, id: string) =>
  (await findOne(manager, kind, { id }))?.parentId;
const ofJob = hasWorkshop('job');
const ofPiece: WorkshopOf = async (manager, id) => {
  const piece = await findOne(manager, 'piece', { id });
  return piece ? ofJob(manager, piece.parentId) : undefined;
};

type WorkshopOf = (manager: EntityManager, id: string) => Promise<string | undefined>;
/** Whose each thing is that a path names; undefined of what is not there yet. */
const WORKSHOP_OF: Readonly<Record<PathKind, WorkshopOf>> = {
  job: ofJob,
  piece: ofPiece,
  hole: async (manager, id) => {
    const hole = await findOne(manager, 'hole', { id });
    return hole ? ofPiece(manager, hole.parentId) : undefined;
  },
  run: async (manager, id) => (await manager.findOneBy(runEntity, { id }))?.workshopId,
  bit: hasWorkshop('bit'),
  machine: hasWorkshop('machine'),
  // One table for all sorts.
  part: hasWorkshop('couplings'),
};

/** Another workshop's things are not there for whoever asks. */
export async function refuseOthers(
  manager: EntityManager,
  asker: Exclude<Asker, { kind: 'local' }>,
  { things }: Asked,
): Promise<void> {
  for (const { kind, id } of things) {
    const workshopId = await WORKSHOP_OF[kind](manager, id);
    if (workshopId !== undefined && workshopId !== asker.workshopId) throw notFound(kind, id);
  }
}
