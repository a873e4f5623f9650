import { houseFields, putSchema } from '@nucleon/contract/jobFileSchema';
import { validator } from '@nucleon/contract/validator';
import type { House } from '@nucleon/core/documents/house';
import { Router } from 'express';
import { lockKit } from '../database/locks';
import { fieldsBeside } from '../database/present';
import { putVersioned } from '../database/putVersioned';
import { transact } from '../database/transact';
import { KEPT_BY_SERVER } from '../database/wireFields';
import { THE_WORKSHOP_ID } from '../database/workshop';
import { checkedBody } from '../http/body';
import type { ServerContext } from '../serverContext';
import { forgetAllPlans } from '../plans/storePlans';
import { houseEntity } from './houseEntity';
import { loadHouse, storedHouse } from './loadHouse';

const KNOWN = [...KEPT_BY_SERVER, ...Object.keys(houseFields.optional)];
const checkHouseBody = validator<House & { readonly version: number }>(
  putSchema(houseFields, 'house'),
);

export function houseRoutes({ source, now }: ServerContext): Router {
  const router = Router();
  router.get('/house', async (_request, response) => {
    response.json(await loadHouse(source.manager));
  });
  router.put('/house', async (request, response) => {
    const body = checkedBody(request, checkHouseBody);
    const row = await transact(source, async (manager) => {
      await lockKit(manager, 'write');
      const written = await putVersioned(
        manager,
        houseEntity,
        {
          id: THE_WORKSHOP_ID,
          version: body.version,
          content: {
            workshopId: THE_WORKSHOP_ID,
            edge: body.edge ?? null,
            school: body.school ?? null,
            habits: body.habits ? { ...body.habits } : null,
            hourMoney: body.hourMoney ?? null,
            extra: fieldsBeside(body, KNOWN),
          },
          now: now(),
        },
        storedHouse,
      );
      // A habit settles what holes leave open: any of their plans may be another now.
      if (written.changed) await forgetAllPlans(manager);
      return written.row;
    });
    response.json(storedHouse(row));
  });
  return router;
}
