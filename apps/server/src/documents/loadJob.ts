import type { DrillCase } from '@nucleon/core/setup/drillCase';
import { In, IsNull, type EntityManager, type SelectQueryBuilder } from 'typeorm';
import { notFound } from '../http/problem';
import { KINDS, type DocumentRow, type StoredRow } from './documentKinds';
import type { LoadedKit } from './loadKit';
import { find, findOne, goneProblem } from './repository';
import { holeOf, pieceOf } from './shown';

export type JobRow = DocumentRow<'job'>;
export type PieceRow = DocumentRow<'piece'>;
export type HoleRow = DocumentRow<'hole'>;

/** A job's rows as they stand, in their order. */
export interface LoadedJob {
  readonly job: JobRow;
  readonly pieces: readonly PieceRow[];
  readonly holes: readonly HoleRow[];
}

const ALIVE = { deletedAt: IsNull() };
const IN_ORDER = { position: 'ASC', id: 'ASC' } as const;

export async function aliveJob(manager: EntityManager, id: string): Promise<JobRow> {
  const job = await findOne(manager, 'job', { id, ...ALIVE });
  if (!job) throw notFound('job', id);
  return job;
}

export async function loadJob(manager: EntityManager, jobId: string): Promise<LoadedJob> {
  const [job, pieces] = await Promise.all([
    aliveJob(manager, jobId),
    find(manager, 'piece', { parentId: jobId, ...ALIVE }, IN_ORDER),
  ]);
  const ids = pieces.map(({ id }) => id);
  const holes =
    ids.length === 0 ? [] : await find(manager, 'hole', { parentId: In(ids), ...ALIVE }, IN_ORDER);
  return { job, pieces, holes };
}

/** A job’s holes by the piece they are in. */
export function byPiece({ pieces, holes }: Pick<LoadedJob, 'pieces' | 'holes'>) {
  const lists = new Map(pieces.map(({ id }) => [id, [] as HoleRow[]]));
  for (const hole of holes) lists.get(hole.parentId)?.push(hole);
  return lists;
}

/** A piece in its job, with whatever hole was asked for: which may be deleted, or another piece’s. */
export interface PieceInJob {
  readonly job: JobRow;
  readonly piece: PieceRow;
  readonly hole: HoleRow | null;
  /** Where a new hole would come in the piece’s order. */
  readonly nextPosition: number;
}

/** Piece, job and hole in one question, locked so that one writes at a time. */
export async function pieceToWrite(
  manager: EntityManager,
  pieceId: string,
  holeId?: string,
): Promise<PieceInJob> {
  const asked = manager
    .createQueryBuilder(KINDS.piece.entity, 'piece')
    .innerJoinAndMapOne('piece.job', 'job', 'job', 'job.id = piece.parentId')
    .leftJoinAndMapOne('piece.hole', 'hole', 'hole', 'hole.id = :holeId', {
      holeId: holeId ?? '',
    })
    .addSelect(
      '(SELECT COALESCE(MAX(other.position), 0) + 1 FROM hole other WHERE other.piece_id = piece.id)',
      'next_position',
    )
    .where('piece.id = :pieceId', { pieceId })
    .setLock('pessimistic_write');
  const { row, raw } = await oneOf(asked);
  if (!row) throw notFound('piece', pieceId);
  const { job, hole, ...piece } = row as unknown as PieceRow & {
    readonly job: JobRow;
    readonly hole?: HoleRow | null;
  };
  if (job.deletedAt) throw goneProblem('job', job);
  if (piece.deletedAt) throw goneProblem('piece', piece);
  return { job, piece, hole: hole ?? null, nextPosition: Number(raw?.next_position ?? 1) };
}

async function oneOf(asked: SelectQueryBuilder<StoredRow>): Promise<{
  readonly row: StoredRow | undefined;
  readonly raw: Record<string, unknown> | undefined;
}> {
  const { entities, raw } = await asked.getRawAndEntities<Record<string, unknown>>();
  return { row: entities[0], raw: raw[0] };
}

/** A hole where it stands, with its piece and job, in one question; whatever is deleted is not there. */
export async function loadHole(
  manager: EntityManager,
  id: string,
): Promise<{ readonly job: JobRow; readonly piece: PieceRow; readonly hole: HoleRow }> {
  const found = await manager
    .createQueryBuilder(KINDS.hole.entity, 'hole')
    .innerJoinAndMapOne('hole.piece', 'piece', 'piece', 'piece.id = hole.parentId')
    .innerJoinAndMapOne('hole.job', 'job', 'job', 'job.id = piece.parentId')
    .where('hole.id = :id AND hole.deletedAt IS NULL', { id })
    .andWhere('piece.deletedAt IS NULL AND job.deletedAt IS NULL')
    .getOne();
  if (!found) throw notFound('hole', id);
  const { piece, job, ...hole } = found as unknown as HoleRow & {
    readonly piece: PieceRow;
    readonly job: JobRow;
  };
  return { job, piece, hole };
}

/** A piece’s own holes. */
export const holesOf = (manager: EntityManager, pieceId: string): Promise<HoleRow[]> =>
  find(manager, 'hole', { parentId: pieceId, ...ALIVE }, IN_ORDER);

/** What a hole is planned from: with the kit in use and whatever retired part of it the hole names. */
export function drillCaseOf(
  job: JobRow,
  piece: PieceRow,
  hole: HoleRow,
  kit: LoadedKit,
): DrillCase {
  const { checks } = job.document.job;
  const asked = holeOf(hole);
  return {
    job: checks ? { checks } : {},
    piece: pieceOf(piece),
    hole: asked,
    kit: kit.for(asked),
    materials: job.document.customMaterials ?? [],
    habits: kit.habits,
    experience: kit.experience,
  };
}
