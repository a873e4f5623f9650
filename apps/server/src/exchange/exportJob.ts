import type { JobFile, Setup } from '@nucleon/core/job/job';
import type { EntityManager } from 'typeorm';
import { holeOf } from '../holes/holeMapping';
import { loadHouse } from '../house/loadHouse';
import { jobHeader } from '../jobs/jobMapping';
import { bitOf, machineOf, partsOf } from '../kit/kitMapping';
import { pieceOf } from '../pieces/pieceMapping';
import { loadJob, loadKit, namedKit } from '../plans/loadJob';
import { exportLog } from './exportLog';
import { renameKit } from './importJob';

/**
 * The job as an open file with the whole kit in use, under the ids it came with: what the planner
 * chooses from on the server is what the command line will choose from.
 */
export async function exportJob(manager: EntityManager, jobId: string): Promise<JobFile> {
  const loaded = await loadJob(manager, jobId);
  const kit = await loadKit(manager);
  const named = new Set(loaded.holes.flatMap((hole) => [...namedKit(holeOf(hole))]));
  const inUse = (row: { id: string; deletedAt: Date | null }): boolean =>
    row.deletedAt === null || named.has(row.id);
  const bits = kit.bits.filter(inUse);
  const machines = kit.machines.filter(inUse);
  const bitId = fileIds(bits);
  const machineId = fileIds(machines);
  const rename = (setup: Setup): Setup => renameKit(setup, bitId, machineId);
  const { kit: kitExtra, ...fileExtra } = loaded.job.fileExtra;
  const { version, ...house } = await loadHouse(manager);
  const beside = (typeof kitExtra === 'object' ? kitExtra : {}) as Record<string, unknown>;

  return {
    format: 'nucleon-job',
    version: 1,
    ...fileExtra,
    job: { ...jobHeader(loaded.job), id: loaded.job.fileId ?? loaded.job.id },
    pieces: loaded.pieces.map((piece) => ({
      ...pieceOf(piece),
      id: piece.fileId ?? piece.id,
      holes: loaded.holes
        .filter((row) => row.pieceId === piece.id)
        .map((row) => {
          const hole = holeOf(row);
          return {
            ...hole,
            id: row.fileId ?? row.id,
            ...(hole.setup ? { setup: rename(hole.setup) } : {}),
          };
        }),
    })),
    kit: {
      ...beside,
      bits: bits.map((row) => ({ ...bitOf(row), id: bitId(row.id) })),
      machines: machines.map((row) => ({ ...machineOf(row), id: machineId(row.id) })),
      ...filled(partsOf(kit.parts), beside),
    },
    // Habits settled here come before those the file came with.
    ...(version > 0 ? { house } : {}),
    ...(loaded.job.customMaterials ? { customMaterials: loaded.job.customMaterials } : {}),
    ...(await exportLog(manager, loaded, fileExtra, bitId)),
  };
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
