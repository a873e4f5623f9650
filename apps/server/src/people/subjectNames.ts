import { In, type EntityManager } from 'typeorm';
import { findByIds } from '../documents/repository';
import { runEntity } from '../runs/runEntities';

/** What jobs, pieces, holes, kit and runs are called by now, by their ids; what is nothing of the kind is left out. */
export async function namesOf(
  manager: EntityManager,
  given: readonly string[],
): Promise<ReadonlyMap<string, string>> {
  const ids = [...new Set(given)].filter((id) => id !== '');
  const names = new Map<string, string>();
  if (ids.length === 0) return names;
  const [jobs, pieces, holes, bits, machines, parts, runs] = await Promise.all([
    findByIds(manager, 'job', ids),
    findByIds(manager, 'piece', ids),
    findByIds(manager, 'hole', ids),
    findByIds(manager, 'bit', ids),
    findByIds(manager, 'machine', ids),
    findByIds(manager, 'couplings', ids),
    manager.find(runEntity, { where: { id: In(ids) }, select: { id: true, record: true } }),
  ]);
  for (const { id, document } of [...pieces, ...bits, ...machines, ...parts])
    names.set(id, document.name);
  for (const { id, document } of jobs) names.set(id, document.job.name);
  for (const { id, document } of holes) names.set(id, document.label ?? id);
  for (const { id, record } of runs)
    if (record) names.set(id, `${record.holeName}, ${record.pieceName}`);
  return names;
}
