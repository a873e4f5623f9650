import type { AuditAct } from '@nucleon/core/data/people';
import type { EntityManager } from 'typeorm';
import { workshopNow } from '../database/workshop';
import { askingNow, type Asking } from './asking';
import { auditEntity } from './peopleEntities';

const LONGEST_SUBJECT = 200;

/** Whoever did it, where they have only just come in. */
interface Doer {
  readonly workshopId: string;
  /** null of whoever has only tried, or holds a link. */
  readonly personId: string | null;
  readonly name: string;
}

/** Writes a deed down. Nothing here changes or removes what is written. */
export async function writeDown(
  manager: EntityManager,
  act: AuditAct,
  subject: string,
  by?: Doer,
  asking: Asking | null = askingNow(),
): Promise<void> {
  if (asking) asking.noted = true;
  const asker = asking?.asker?.kind === 'person' ? asking.asker : null;
  await manager.insert(auditEntity, {
    workshopId: by?.workshopId ?? workshopNow(),
    at: asking?.at ?? new Date(),
    personId: by?.personId ?? asker?.personId ?? null,
    personName: by?.name ?? asker?.name ?? '',
    address: asking?.address ?? '',
    act,
    subject: subject.slice(0, LONGEST_SUBJECT),
  });
}

/** Writes down, in the same transaction, what the request at hand has done: nothing is kept that is not. */
export async function writeDownRequest(
  manager: EntityManager,
  asking = askingNow(),
): Promise<void> {
  if (!asking?.act || asking.noted || asking.asker?.kind === 'local') return;
  await writeDown(manager, asking.act, asking.subject, undefined, asking);
}
