import { LIMITS } from '../schema/limits';
import { kinds, number, object, someOf, type Document } from '../schema/schema';

const rpm = number(LIMITS.rpm);
/** A machine that does not turn is none. */
const topRpm = number({ above: 0, max: LIMITS.rpm.max, unit: 'rpm' });

const gear = object({ minRpm: rpm, maxRpm: topRpm }, { stallTorqueNm: number(LIMITS.torqueNm) });
export interface Gear extends Document<typeof gear> {}

/** What speeds a machine can hold. */
export const machineSpeedsSchema = kinds({
  range: object({ minRpm: rpm, maxRpm: topRpm }),
  steps: object({ rpm: someOf(topRpm, 50, 'speeds in rpm') }),
  gears: object({ gears: someOf(gear, 20, 'gears') }),
});
export type MachineSpeeds = Document<typeof machineSpeedsSchema>;
