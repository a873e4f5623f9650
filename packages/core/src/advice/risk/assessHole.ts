import type { DrillCase } from '../../setup/drillCase';
import type { Fault } from '../../documents/fault';
import { bendLater, type Bend } from '../../physics/plate/bender';
import { assessRisk, DRAWS, SEED, type Risk } from '../../physics/strength/assessRisk';
import { METRIC } from '../../words/units/unitSystem';
import { contextOf } from '../../plan/makePlan';
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
