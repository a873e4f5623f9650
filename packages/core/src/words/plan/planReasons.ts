import type { Reason } from '../../documents/reason';
import type { PlanInUnits } from './planInUnits';
import type { Explain } from './reasons/explain';
import { rpm, feedForce, rate, torque, power, rimSpeed, pressure } from './reasons/cuttingReasons';
import { time, lifts, passes } from './reasons/timeReasons';
import { tempRise, thermal } from './reasons/heatReasons';
import { bendingStress, deflection, liftOff } from './reasons/bendingReasons';
import { exitChip, exitForce } from './reasons/exitReasons';
import { crack } from './reasons/crackReasons';
import { water } from './reasons/waterReasons';
import { bit, choice } from './reasons/choiceReasons';

const EXPLAIN = {
  rpm,
  feedForceN: feedForce,
  rateMmPerS: rate,
  drillTimeS: time,
  lifts,
  torqueNm: torque,
  powerW: power,
  tempRiseK: tempRise,
  thermalStressMpa: thermal,
  bendingStressMpa: bendingStress,
  maxDeflectionMm: deflection,
  liftOffFraction: liftOff,
  exitChipMm: exitChip,
  exitForceN: exitForce,
  passes,
  crackProbability: crack,
  water,
  rimSpeedMPerS: rimSpeed,
  contactPressureMpa: pressure,
  bit,
  machine: choice(
    'machine',
    ({ setup }) => setup.machine.name,
    'the machine that comes nearest to the wanted speed.',
  ),
  support: choice(
    'support',
    ({ setup }) => setup.support.name,
    'usual behind a piece of this form.',
  ),
  hold: choice('hold', ({ setup }) => setup.hold, 'how this machine is usually steered.'),
  start: choice('start', ({ setup }) => setup.start, 'suits this hold.'),
  pace: choice('pace', ({ setup }) => setup.pace, 'steady.'),
  sides: choice('sides', ({ setup }) => setup.sides, 'from one face.'),
} as const satisfies Record<string, Explain>;

export type ReasonKey = keyof typeof EXPLAIN;

export function planReasons(context: PlanInUnits): Partial<Record<ReasonKey, Reason>> {
  const reasons: Partial<Record<ReasonKey, Reason>> = {};
  for (const [key, explain] of Object.entries(EXPLAIN) as [ReasonKey, Explain][]) {
    const reason = explain(context);
    if (reason) reasons[key] = reason;
  }
  return reasons;
}
