import { IsNull, MoreThan } from 'typeorm';
import { transact } from '../database/transact';
import { workshopNow } from '../database/workshop';
import type { ServerContext } from '../serverContext';
import { invite } from './links';
import { invitationEntity, personEntity } from './peopleEntities';

/**
 * The link by which a workshop’s first owner joins; null where there is one. Each start makes a new one, and ends
 * those of starts before it.
 * @param another for one more owner all the same
 */
export function ownerLink(
  tools: Pick<ServerContext, 'source' | 'now' | 'newId'>,
  another: boolean,
): Promise<string | null> {
  return transact(tools.source, async (manager) => {
    const workshopId = workshopNow();
    const hasOwner = await manager.existsBy(personEntity, {
      workshopId,
      role: 'owner',
      leftAt: IsNull(),
    });
    if (hasOwner && !another) return null;
    const at = tools.now();
    await manager.update(
      invitationEntity,
      { workshopId, madeBy: '', endedAt: IsNull(), until: MoreThan(at) },
      { endedAt: at },
    );
    return (await invite(manager, tools, 'owner', '')).token;
  });
}
