import type { Outline } from '@nucleon/core/documents/outline';
import type { HazardCheck } from '@nucleon/core/documents/hazardCheck';
import type { Knowing, Layer, Piece, Possibility, Datum, KeepOff, PiecePhoto, ServiceBand } from '@nucleon/core/documents/piece';
import { EntitySchema } from 'typeorm';
import {
  double,
  foreignId,
  int,
  json,
  maybeDouble,
  maybeJson,
  maybeText,
  text,
  versionedColumns,
  type VersionedRow,
} from '../database/columns';

export interface PieceRow extends VersionedRow {
  jobId: string;
  position: number;
  name: string;
  form: Piece['form'];
  material: string;
  thicknessMm: number;
  outline: Outline;
  glassTreatment: NonNullable<Piece['glassTreatment']> | null;
  assembled: boolean | null;
  valueMoney: number | null;
  layers: Layer[] | null;
  checks: HazardCheck[] | null;
  thicknessReadingsMm: number[] | null;
  damage: NonNullable<Piece['damage']> | null;
  spareAvailable: boolean | null;
  yearMade: number | null;
  practice: boolean | null;
  couldBe: Possibility[] | null;
  knowing: Knowing | null;
  keepOff: KeepOff[] | null;
  services: ServiceBand[] | null;
  datum: Datum | null;
  photo: PiecePhoto | null;
}

export const pieceEntity = new EntitySchema<PieceRow>({
  name: 'piece',
  columns: {
    ...versionedColumns,
    jobId: foreignId('job_id'),
    position: int('position'),
    name: text('name', 120),
    form: text('form', 20),
    material: text('material', 80),
    thicknessMm: double('thickness_mm'),
    outline: json('outline'),
    glassTreatment: maybeText('glass_treatment', 40),
    assembled: { type: 'boolean', nullable: true },
    valueMoney: maybeDouble('value_money'),
    layers: maybeJson('layers'),
    checks: maybeJson('checks'),
    thicknessReadingsMm: maybeJson('thickness_readings_mm'),
    damage: maybeText('damage', 20),
    spareAvailable: { type: 'boolean', name: 'spare_available', nullable: true },
    yearMade: maybeDouble('year_made'),
    practice: { type: 'boolean', nullable: true },
    couldBe: maybeJson('could_be'),
    knowing: maybeJson('knowing'),
    keepOff: maybeJson('keep_off'),
    services: maybeJson('services'),
    datum: maybeJson('datum'),
    photo: maybeJson('photo'),
  },
});
