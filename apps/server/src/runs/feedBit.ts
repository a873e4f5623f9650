import { bitAfterRun } from '@nucleon/core/advice/bitAfterRun';
import type { BitUse } from '@nucleon/core/run/runRecord';
import type { EntityManager } from 'typeorm';
import { lockKit, noteKitChange } from '../database/locks';
import { workshopNow } from '../database/workshop';
import { findOne, replace } from '../documents/repository';
import { withId } from '../documents/shown';

/** What a run has fed so far, bit by bit. */
export const countedUses = (counted: readonly BitUse[] | BitUse | null): readonly BitUse[] =>
  counted === null ? [] : isOne(counted) ? [counted] : counted;

const isOne = (counted: readonly BitUse[] | BitUse): counted is BitUse => 'bitId' in counted;

/**
 * Adds to the bit what this run took of it beyond what was counted already, so that events sent again, or
 * a result put right, count once.
 */
export async function feedBit(
  manager: EntityManager,
  use: BitUse,
  counted: BitUse | null,
  now: Date,
): Promise<void> {
  const added = {
    depthMm: use.depthMm - (counted?.depthMm ?? 0),
    holes: use.holes - (counted?.holes ?? 0),
    state: use.state === (counted?.state ?? null) ? null : use.state,
  };
  if (added.depthMm === 0 && added.holes === 0 && added.state === null) return;
  await lockKit(manager);
  const row = await findOne(manager, 'bit', { id: use.bitId, parentId: workshopNow() });
  if (!row) return;
  const after = bitAfterRun(withId(row), { ...added, lifeDepthMm: use.lifeDepthMm, at: use.at });
  await replace(manager, 'bit', [{ ...row, document: { ...row.document, ...after } }], now);
  await noteKitChange(manager);
}
