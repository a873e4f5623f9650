import type { HazardCheck } from '@nucleon/core/documents/hazardCheck';
import type { Hole, HoleDepth, HoleMark } from '@nucleon/core/documents/hole';
import type { Setup } from '@nucleon/core/documents/setup';
import { EntitySchema } from 'typeorm';
import {
  double,
  foreignId,
  int,
  json,
  maybeJson,
  maybeText,
  versionedColumns,
  type VersionedRow,
} from '../database/columns';

export interface HoleRow extends VersionedRow {
  pieceId: string;
  position: number;
  label: string | null;
  xMm: number;
  yMm: number;
  face: NonNullable<Hole['face']> | null;
  diameterMm: number;
  depth: HoleDepth;
  fall: NonNullable<Hole['fall']> | null;
  purpose: NonNullable<Hole['purpose']> | null;
  checks: HazardCheck[] | null;
  mark: HoleMark | null;
  /** Bits and machines by their stored ids. */
  setup: Setup | null;
}

export const holeEntity = new EntitySchema<HoleRow>({
  name: 'hole',
  columns: {
    ...versionedColumns,
    pieceId: foreignId('piece_id'),
    position: int('position'),
    label: maybeText('label', 120),
    xMm: double('x_mm'),
    yMm: double('y_mm'),
    face: maybeText('face', 10),
    diameterMm: double('diameter_mm'),
    depth: json('depth'),
    fall: maybeJson('fall'),
    purpose: maybeJson('purpose'),
    checks: maybeJson('checks'),
    mark: maybeJson('mark'),
    setup: maybeJson('setup'),
  },
});
