import { putHouse } from '@nucleon/contract/bodies';
import { validator } from '@nucleon/contract/validator';
import { Router } from 'express';
import { lockKit, noteKitChange } from '../database/locks';
import { transact } from '../database/transact';
import { workshopNow } from '../database/workshop';
import { findOne, put } from '../documents/repository';
import { documentOf, SHOWN } from '../documents/shown';
import { checkedBody } from '../http/body';
import { forAsker } from '../people/forAsker';
import type { ServerContext } from '../serverContext';

const checkHouseBody = validator(putHouse);

/** The workshop's habits; none yet reads as version 0. */
export function houseRoutes({ source, now }: ServerContext): Router {
  const router = Router();
  router.get('/house', async (_request, response) => {
    const row = await findOne(source.manager, 'house', { id: workshopNow() });
    response.json(row ? forAsker(SHOWN.house(row)) : { version: 0 });
  });
  router.put('/house', async (request, response) => {
    const { version, ...body } = checkedBody(request, checkHouseBody);
    const { row } = await transact(source, async (manager) => {
      await lockKit(manager);
      const id = workshopNow();
      const document = documentOf('house', body);
      const written = await put(manager, 'house', { id, parentId: id, version, document }, now());
      // A habit settles what holes leave open: any of their plans may be another now.
      if (written.changed) await noteKitChange(manager);
      return written;
    });
    response.json(SHOWN.house(row));
  });
  return router;
}
