import { bitAfterRun } from '@nucleon/core/bits/bitAfterRun';
import type { BitUse } from '@nucleon/core/run/runRecord';
import type { EntityManager } from 'typeorm';
import { lockKit } from '../database/locks';
import { bitEntity } from '../kit/bitEntity';
import { bitOf } from '../kit/kitMapping';
import { forgetPlansWithKit } from '../plans/storePlans';

/**
 * Adds to the bit what this run took of it beyond what was counted already, so that events sent again, or
 * a result put right, count once.
 */
export async function feedBit(
  manager: EntityManager,
  use: BitUse | null,
  counted: BitUse | null,
  now: Date,
): Promise<void> {
  if (!use) return;
  const added = {
    depthMm: use.depthMm - (counted?.depthMm ?? 0),
    holes: use.holes - (counted?.holes ?? 0),
    state: use.state === (counted?.state ?? null) ? null : use.state,
  };
  if (added.depthMm === 0 && added.holes === 0 && added.state === null) return;
  await lockKit(manager, 'write');
  const row = await manager
    .createQueryBuilder(bitEntity, 'bit')
    .setLock('pessimistic_write')
    .where('bit.id = :id', { id: use.bitId })
    .getOne();
  if (!row) return;
  const after = bitAfterRun(bitOf(row), { ...added, lifeDepthMm: use.lifeDepthMm, at: use.at });
  await manager.update(
    bitEntity,
    { id: row.id },
    {
      depthCutMm: after.depthCutMm ?? null,
      holesCut: after.holesCut ?? null,
      sharpness: after.sharpness ?? null,
      state: after.state ?? null,
      sharpnessLog: after.sharpnessLog ? [...after.sharpnessLog] : null,
      version: row.version + 1,
      updatedAt: now,
    },
  );
  await forgetPlansWithKit(manager, row.id);
}
