import { IsNull, type EntityManager } from 'typeorm';
import type { ServerContext } from '../serverContext';
import { deviceEntity } from './peopleEntities';
import { hashOfToken, newToken } from './secrets';

interface OwnerOfDevice {
  readonly workshopId: string;
  readonly personId?: string;
  readonly shareId?: string;
}

/** Signs a browser in. @returns its secret, told this once */
export async function addDevice(
  manager: EntityManager,
  { now, newId }: Pick<ServerContext, 'now' | 'newId'>,
  name: string,
  { workshopId, personId, shareId }: OwnerOfDevice,
): Promise<string> {
  const token = newToken();
  const at = now();
  await manager.insert(deviceEntity, {
    id: newId(),
    workshopId,
    personId: personId ?? null,
    shareId: shareId ?? null,
    tokenHash: hashOfToken(token),
    name,
    pin: null,
    since: at,
    seenAt: at,
    lockedAt: null,
    endedAt: null,
  });
  return token;
}

/** Signs devices out: at once, wherever they are. */
export const endDevices = async (
  manager: EntityManager,
  which: { readonly id?: string; readonly personId?: string },
  at: Date,
): Promise<void> => {
  await manager.update(deviceEntity, { ...which, endedAt: IsNull() }, { endedAt: at });
};
