import type { AuditEntry } from '@nucleon/contract/people';
import type { Page } from '@nucleon/contract/wire';
import { Router } from 'express';
import { workshopNow } from '../database/workshop';
import { pageQuery } from '../http/paging';
import type { ServerContext } from '../serverContext';
import { auditEntity } from './peopleEntities';
import { namesOf } from './subjectNames';

/** What was done, by whom, when and from where; no route changes it. */
export function auditRoutes({ source }: ServerContext): Router {
  const router = Router();
  router.get('/audit', async (request, response) => {
    const { page, pageSize } = pageQuery(request.query);
    const [rows, total] = await source.manager.findAndCount(auditEntity, {
      where: { workshopId: workshopNow() },
      order: { seq: 'DESC' },
      skip: (page - 1) * pageSize,
      take: pageSize,
    });
    const names = await namesOf(
      source.manager,
      rows.map(({ subject }) => subject),
    );
    const answer: Page<AuditEntry> = {
      items: rows.map(({ seq, at, personName, address, act, subject }) => ({
        seq: Number(seq),
        at: at.toISOString(),
        personName,
        address,
        act,
        subject: names.get(subject) ?? subject,
      })),
      page,
      pageSize,
      total,
    };
    response.json(answer);
  });
  return router;
}
