import {
  formatDuration,
  formatDurationSpan,
  formatForce,
  formatRpm,
} from '../units/formatQuantity';
import { formatLength } from '../units/length';
import type { UnitSystem } from '../../data/unitSystem';
import type { Plan } from '../../documents/plan';

/** The plan as plain lines to copy, send or pin over the bench. */
export function planText(plan: Plan, title: string, units: UnitSystem): string {
  const time = plan.drillTimeS;
  return [
    title,
    '',
    ...plan.gates.map((gate) => `${gate.level.toUpperCase()}: ${gate.message}`),
    `Bit: ${plan.setup.bitName}, ${formatLength(plan.setup.bitDiameterMm, units)}`,
    `Speed: ${formatRpm(plan.rpm)} on ${plan.setup.machineName}`,
    `Press with: ${formatForce(plan.feedForceN, units)}${plan.exitForceN === null ? '' : `, ease off to ${formatForce(plan.exitForceN, units)}`}`,
    time
      ? `Time: about ${formatDuration(time.p50)} (${formatDurationSpan(time.p10, time.p90)})`
      : 'Time: it does not cut at this pressure',
    '',
    ...plan.steps.map((step, index) => `${index + 1}. ${step.title}. ${step.detail}`),
    ...plan.settledGates.map(
      (gate) =>
        `Settled: ${gate.title} ${gate.answers.find((one) => one.code === gate.settledBy?.answer)?.label ?? ''}${gate.settledBy?.note ? ` (${gate.settledBy.note})` : ''}, ${gate.settledBy?.at.slice(0, 10) ?? ''}`,
    ),
    ...plan.warnings.map((warning) => `! ${warning.message}`),
    '',
    `Computed with model ${plan.modelVersion}, data ${plan.dataVersion}: an estimate. Check your local rules.`,
  ].join('\n');
}
