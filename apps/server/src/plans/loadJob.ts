import type { Bit, Machine } from '@nucleon/core/documents/kit';
import type { Hole } from '@nucleon/core/documents/hole';
import type { JobFile } from '@nucleon/core/documents/jobFile';
import type { House } from '@nucleon/core/documents/house';
import { In, IsNull, type EntityManager } from 'typeorm';
import { holeEntity, type HoleRow } from '../holes/holeEntity';
import { holeOf } from '../holes/holeMapping';
import { jobEntity, type JobRow } from '../jobs/jobEntity';
import { jobHeader } from '../jobs/jobMapping';
import { bitEntity, type BitRow } from '../kit/bitEntity';
import { loadHouse } from '../house/loadHouse';
import { bitOf, machineOf, partsOf } from '../kit/kitMapping';
import { kitPartEntity, type KitPartRow } from '../kit/kitPartEntity';
import { machineEntity, type MachineRow } from '../kit/machineEntity';
import { pieceEntity, type PieceRow } from '../pieces/pieceEntity';
import { pieceOf } from '../pieces/pieceMapping';
import { notFound } from '../http/problem';

/** A job's rows as they stand, oldest first in each list. */
export interface LoadedJob {
  readonly job: JobRow;
  readonly pieces: readonly PieceRow[];
  readonly holes: readonly HoleRow[];
}

export async function loadJob(manager: EntityManager, jobId: string): Promise<LoadedJob> {
  const job = await manager.findOneBy(jobEntity, { id: jobId, deletedAt: IsNull() });
  if (!job) throw notFound('job', jobId);
  const order = { position: 'ASC', id: 'ASC' } as const;
  const pieces = await manager.find(pieceEntity, { where: { jobId, deletedAt: IsNull() }, order });
  const pieceIds = pieces.map((piece) => piece.id);
  const holes =
    pieceIds.length === 0
      ? []
      : await manager.find(holeEntity, {
          where: { pieceId: In(pieceIds), deletedAt: IsNull() },
          order,
        });
  return { job, pieces, holes };
}

/** A job with just one of its pieces and that piece's holes, or just one hole. */
export async function loadPiece(
  manager: EntityManager,
  pieceId: string,
  holeId?: string,
): Promise<LoadedJob & { readonly piece: PieceRow }> {
  const piece = await manager.findOneBy(pieceEntity, { id: pieceId, deletedAt: IsNull() });
  if (!piece) throw notFound('piece', pieceId);
  const job = await manager.findOneBy(jobEntity, { id: piece.jobId, deletedAt: IsNull() });
  if (!job) throw notFound('job', piece.jobId);
  const holes = await manager.find(holeEntity, {
    where: { pieceId, deletedAt: IsNull(), ...(holeId === undefined ? {} : { id: holeId }) },
    order: { position: 'ASC', id: 'ASC' },
  });
  return { job, piece, pieces: [piece], holes };
}

/** The same, or undefined where there is no such piece yet. */
export const maybePiece = async (
  manager: EntityManager,
  pieceId: string,
): Promise<LoadedJob | undefined> =>
  (await manager.existsBy(pieceEntity, { id: pieceId, deletedAt: IsNull() }))
    ? loadPiece(manager, pieceId)
    : undefined;

/** All of the workshop's kit and habits, deleted pieces too: a plan may still lean on one. */
export interface LoadedKit {
  readonly bits: readonly BitRow[];
  readonly machines: readonly MachineRow[];
  readonly parts: readonly KitPartRow[];
  readonly house: House;
}

export async function loadKit(manager: EntityManager): Promise<LoadedKit> {
  const { version: _version, ...house } = await loadHouse(manager);
  return {
    bits: await manager.find(bitEntity),
    machines: await manager.find(machineEntity),
    parts: await manager.find(kitPartEntity, {
      where: { deletedAt: IsNull() },
      order: { name: 'ASC', id: 'ASC' },
    }),
    house,
  };
}

/** A job of one hole, with the kit in use and whatever retired part of it the hole still names. */
export function planningFile(
  loaded: LoadedJob,
  kit: LoadedKit,
  piece: PieceRow,
  hole: HoleRow,
): JobFile {
  const named = namedKit(holeOf(hole));
  const inUse = (row: { id: string; deletedAt: Date | null }): boolean =>
    row.deletedAt === null || named.has(row.id);
  return {
    format: 'nucleon-job',
    version: 1,
    job: jobHeader(loaded.job),
    pieces: [{ ...pieceOf(piece), holes: [holeOf(hole)] }],
    kit: {
      bits: kit.bits.filter(inUse).map((row): Bit => bitOf(row)),
      machines: kit.machines.filter(inUse).map((row): Machine => machineOf(row)),
      ...partsOf(kit.parts),
    },
    house: kit.house,
    customMaterials: loaded.job.customMaterials ?? [],
  };
}

/** Ids of the bits and machine a hole names. */
export function namedKit(hole: Pick<Hole, 'setup'>): ReadonlySet<string> {
  const { bit, bits = [], machine } = hole.setup ?? {};
  return new Set([bit, ...bits, machine].filter((id): id is string => id !== undefined));
}
