import type { Machine } from '../../documents/kit';
import { MACHINE_KINDS } from '../../data/machines/machineKinds';

/** A stretch of speeds the machine can hold, with the torque that stalls it there. */
export interface SpeedSetting {
  readonly minRpm: number;
  readonly maxRpm: number;
  readonly stallTorqueNm: number;
}

/** All speeds of a machine as stretches, slowest first; a belt step is a stretch of no width. */
export function speedSettings(
  machine: Pick<Machine, 'kind' | 'speeds' | 'stallTorqueNm'>,
): readonly SpeedSetting[] {
  const kind = MACHINE_KINDS[machine.kind];
  const speeds = machine.speeds ?? kind.speeds;
  const stallTorqueNm = machine.stallTorqueNm ?? kind.stallTorqueNm;
  const settings: SpeedSetting[] =
    speeds.kind === 'range'
      ? [{ minRpm: speeds.minRpm, maxRpm: speeds.maxRpm, stallTorqueNm }]
      : speeds.kind === 'steps'
        ? speeds.rpm.map((rpm) => ({ minRpm: rpm, maxRpm: rpm, stallTorqueNm }))
        : speeds.gears.map((gear) => ({
            minRpm: gear.minRpm,
            maxRpm: gear.maxRpm,
            stallTorqueNm: gear.stallTorqueNm ?? stallTorqueNm,
          }));
  return settings.sort((a, b) => a.maxRpm - b.maxRpm);
}
