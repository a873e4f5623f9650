import { capitalised } from '../sentence';
import { formatPressure } from '../units/formatQuantity';
import { formatLengthShort } from '../units/length';
import { formatDecimals } from '../units/roundNumber';
import type { UnitSystem } from '../../data/unitSystem';
import type { PlanContext } from '../../plan/planContext';
import { bendingText } from './bendingWords';
import { sinksInWords } from './sinkingWords';

/** How far the stress is from its limit, what makes most of it, and how far the piece sinks. */
export function stressText(
  { bending, crack, thermalStressMpa }: PlanContext,
  units: UnitSystem,
): string {
  if (bending.kind !== 'bent') return capitalised(bendingText(bending));
  const limitMpa = crack.limitMpa;
  const share = crack.stressMpa / limitMpa;
  const max =
    bending.stressMpa > thermalStressMpa
      ? bending.atRestMpa > bending.stressMpa / 2
        ? 'most of it from how the piece lies, before you press'
        : 'most of it from bending'
      : 'most of it from heat';
  const where = `${bending.face === 'far' ? 'on the far face' : 'on the near face'}, at ${formatLengthShort(bending.at.xMm, units)} × ${formatLengthShort(bending.at.yMm, units)}`;
  const lift =
    bending.liftOffFraction >= 0.005
      ? `, and ${formatDecimals(bending.liftOffFraction * 100, 0)} % of its bed loses touch`
      : '';
  const verdict =
    share > 1
      ? `over the allowable stress of ${formatPressure(limitMpa, units)}`
      : `${formatDecimals(share * 100, 0)} % of the allowable stress of ${formatPressure(limitMpa, units)}`;
  return `${formatPressure(crack.stressMpa, units)} altogether, ${verdict}, ${max}. Bending is greatest ${where}. It ${sinksInWords(bending.deflectionMm, units)}${lift}.`;
}
