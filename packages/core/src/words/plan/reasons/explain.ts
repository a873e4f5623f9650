import type { Reason } from '../../../documents/reason';
import type { PlanInUnits } from '../planInUnits';
import { formatDecimals } from '../../units/roundNumber';

export const percent = (share: number): string => `${formatDecimals(share * 100, 0)} %`;

/** Puts one figure's reason in words; null where the figure does not arise. */
export type Explain = (context: PlanInUnits) => Reason | null;
