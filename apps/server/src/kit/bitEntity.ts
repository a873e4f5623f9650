import type { Bit } from '@nucleon/core/documents/kit';
import { EntitySchema } from 'typeorm';
import {
  double,
  foreignId,
  maybeDouble,
  maybeJson,
  maybeText,
  maybeYesNo,
  text,
  versionedColumns,
  type VersionedRow,
} from '../database/columns';

export interface BitRow extends VersionedRow {
  workshopId: string;
  name: string;
  family: Bit['family'];
  diameterMm: number;
  rimWidthMm: number | null;
  coverage: number | null;
  usableDepthMm: number | null;
  sharpness: number | null;
  runOutMm: number | null;
  depthCutMm: number | null;
  holesCut: number | null;
  price: number | null;
  maxRpm: number | null;
  supplier: string | null;
  batch: string | null;
  state: NonNullable<Bit['state']> | null;
  slotted: boolean | null;
  barrelDiameterMm: number | null;
  shank: NonNullable<Bit['shank']> | null;
  sharpnessLog: NonNullable<Bit['sharpnessLog']> | null;
  retired: boolean | null;
}

export const bitEntity = new EntitySchema<BitRow>({
  name: 'bit',
  columns: {
    ...versionedColumns,
    workshopId: foreignId('workshop_id'),
    name: text('name', 120),
    family: text('family', 40),
    diameterMm: double('diameter_mm'),
    rimWidthMm: maybeDouble('rim_width_mm'),
    coverage: maybeDouble('coverage'),
    usableDepthMm: maybeDouble('usable_depth_mm'),
    sharpness: maybeDouble('sharpness'),
    runOutMm: maybeDouble('run_out_mm'),
    depthCutMm: maybeDouble('depth_cut_mm'),
    holesCut: maybeDouble('holes_cut'),
    price: maybeDouble('price'),
    maxRpm: maybeDouble('max_rpm'),
    supplier: maybeText('supplier', 120),
    batch: maybeText('batch', 120),
    state: maybeText('state', 20),
    slotted: maybeYesNo('slotted'),
    barrelDiameterMm: maybeDouble('barrel_diameter_mm'),
    shank: maybeJson('shank'),
    sharpnessLog: maybeJson('sharpness_log'),
    retired: maybeYesNo('retired'),
  },
});
