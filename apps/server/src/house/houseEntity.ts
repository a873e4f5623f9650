import type { House } from '@nucleon/core/documents/house';
import { EntitySchema } from 'typeorm';
import {
  foreignId,
  maybeDouble,
  maybeJson,
  maybeText,
  versionedColumns,
  type VersionedRow,
} from '../database/columns';

/** A workshop's own habits: one row, made when the first is settled. */
export interface HouseRow extends VersionedRow {
  workshopId: string;
  edge: NonNullable<House['edge']> | null;
  school: string | null;
  habits: Record<string, string> | null;
  hourMoney: number | null;
}

export const houseEntity = new EntitySchema<HouseRow>({
  name: 'house',
  columns: {
    ...versionedColumns,
    workshopId: foreignId('workshop_id'),
    edge: maybeJson('edge'),
    school: maybeText('school', 60),
    habits: maybeJson('habits'),
    hourMoney: maybeDouble('hour_money'),
  },
});
