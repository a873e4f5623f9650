import type { KitPartSort } from '@nucleon/core/documents/kit';
import { EntitySchema } from 'typeorm';
import { foreignId, json, text, versionedColumns, type VersionedRow } from '../database/columns';

/** A coupling, support, guide or way of wetting that is owned: few of each, read all together. */
export interface KitPartRow extends VersionedRow {
  workshopId: string;
  sort: KitPartSort;
  name: string;
  /** Its own fields, as the job file has them, but for id and name. */
  content: Record<string, unknown>;
}

export const kitPartEntity = new EntitySchema<KitPartRow>({
  name: 'kit_part',
  columns: {
    ...versionedColumns,
    workshopId: foreignId('workshop_id'),
    sort: text('sort', 20),
    name: text('name', 120),
    content: json('content'),
  },
});
