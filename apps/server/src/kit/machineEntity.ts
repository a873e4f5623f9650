import type { Machine } from '@nucleon/core/documents/kit';
import type { MachineSpeeds } from '@nucleon/core/documents/machineSpeeds';
import { EntitySchema } from 'typeorm';
import {
  foreignId,
  maybeDouble,
  maybeJson,
  maybeText,
  maybeYesNo,
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
  holders: NonNullable<Machine['holders']> | null;
  /** Travel, room under the chuck, throat, lever and pinion. */
  room: MachineRoom | null;
  waterRated: boolean | null;
  spindleWater: boolean | null;
  retired: boolean | null;
}

export const ROOM_FIELDS = [
  'travelMm',
  'chuckToTableMm',
  'throatMm',
  'leverArmMm',
  'pinionRadiusMm',
] as const satisfies readonly (keyof Machine)[];
export type MachineRoom = Pick<Machine, (typeof ROOM_FIELDS)[number]>;

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
    holders: maybeJson('holders'),
    room: maybeJson('room'),
    waterRated: maybeYesNo('water_rated'),
    spindleWater: maybeYesNo('spindle_water'),
    retired: maybeYesNo('retired'),
  },
});
