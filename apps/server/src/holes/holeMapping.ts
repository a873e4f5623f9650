import { holeFields } from '@nucleon/contract/jobFileSchema';
import type { StoredHole } from '@nucleon/contract/wire';
import type { Hole } from '@nucleon/core/documents/hole';
import { fieldsBeside, present } from '../database/present';
import type { Content } from '../database/putVersioned';
import { KEPT_BY_SERVER } from '../database/wireFields';
import type { HoleRow } from './holeEntity';

const KNOWN = [
  ...KEPT_BY_SERVER,
  ...Object.keys({ ...holeFields.required, ...holeFields.optional }),
];

export function holeOf(row: HoleRow): Hole {
  const { id, label, xMm, yMm, face, diameterMm, depth, fall, purpose, checks, mark, setup } = row;
  return {
    ...row.extra,
    ...present({
      id,
      label,
      xMm,
      yMm,
      face,
      diameterMm,
      depth,
      fall,
      purpose,
      checks,
      mark,
      setup,
    }),
  };
}

export const storedHole = (row: HoleRow): StoredHole => ({
  ...holeOf(row),
  pieceId: row.pieceId,
  version: row.version,
  updatedAt: row.updatedAt.toISOString(),
});

export function holeContent(
  body: Omit<Hole, 'id'>,
  pieceId: string,
  position: number,
): Content<HoleRow> {
  return {
    pieceId,
    position,
    label: body.label ?? null,
    xMm: body.xMm,
    yMm: body.yMm,
    face: body.face ?? null,
    diameterMm: body.diameterMm,
    depth: body.depth,
    fall: body.fall ?? null,
    purpose: body.purpose ?? null,
    checks: body.checks ? [...body.checks] : null,
    mark: body.mark ?? null,
    setup: body.setup ?? null,
    extra: fieldsBeside(body, KNOWN),
  };
}
