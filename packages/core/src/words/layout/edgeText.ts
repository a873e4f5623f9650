import type { UnitSystem } from '../../data/unitSystem';
import type { JudgedRule } from '../../layout/edgeRules';
import { formatLengthShort } from '../units/length';

/** What is here and what a rule wants, in a line. */
export const edgeText = (
  { actualMm, requiredMm }: Pick<JudgedRule, 'actualMm' | 'requiredMm'>,
  units: UnitSystem,
): string =>
  `${formatLengthShort(actualMm, units)} here, ${formatLengthShort(requiredMm, units)} wanted.`;
