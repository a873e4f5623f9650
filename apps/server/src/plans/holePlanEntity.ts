import type { PlanHeadline } from '@nucleon/contract/wire';
import type { Plan } from '@nucleon/core/documents/plan';
import type { Risk } from '@nucleon/core/physics/strength/assessRisk';
import { EntitySchema } from 'typeorm';
import { idColumn, int, json, maybeJson, text } from '../database/columns';

/** The plan as it was made; absent until it is first asked for. */
export interface HolePlanRow {
  readonly holeId: string;
  /** The versions of all it was made from: where one differs it is stale. */
  readonly madeFrom: string;
  readonly plan: Plan;
  /** Worked out when it is first asked for. */
  readonly risk: Risk | null;
  readonly headline: PlanHeadline;
  readonly stopCount: number;
}

export const holePlanEntity = new EntitySchema<HolePlanRow>({
  name: 'hole_plan',
  columns: {
    holeId: { ...idColumn, name: 'hole_id' },
    madeFrom: text('made_from', 160),
    plan: json('plan'),
    risk: maybeJson('risk'),
    headline: json('headline'),
    stopCount: int('stop_count'),
  },
});
