import { jobFields } from '@nucleon/contract/jobFileSchema';
import type { JobWithMaterials, StoredJob } from '@nucleon/contract/wire';
import type { JobHeader } from '@nucleon/core/documents/job';
import { fieldsBeside, present } from '../database/present';
import { KEPT_BY_SERVER } from '../database/wireFields';
import { THE_WORKSHOP_ID } from '../database/workshop';
import type { Content } from '../database/putVersioned';
import type { JobRow } from './jobEntity';

const KNOWN = [
  ...KEPT_BY_SERVER,
  ...Object.keys({ ...jobFields.required, ...jobFields.optional }),
  'customMaterials',
  'pieces',
];

export function jobHeader(row: JobRow): JobHeader {
  return {
    ...row.extra,
    ...present({ id: row.id, name: row.name, notes: row.notes, checks: row.checks }),
  };
}

export const storedJob = (row: JobRow): StoredJob => ({
  ...jobHeader(row),
  version: row.version,
  updatedAt: row.updatedAt.toISOString(),
});

export const jobWithMaterials = (row: JobRow): JobWithMaterials => ({
  ...storedJob(row),
  customMaterials: row.customMaterials ?? [],
});

type JobBody = Omit<JobHeader, 'id'>;

/** A PUT of the header leaves the rest of the file as it stands. */
export function jobContent(
  body: JobBody,
  standing: Pick<JobRow, 'customMaterials' | 'fileExtra'> | null,
): Content<JobRow> {
  return {
    workshopId: THE_WORKSHOP_ID,
    name: body.name,
    notes: body.notes ?? null,
    checks: body.checks ? [...body.checks] : null,
    customMaterials: standing?.customMaterials ?? null,
    fileExtra: standing?.fileExtra ?? {},
    extra: fieldsBeside(body, KNOWN),
  };
}
