import type { Experience } from '@nucleon/core/documents/experience';
import type { Hole } from '@nucleon/core/documents/hole';
import type { House } from '@nucleon/core/documents/house';
import { KIT_PART_SORTS, type Kit } from '@nucleon/core/documents/kit';
import { namedKit } from '@nucleon/core/setup/namedKit';
import type { DataSource, EntityManager } from 'typeorm';
import { workshopNow } from '../database/workshop';
import { learnedEntity } from '../learning/learnedEntity';
import type { DocumentRow, StoredRow } from './documentKinds';
import { find } from './repository';
import { withId } from './shown';

/** All of the workshop's kit and habits, deleted parts too: a plan may still depend on one. */
export interface LoadedKit {
  /** Grows with each change of kit or habits. */
  readonly version: number;
  readonly houseVersion: number;
  /** Names what the log tells; empty where plans take nothing from it. */
  readonly learnedHash: string;
  readonly experience: Experience | null;
  readonly habits: House;
  readonly bits: readonly DocumentRow<'bit'>[];
  readonly machines: readonly DocumentRow<'machine'>[];
  /** Everything there is or was. */
  readonly all: Kit;
  /** The kit in use, with whatever this hole names that no longer is. */
  readonly for: (hole: Pick<Hole, 'setup' | 'operations'>) => Kit;
}

/** What kit was last read of each workshop: read again only when its version says that it changed. */
const lastRead = new WeakMap<DataSource, Map<string, LoadedKit>>();

/**
 * The kit as it is committed. Not for a transaction that has changed it itself.
 */
export async function loadKit(manager: EntityManager): Promise<LoadedKit> {
  // The version is read first: a change meanwhile makes what is planned with the rows stale, never unseen.
  const [now]: {
    kit: number;
    house: number | null;
    document: unknown;
    learned: string | null;
  }[] = await manager.query(
    `SELECT workshop.kit_version AS kit, house.version AS house, house.document, learned.hash AS learned
       FROM workshop LEFT JOIN house ON house.id = workshop.id
         LEFT JOIN learned ON learned.id = workshop.id
       WHERE workshop.id = ?`,
    [workshopNow()],
  );
  const source = manager.dataSource;
  const [version, houseVersion] = [now?.kit ?? 0, now?.house ?? 0];
  const reads = lastRead.get(source) ?? new Map<string, LoadedKit>();
  lastRead.set(source, reads);
  const last = reads.get(workshopNow());
  const hash = now?.learned ?? '';
  if (
    last?.version === version &&
    last.houseVersion === houseVersion &&
    (last.learnedHash === hash || last.habits.fromLog === 'leave')
  )
    return last;
  const { document = null } = now ?? {};
  // The driver reads a JSON column, where the database says that it is one.
  const read: unknown = typeof document === 'string' ? JSON.parse(document) : document;
  const habits = (read ?? {}) as House;
  const learnedHash = habits.fromLog === 'leave' ? '' : hash;
  const learned =
    learnedHash === '' ? null : await manager.findOneBy(learnedEntity, { id: workshopNow() });
  const kit = {
    version,
    houseVersion,
    learnedHash: learned?.hash ?? '',
    experience: learned?.outcome.experience ?? null,
    habits,
    ...(await readKit(manager)),
  };
  reads.set(workshopNow(), kit);
  return kit;
}

/** The kit as this transaction sees it. */
export async function readKit(
  manager: EntityManager,
): Promise<Pick<LoadedKit, 'bits' | 'machines' | 'all' | 'for'>> {
  const bits = await find(manager, 'bit', { parentId: workshopNow() });
  const machines = await find(manager, 'machine', { parentId: workshopNow() });
  const parts = await readParts(manager);
  const used: Kit = {
    bits: bits.filter(inUse).map(withId),
    machines: machines.filter(inUse).map(withId),
    ...parts,
  };
  return {
    bits,
    machines,
    all: { bits: bits.map(withId), machines: machines.map(withId), ...parts },
    for: (hole) => {
      const named = namedKit(hole);
      const wanted = (row: DocumentRow): boolean => inUse(row) || named.has(row.id);
      const isPutAway = (row: DocumentRow): boolean => !inUse(row) && named.has(row.id);
      return bits.some(isPutAway) || machines.some(isPutAway)
        ? {
            ...used,
            bits: bits.filter(wanted).map(withId),
            machines: machines.filter(wanted).map(withId),
          }
        : used;
    },
  };
}

/** What is owned beside bits and machines, by name. */
async function readParts(manager: EntityManager): Promise<Kit> {
  const rows = await find(
    manager,
    'couplings',
    { parentId: workshopNow() },
    { name: 'ASC', id: 'ASC' },
  );
  const of = (sort: string) =>
    rows.filter((row) => (row as StoredRow).sort === sort && inUse(row)).map(withId);
  return Object.fromEntries(KIT_PART_SORTS.map((sort) => [sort, of(sort)]));
}

const inUse = ({ deletedAt }: DocumentRow): boolean => deletedAt === null;
