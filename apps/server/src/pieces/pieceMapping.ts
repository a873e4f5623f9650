import { pieceFields } from '@nucleon/contract/jobFileSchema';
import type { StoredPiece } from '@nucleon/contract/wire';
import type { Piece } from '@nucleon/core/documents/piece';
import { fieldsBeside, present } from '../database/present';
import type { Content } from '../database/putVersioned';
import { KEPT_BY_SERVER } from '../database/wireFields';
import type { PieceRow } from './pieceEntity';

const KNOWN = [
  ...KEPT_BY_SERVER,
  ...Object.keys({ ...pieceFields.required, ...pieceFields.optional }),
];

/** Fields that are stored as they come, each in its own column. */
const PLAIN = [
  'name',
  'form',
  'material',
  'thicknessMm',
  'outline',
  'glassTreatment',
  'assembled',
  'valueMoney',
  'layers',
  'checks',
  'thicknessReadingsMm',
  'damage',
  'spareAvailable',
  'yearMade',
  'practice',
  'couldBe',
  'knowing',
  'keepOff',
  'services',
  'datum',
  'photo',
] as const satisfies readonly (keyof PieceRow & keyof Piece)[];

export function pieceOf(row: PieceRow): Piece {
  const fields = Object.fromEntries(PLAIN.map((name) => [name, row[name]]));
  return { ...row.extra, ...present({ id: row.id, ...fields }) } as Piece;
}

export const storedPiece = (row: PieceRow): StoredPiece => ({
  ...pieceOf(row),
  jobId: row.jobId,
  version: row.version,
  updatedAt: row.updatedAt.toISOString(),
});

export function pieceContent(
  body: Omit<Piece, 'id'>,
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
    thicknessReadingsMm: body.thicknessReadingsMm ? [...body.thicknessReadingsMm] : null,
    damage: body.damage ?? null,
    spareAvailable: body.spareAvailable ?? null,
    yearMade: body.yearMade ?? null,
    practice: body.practice ?? null,
    couldBe: body.couldBe ? [...body.couldBe] : null,
    knowing: body.knowing ?? null,
    keepOff: body.keepOff ? [...body.keepOff] : null,
    services: body.services ? [...body.services] : null,
    datum: body.datum ?? null,
    photo: body.photo ?? null,
    extra: fieldsBeside(body, KNOWN),
  };
}
