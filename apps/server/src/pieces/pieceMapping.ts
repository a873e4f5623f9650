import { pieceFields } from '@nucleon/contract/jobFileSchema';
import type { StoredPiece } from '@nucleon/contract/wire';
import type { Piece } from '@nucleon/core/job/job';
import { fieldsBeside, present } from '../database/present';
import type { Content } from '../database/putVersioned';
import { KEPT_BY_SERVER } from '../database/wireFields';
import type { PieceRow } from './pieceEntity';

const KNOWN = [
  ...KEPT_BY_SERVER,
  ...Object.keys({ ...pieceFields.required, ...pieceFields.optional }),
];

export function pieceOf(row: PieceRow): Omit<Piece, 'holes'> {
  const {
    id,
    name,
    form,
    material,
    thicknessMm,
    outline,
    glassTreatment,
    assembled,
    valueMoney,
    layers,
    checks,
  } = row;
  return {
    ...row.extra,
    ...present({
      id,
      name,
      form,
      material,
      thicknessMm,
      outline,
      glassTreatment,
      assembled,
      valueMoney,
      layers,
      checks,
    }),
  };
}

export const storedPiece = (row: PieceRow): StoredPiece => ({
  ...pieceOf(row),
  jobId: row.jobId,
  version: row.version,
  updatedAt: row.updatedAt.toISOString(),
});

export function pieceContent(
  body: Omit<Piece, 'id' | 'holes'>,
  jobId: string,
  position: number,
): Content<PieceRow> {
  return {
    jobId,
    position,
    name: body.name,
    form: body.form,
    material: body.material,
    thicknessMm: body.thicknessMm,
    outline: body.outline,
    glassTreatment: body.glassTreatment ?? null,
    assembled: body.assembled ?? null,
    valueMoney: body.valueMoney ?? null,
    layers: body.layers ? [...body.layers] : null,
    checks: body.checks ? [...body.checks] : null,
    extra: fieldsBeside(body, KNOWN),
  };
}
