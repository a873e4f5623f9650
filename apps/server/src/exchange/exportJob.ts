import { MAX_FAULTS } from '@nucleon/contract/validator';
import { checkJob } from '@nucleon/core/setup/checkJob';
import { faultsInWords } from '@nucleon/core/words/faults';
import type { Hole } from '@nucleon/core/documents/hole';
import type { JobFile } from '@nucleon/core/documents/jobFile';
import type { PieceWithHoles } from '@nucleon/core/documents/piece';
import { In, type DataSource, type EntityManager } from 'typeorm';
import { workshopNow } from '../database/workshop';
import type { DocumentRow } from '../documents/documentKinds';
import { loadJob, type HoleRow, type JobRow, type PieceRow } from '../documents/loadJob';
import { namedKit, renameKit } from '@nucleon/core/setup/namedKit';
import { readKit } from '../documents/loadKit';
import { find, findOne } from '../documents/repository';
import { holeOf, pieceOf, withId } from '../documents/shown';
import { runEntity } from '../runs/runEntities';
import { readLog, type LogEntry } from './exportLog';
import { renameRun } from './renameRun';

/** A job on its way out: the file but for its log, which may be long and is read as it is written. */
export interface ExportedJob {
  readonly file: Omit<JobFile, 'log'>;
  readonly log: AsyncIterable<LogEntry>;
  readonly pieces: readonly PieceRow[];
  readonly runIds: readonly string[];
  /** A row's id in the file. */
  readonly fileId: (id: string) => string;
}

/**
 * The job as an open file with the whole kit in use, under the ids it came with: what the planner
 * chooses from on the server is what the command line will choose from. What was deleted is in its bin; what
 * no longer fits is marked, so that it opens again.
 */
export async function exportJob(source: DataSource, jobId: string): Promise<ExportedJob> {
  return source.transaction('REPEATABLE READ', (manager) => readJob(source, manager, jobId));
}

async function readJob(
  source: DataSource,
  manager: EntityManager,
  jobId: string,
): Promise<ExportedJob> {
  const loaded = await loadJob(manager, jobId);
  const bin = await loadBin(manager, jobId);
  const kit = await readKit(manager);
  const everyHole = [...loaded.holes, ...bin.holes];
  const named = new Set(everyHole.flatMap((hole) => [...namedKit(holeOf(hole))]));
  const inUse = (row: DocumentRow): boolean => row.deletedAt === null || named.has(row.id);
  const bits = kit.bits.filter(inUse);
  const machines = kit.machines.filter(inUse);
  const bitId = fileIds(bits);
  const machineId = fileIds(machines);
  const pieces = [...loaded.pieces, ...bin.pieces];
  const own = ownIds(loaded.job, pieces, everyHole);
  const asHole = (row: HoleRow): Hole => {
    return { ...renameKit(holeOf(row), bitId, machineId), id: own(row.id) };
  };
  const asPiece = (row: PieceRow, holes: readonly HoleRow[]): PieceWithHoles => ({
    ...pieceOf(row),
    id: own(row.id),
    holes: holes.filter(({ parentId }) => parentId === row.id).map(asHole),
  });
  const { job, kit: beside = {}, log: oddLog = [], ...rest } = loaded.job.document;
  const house = await findOne(manager, 'house', { id: workshopNow() });
  const { bits: _bits, machines: _machines, ...parts } = kit.all;
  const inBin = {
    pieces: bin.pieces.map((row) => asPiece(row, everyHole)),
    holes: bin.holes
      .filter(({ parentId }) => loaded.pieces.some(({ id }) => id === parentId))
      .map((row) => ({ ...asHole(row), pieceId: own(row.parentId) })),
  };
  const runs = await manager.find(runEntity, {
    select: { id: true },
    where: { jobId, workshopId: workshopNow() },
    order: { openedAt: 'ASC', id: 'ASC' },
  });
  const runIds = runs.map(({ id }) => id);
  const renamed = (id: string): string => (own(id) === id ? bitId(id) : own(id));
  const file: Omit<JobFile, 'log'> = {
    format: 'nucleon-job',
    version: 1,
    ...rest,
    job: { ...job, id: own(jobId) },
    pieces: loaded.pieces.map((row) => asPiece(row, loaded.holes)),
    kit: {
      ...beside,
      bits: bits.map((row) => ({ ...withId(row), id: bitId(row.id) })),
      machines: machines.map((row) => ({ ...withId(row), id: machineId(row.id) })),
      ...filled(parts, beside),
    },
    // Habits settled here come before those the file came with.
    ...(house ? { house: house.document } : {}),
    ...(inBin.pieces.length + inBin.holes.length > 0 ? { bin: inBin } : {}),
  };
  return {
    file: marked(file),
    log: wholeLog(
      oddLog,
      readLog(source.manager, runIds, (event) => renameRun(event, renamed)),
    ),
    pieces: loaded.pieces,
    runIds,
    fileId: own,
  };
}

/** What the file's log had of its own, then the runs. */
async function* wholeLog(
  odd: readonly LogEntry[],
  runs: AsyncIterable<LogEntry>,
): AsyncGenerator<LogEntry> {
  yield* odd;
  yield* runs;
}

/** Pieces and holes that do not fit as they stand carry what is wrong with them. */
function marked(file: Omit<JobFile, 'log'>): Omit<JobFile, 'log'> {
  const faults = faultsInWords(checkJob(file));
  if (faults.length === 0) return file;
  const at = (isThere: (pointer: string) => boolean): readonly string[] =>
    faults
      .filter(({ pointer }) => isThere(pointer))
      .map(({ message }) => message)
      .slice(0, MAX_FAULTS);
  return {
    ...file,
    pieces: file.pieces.map((piece, index) => {
      const [own, ofHoles] = [`/pieces/${index}/`, `/pieces/${index}/holes/`];
      const holes = piece.holes.map((hole, place) =>
        withFaults(
          hole,
          at((pointer) => `${pointer}/`.startsWith(`${ofHoles}${place}/`)),
        ),
      );
      return withFaults(
        { ...piece, holes },
        at((pointer) => pointer.startsWith(own) && !pointer.startsWith(ofHoles)),
      );
    }),
  };
}

const withFaults = <T extends object>(thing: T, faults: readonly string[]): T =>
  faults.length > 0 ? { ...thing, faults } : thing;

/** A job's deleted pieces and holes. */
async function loadBin(
  manager: EntityManager,
  jobId: string,
): Promise<{ readonly pieces: readonly PieceRow[]; readonly holes: readonly HoleRow[] }> {
  const all = await find(manager, 'piece', { parentId: jobId });
  const gone = new Set(all.filter(({ deletedAt }) => deletedAt).map(({ id }) => id));
  const inPieces = { parentId: In(all.map(({ id }) => id)) };
  const holes = await find(manager, 'hole', inPieces, { position: 'ASC', id: 'ASC' });
  return {
    pieces: all.filter(({ id }) => gone.has(id)),
    holes: holes.filter(({ parentId, deletedAt }) => deletedAt !== null || gone.has(parentId)),
  };
}

/** Ids of a job's own things in its file: no two pieces, and no two holes, have the same. */
function ownIds(
  job: JobRow,
  pieces: readonly PieceRow[],
  holes: readonly HoleRow[],
): (id: string) => string {
  const names = new Map(
    [[job], pieces, holes].flatMap((rows: readonly DocumentRow[]) => {
      const idOf = fileIds(rows);
      return rows.map(({ id }) => [id, idOf(id)] as const);
    }),
  );
  return (id) => names.get(id) ?? id;
}

/** Each row's id in the file: its old one, unless two rows came with the same. */
function fileIds(rows: readonly { id: string; fileId: string | null }[]): (id: string) => string {
  const taken = new Set<string>();
  const names = new Map<string, string>();
  for (const row of rows) {
    const wanted = row.fileId ?? row.id;
    const name = taken.has(wanted) ? row.id : wanted;
    taken.add(name);
    names.set(row.id, name);
  }
  return (id) => names.get(id) ?? id;
}

/** Lists with something in them, and what of the same list the file had in a shape of its own. */
function filled<T extends object>(lists: T, beside: Record<string, unknown>): Partial<T> {
  return Object.fromEntries(
    Object.entries(lists as Record<string, readonly unknown[] | undefined>).flatMap(
      ([name, list = []]) => {
        const own = beside[name];
        const all = [...(Array.isArray(own) ? (own as unknown[]) : []), ...list];
        return all.length > 0 ? [[name, all]] : [];
      },
    ),
  ) as Partial<T>;
}
