import { postShare, postShareOpened, type Share, type WithToken } from '@nucleon/contract/people';
import { validator } from '@nucleon/contract/validator';
import { Router } from 'express';
import { IsNull, MoreThan } from 'typeorm';
import { transact } from '../database/transact';
import { workshopNow } from '../database/workshop';
import { aliveJob } from '../documents/loadJob';
import { checkedBody, idParam } from '../http/body';
import type { ServerContext } from '../serverContext';
import { askingNow } from './asking';
import { writeDown } from './audit';
import { addDevice } from './devices';
import { DAY_MS, nameNow, shownShare, standingShare } from './links';
import { shareEntity, type ShareRow } from './peopleEntities';
import { hashOfToken, newToken } from './secrets';
import { giveSession } from './sessionCookie';

const checkShare = validator(postShare);
const checkShareOpened = validator(postShareOpened);
const inWorkshop = () => ({ workshopId: workshopNow() });

/** Links that show one job: made, ended, opened. */
export function shareRoutes(context: ServerContext): Router {
  const { source, now, newId } = context;
  const router = Router();

  router.get('/jobs/:jobId/shares', async (request, response) => {
    const jobId = idParam(request, 'jobId');
    const rows = await source.manager.find(shareEntity, {
      where: { ...inWorkshop(), jobId, endedAt: IsNull(), until: MoreThan(now()) },
      order: { until: 'ASC' },
    });
    response.json({ items: rows.map(shownShare) });
  });

  router.post('/jobs/:jobId/shares', async (request, response) => {
    const jobId = idParam(request, 'jobId');
    const { days } = checkedBody(request, checkShare);
    const token = newToken();
    const row: ShareRow = {
      id: newId(),
      ...inWorkshop(),
      jobId,
      tokenHash: hashOfToken(token),
      madeBy: nameNow(),
      until: new Date(now().getTime() + days * DAY_MS),
      endedAt: null,
    };
    await transact(source, async (manager) => {
      const { document } = await aliveJob(manager, jobId);
      await manager.insert(shareEntity, row);
      await writeDown(manager, 'share', document.job.name);
    });
    const answer: WithToken<Share> = { ...shownShare(row), token };
    response.status(201).json(answer);
  });

  router.delete('/shares/:id', async (request, response) => {
    const id = idParam(request, 'id');
    await transact(source, async (manager) => {
      await manager.update(shareEntity, { ...inWorkshop(), id }, { endedAt: now() });
      await writeDown(manager, 'share-ended', id);
    });
    response.status(204).end();
  });

  router.post('/shares/open', async (request, response) => {
    const { token, device } = checkedBody(request, checkShareOpened);
    const share = await standingShare(source.manager, token, now());
    // Whoever has signed in already reads it as themselves.
    if (askingNow()?.asker?.kind !== 'person' && askingNow()?.asker?.kind !== 'local') {
      const own = await transact(source, async (manager) => {
        const { id: shareId, workshopId, jobId } = share;
        await writeDown(manager, 'share-opened', jobId, { workshopId, personId: null, name: '' });
        return addDevice(manager, context, device, { workshopId, shareId });
      });
      giveSession(response, own);
    }
    response.json({ jobId: share.jobId });
  });
  return router;
}
