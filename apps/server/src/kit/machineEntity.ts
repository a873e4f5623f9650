import type { Machine } from '@nucleon/core/job/job';
import type { MachineSpeeds } from '@nucleon/core/machines/machineSpeeds';
import { EntitySchema } from 'typeorm';
import {
  foreignId,
  maybeDouble,
  maybeJson,
  maybeText,
  text,
  versionedColumns,
  type VersionedRow,
} from '../database/columns';

export interface MachineRow extends VersionedRow {
  workshopId: string;
  name: string;
  kind: Machine['kind'];
  speeds: MachineSpeeds | null;
  stallTorqueNm: number | null;
  /** Wrapped, since null itself means “no clutch”. */
  clutch: { torqueNm: number | null } | null;
  power: NonNullable<Machine['power']> | null;
}

export const machineEntity = new EntitySchema<MachineRow>({
  name: 'machine',
  columns: {
    ...versionedColumns,
    workshopId: foreignId('workshop_id'),
    name: text('name', 120),
    kind: text('kind', 40),
    speeds: maybeJson('speeds'),
    stallTorqueNm: maybeDouble('stall_torque_nm'),
    clutch: maybeJson('clutch'),
    power: maybeText('power', 20),
  },
});
