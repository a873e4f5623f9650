import type { HazardCheck } from '@nucleon/core/documents/hazardCheck';
import type { Material } from '@nucleon/core/documents/material';
import { EntitySchema } from 'typeorm';
import {
  foreignId,
  json,
  maybeJson,
  maybeText,
  text,
  versionedColumns,
  type VersionedRow,
} from '../database/columns';

export interface JobRow extends VersionedRow {
  workshopId: string;
  name: string;
  notes: string | null;
  checks: HazardCheck[] | null;
  customMaterials: Material[] | null;
  /** Rest of the job file: log, own supports and guides, fields this version does not know. */
  fileExtra: Record<string, unknown>;
}

export const jobEntity = new EntitySchema<JobRow>({
  name: 'job',
  columns: {
    ...versionedColumns,
    workshopId: foreignId('workshop_id'),
    name: text('name', 120),
    notes: maybeText('notes', 10_000),
    checks: maybeJson('checks'),
    customMaterials: maybeJson('custom_materials'),
    fileExtra: json('file_extra'),
  },
});
