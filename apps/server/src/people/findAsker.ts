import { IsNull, MoreThan, type EntityManager } from 'typeorm';
import { doneByEither } from '../database/databaseErrors';
import type { Asker } from './asking';
import { deviceEntity, personEntity, shareEntity, type DeviceRow } from './peopleEntities';
import { hashOfToken } from './secrets';

const MINUTE_MS = 60_000;
const DAY_MS = 24 * 60 * MINUTE_MS;
/** A device nobody has used for so long is signed out. */
export const FORGOTTEN_MS = 60 * DAY_MS;
/** A bench device asks for its PIN when nobody has used it for so long. */
export const LOCKS_AFTER_MS = 30 * MINUTE_MS;

const isLocked = ({ pin, lockedAt, seenAt }: DeviceRow, now: Date): boolean =>
  pin !== null && (lockedAt !== null || now.getTime() - seenAt.getTime() > LOCKS_AFTER_MS);

/**
 * Whose token it is; null where it is nobody’s by now. Notes, once a minute, that the device was used.
 * @param isUse false of what a page asks by itself: nobody may have touched the device
 */
export async function findAsker(
  manager: EntityManager,
  token: string | undefined,
  now: Date,
  isUse: boolean,
): Promise<Asker | null> {
  if (token === undefined) return null;
  const device = await manager.findOneBy(deviceEntity, {
    tokenHash: hashOfToken(token),
    endedAt: IsNull(),
    seenAt: MoreThan(new Date(now.getTime() - FORGOTTEN_MS)),
  });
  if (!device) return null;
  const locked = isLocked(device, now);
  if (isUse && !locked && now.getTime() - device.seenAt.getTime() > MINUTE_MS)
    await doneByEither(manager.update(deviceEntity, { id: device.id }, { seenAt: now }));
  if (device.shareId !== null) {
    const share = await manager.findOneBy(shareEntity, {
      id: device.shareId,
      endedAt: IsNull(),
      until: MoreThan(now),
    });
    return (
      share && {
        kind: 'share',
        workshopId: device.workshopId,
        deviceId: device.id,
        jobId: share.jobId,
        until: share.until,
      }
    );
  }
  const person = await manager.findOneBy(personEntity, {
    id: device.personId ?? '',
    leftAt: IsNull(),
  });
  return (
    person && {
      kind: 'person',
      workshopId: device.workshopId,
      personId: person.id,
      deviceId: device.id,
      name: person.name,
      role: person.role,
      bench: device.pin !== null,
      locked,
    }
  );
}
