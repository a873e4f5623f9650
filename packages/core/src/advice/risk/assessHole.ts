import type { DrillCase } from '../../setup/drillCase';
import type { JobFault } from '../../setup/jobFault';
import { bendLater, type Bend } from '../../physics/plate/bender';
import { assessRisk, DRAWS, SEED, type Risk } from '../../physics/strength/assessRisk';
import { contextOf } from '../../plan/contextOf';
import { riskModelOf } from './riskModelOf';

export type HoleRisk =
  /** `bent`: the piece’s bending is in it. */
  | { readonly kind: 'assessed'; readonly risk: Risk; readonly bent: boolean }
  | { readonly kind: 'faulty'; readonly faults: readonly JobFault[] };

/** The Monte Carlo of one hole as it is planned: the same on the phone, the server and the command line. */
export function assessHole(
  drillCase: DrillCase,
  {
    draws = DRAWS,
    seed = SEED,
    bend = bendLater,
  }: { readonly draws?: number; readonly seed?: number; readonly bend?: Bend } = {},
): HoleRisk {
  const worked = contextOf(drillCase, bend);
  return worked.kind === 'faulty'
    ? worked
    : {
        kind: 'assessed',
        risk: assessRisk(riskModelOf(worked.context), draws, seed),
        bent: worked.context.bending.kind === 'bent',
      };
}
