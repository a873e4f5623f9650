import type { PlanHeadline } from '@nucleon/contract/wire';
import type { Plan } from '@nucleon/core/plan/plan';
import type { Risk } from '@nucleon/core/risk/assessRisk';
import { EntitySchema } from 'typeorm';
import { idColumn, int, json, maybeJson, text } from '../database/columns';

/** The plan as it was made, with what made it; absent until computed or after a kit change. */
export interface HolePlanRow {
  holeId: string;
  plan: Plan;
  /** Worked out when it is first asked for. */
  risk: Risk | null;
  headline: Omit<PlanHeadline, 'current'>;
  stopCount: number;
  modelVersion: string;
  dataVersion: string;
  computedAt: Date;
}

export const holePlanEntity = new EntitySchema<HolePlanRow>({
  name: 'hole_plan',
  columns: {
    holeId: { ...idColumn, name: 'hole_id' },
    plan: json('plan'),
    risk: maybeJson('risk'),
    headline: json('headline'),
    stopCount: int('stop_count'),
    modelVersion: text('model_version', 20),
    dataVersion: text('data_version', 20),
    computedAt: { type: 'datetime', precision: 3, name: 'computed_at' },
  },
});
