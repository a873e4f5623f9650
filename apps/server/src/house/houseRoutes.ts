import { houseFields, putSchema } from '@nucleon/contract/jobFileSchema';
import { validator } from '@nucleon/contract/validator';
import type { StoredHouse } from '@nucleon/contract/wire';
import type { House } from '@nucleon/core/job/place';
import { Router } from 'express';
import type { EntityManager } from 'typeorm';
import { fieldsBeside, present } from '../database/present';
import { putVersioned } from '../database/putVersioned';
import { transact } from '../database/transact';
import { KEPT_BY_SERVER } from '../database/wireFields';
import { THE_WORKSHOP_ID } from '../database/workshop';
import { checkedBody } from '../http/body';
import type { ServerContext } from '../serverContext';
import { houseEntity, type HouseRow } from './houseEntity';

const KNOWN = [...KEPT_BY_SERVER, ...Object.keys(houseFields.optional)];
const checkHouseBody = validator<House & { readonly version: number }>(
  putSchema(houseFields, 'house'),
);

const houseOf = (row: HouseRow): House => ({
  ...row.extra,
  ...present({ edge: row.edge, school: row.school }),
});
const storedHouse = (row: HouseRow): StoredHouse => ({ ...houseOf(row), version: row.version });

/** The workshop's habits; none yet reads as version 0. */
export async function loadHouse(manager: EntityManager): Promise<StoredHouse> {
  const row = await manager.findOneBy(houseEntity, { id: THE_WORKSHOP_ID });
  return row ? storedHouse(row) : { version: 0 };
}

export function houseRoutes({ source, now }: ServerContext): Router {
  const router = Router();
  router.get('/house', async (_request, response) => {
    response.json(await loadHouse(source.manager));
  });
  router.put('/house', async (request, response) => {
    const body = checkedBody(request, checkHouseBody);
    const { row } = await transact(source, (manager) =>
      putVersioned(
        manager,
        houseEntity,
        {
          id: THE_WORKSHOP_ID,
          version: body.version,
          content: {
            workshopId: THE_WORKSHOP_ID,
            edge: body.edge ?? null,
            school: body.school ?? null,
            extra: fieldsBeside(body, KNOWN),
          },
          now: now(),
        },
        storedHouse,
      ),
    );
    response.json(storedHouse(row));
  });
  return router;
}
