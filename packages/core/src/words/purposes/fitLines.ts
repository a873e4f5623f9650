import { input, type ReasonInput } from '../../documents/reason';
import { formatLength } from '../units/length';
import type { UnitSystem } from '../../data/unitSystem';
import type { Fit } from '../../documents/fit';

/** What a fit asks beside its diameter, a line each. */
export function fitLines(fit: Fit, units: UnitSystem): readonly ReasonInput[] {
  const { depth, fall, coverMm, toleranceMm, results } = fit;
  return [
    input(
      'Depth',
      depth.kind === 'through'
        ? 'through'
        : `${formatLength(depth.depthMm, units)}${depth.kind === 'ring' ? ', core left standing' : ''}`,
    ),
    ...(fall ? [input('Fall', `one in ${fall.oneIn}, lower at the ${fall.lowSide} face`)] : []),
    input(
      'Chips hidden',
      coverMm === null ? 'none: the edge shows' : `up to ${formatLength(coverMm, units)}`,
    ),
    ...(toleranceMm === null
      ? []
      : [input('May sit off its mark by', formatLength(toleranceMm, units))]),
    ...results.map(({ label, text }) => input(label, text)),
  ];
}
