import type { Invitation, Share, WithToken } from '@nucleon/contract/people';
import type { Role } from '@nucleon/core/data/people';
import { IsNull, MoreThan, type EntityManager } from 'typeorm';
import { workshopNow } from '../database/workshop';
import { Problem } from '../http/problem';
import type { ServerContext } from '../serverContext';
import { askingNow } from './asking';
import { invitationEntity, shareEntity, type InvitationRow, type ShareRow } from './peopleEntities';
import { hashOfToken, newToken } from './secrets';

export const DAY_MS = 24 * 3600 * 1000;
/** An invitation is for somebody who stands beside you, or is sent today. */
const INVITATION_MS = 3 * DAY_MS;

/** What was used, ended, or ran out is told apart to nobody. */
const LINK_OVER = new Problem(
  'not-found',
  'This link was used, ended or has run out; ask for another.',
);

/** At the workshop's own computer nobody has a name. */
export const nameNow = (): string => {
  const asker = askingNow()?.asker;
  return asker?.kind === 'person' ? asker.name : '';
};

export const shownInvitation = ({ id, role, madeBy, until }: InvitationRow): Invitation => ({
  id,
  role,
  madeBy,
  until: until.toISOString(),
});
export const shownShare = ({ id, jobId, madeBy, until }: ShareRow): Share => ({
  id,
  jobId,
  madeBy,
  until: until.toISOString(),
});

/** Makes an invitation. @returns it with its secret, told this once */
export async function invite(
  manager: EntityManager,
  { now, newId }: Pick<ServerContext, 'now' | 'newId'>,
  role: Role,
  madeBy: string,
): Promise<WithToken<Invitation>> {
  const token = newToken();
  const row: InvitationRow = {
    id: newId(),
    workshopId: workshopNow(),
    tokenHash: hashOfToken(token),
    role,
    madeBy,
    until: new Date(now().getTime() + INVITATION_MS),
    endedAt: null,
  };
  await manager.insert(invitationEntity, row);
  return { ...shownInvitation(row), token };
}

const standing = (token: string, now: Date) => ({
  tokenHash: hashOfToken(token),
  endedAt: IsNull(),
  until: MoreThan(now),
});

/** @throws Problem where the link is over */
export async function standingInvitation(
  manager: EntityManager,
  token: string,
  now: Date,
): Promise<InvitationRow> {
  const found = await manager.findOneBy(invitationEntity, standing(token, now));
  if (!found) throw LINK_OVER;
  return found;
}

/** @throws Problem where the link is over */
export async function standingShare(
  manager: EntityManager,
  token: string,
  now: Date,
): Promise<ShareRow> {
  const found = await manager.findOneBy(shareEntity, standing(token, now));
  if (!found) throw LINK_OVER;
  return found;
}
