import { checkJob } from '@nucleon/core/setup/checkJob';
import { faultsInWords } from '@nucleon/core/words/faults';
import type { Fault } from '@nucleon/core/documents/fault';
import type { EntityManager } from 'typeorm';
import { byPiece, type LoadedJob } from '../documents/loadJob';
import { loadKit, type LoadedKit } from '../documents/loadKit';
import { holeOf, pieceOf } from '../documents/shown';
import { faultyProblem } from '../http/problem';
import { planHoles } from './planHoles';

/** So many plans are made with a change itself; more wait until they are read. */
const PLANNED_AT_ONCE = 40;

/**
 * Checks holes after a change and plans the first of them. A hole that no longer fits refuses the whole
 * change, but for one that did not fit before it either: that was marked, and stands in nobody's way.
 * @param before the holes' pieces and job as they were, where the change is of those
 */
export async function planAfterWrite(
  manager: EntityManager,
  loaded: LoadedJob,
  before?: LoadedJob,
): Promise<void> {
  const kit = await loadKit(manager);
  const faults = faultsByHole(loaded, kit);
  if (faults.size > 0) {
    const marked = before ? faultsByHole(before, kit) : new Map<string, unknown>();
    for (const [holeId, found] of faults) if (!marked.has(holeId)) throw faultyProblem(found);
  }
  await planHoles(manager, { ...loaded, holes: loaded.holes.slice(0, PLANNED_AT_ONCE) }, kit);
}

/** What is wrong with each hole that does not fit, as if it were its piece’s only one. */
function faultsByHole(loaded: LoadedJob, kit: LoadedKit): ReadonlyMap<string, readonly Fault[]> {
  const lists = [...byPiece(loaded)];
  const pieces = loaded.pieces.map((piece, index) => ({
    ...pieceOf(piece),
    holes: (lists[index]?.[1] ?? []).map(holeOf),
  }));
  const found = new Map<string, Fault[]>();
  const { customMaterials = [] } = loaded.job.document;
  for (const fault of faultsInWords(checkJob({ pieces, kit: kit.all, customMaterials }))) {
    const [, index = '', place = ''] =
      /^\/pieces\/(\d+)(?:\/holes\/(\d+))?/.exec(fault.pointer) ?? [];
    const holes = index === '' ? loaded.holes : (lists[Number(index)]?.[1] ?? []);
    const meant = place === '' ? holes : holes.slice(Number(place), Number(place) + 1);
    const pointer = fault.pointer
      .replace(/^\/pieces\/\d+/, '/pieces/0')
      .replace(/^(\/pieces\/0\/holes)\/\d+/, '$1/0');
    for (const { id } of meant) found.set(id, [...(found.get(id) ?? []), { ...fault, pointer }]);
  }
  return found;
}
