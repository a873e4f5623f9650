import type { Reason, ReasonInput } from '../plan';
import type { PlanContext } from '../planContext';
import { formatDecimals } from '../../units/roundNumber';

/** One input of a working, as shown. */
export const input = (name: string, value: string): ReasonInput => ({ name, value });
export const percent = (share: number): string => `${formatDecimals(share * 100, 0)} %`;

/** Puts one figure's reason in words; null where the figure does not arise. */
export type Explain = (context: PlanContext) => Reason | null;
