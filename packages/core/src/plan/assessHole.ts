import type { DrillCase } from '../job/drillCase';
import type { Fault } from '../job/fault';
import { bendLater, type Bend } from '../plate/bender';
import { assessRisk, DRAWS, SEED, type Risk } from '../risk/assessRisk';
import { METRIC } from '../units/unitSystem';
import { contextOf } from './makePlan';
import { riskModelOf } from './riskModelOf';

export type HoleRisk =
  /** `bent`: the piece’s bending is in it. */
  | { readonly kind: 'assessed'; readonly risk: Risk; readonly bent: boolean }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

/** The Monte Carlo of one hole as it is planned: the same on the phone, the server and the command line. */
export function assessHole(
  drillCase: DrillCase,
  {
    draws = DRAWS,
    seed = SEED,
    bend = bendLater,
  }: { readonly draws?: number; readonly seed?: number; readonly bend?: Bend } = {},
): HoleRisk {
  const worked = contextOf(drillCase, METRIC, bend);
  return worked.kind === 'faulty'
    ? worked
    : {
        kind: 'assessed',
        risk: assessRisk(riskModelOf(worked.context), draws, seed),
        bent: worked.context.bending.kind === 'bent',
      };
}
