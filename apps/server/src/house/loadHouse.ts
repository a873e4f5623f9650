import type { StoredHouse } from '@nucleon/contract/wire';
import type { House } from '@nucleon/core/documents/house';
import type { EntityManager } from 'typeorm';
import { present } from '../database/present';
import { THE_WORKSHOP_ID } from '../database/workshop';
import { houseEntity, type HouseRow } from './houseEntity';

const houseOf = (row: HouseRow): House => ({
  ...row.extra,
  ...present({
    edge: row.edge,
    school: row.school,
    habits: row.habits,
    hourMoney: row.hourMoney,
  }),
});
export const storedHouse = (row: HouseRow): StoredHouse => ({
  ...houseOf(row),
  version: row.version,
});

/** The workshop's habits; none yet reads as version 0. */
export async function loadHouse(manager: EntityManager): Promise<StoredHouse> {
  const row = await manager.findOneBy(houseEntity, { id: THE_WORKSHOP_ID });
  return row ? storedHouse(row) : { version: 0 };
}
