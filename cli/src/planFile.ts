import { faceMaterial } from '@nucleon/core/job/faceMaterial';
import { judgeEdges, type JudgedRule } from '@nucleon/core/layout/edgeRules';
import { assessHole } from '@nucleon/core/plan/assessHole';
import { makePlan } from '@nucleon/core/plan/makePlan';
import { MODEL_VERSION, type Plan } from '@nucleon/core/plan/plan';
import { rememberingBend } from '@nucleon/core/plate/bender';
import type { Risk } from '@nucleon/core/risk/assessRisk';
import { METRIC } from '@nucleon/core/units/unitSystem';
import type { Console } from './console';
import { loadOrSay } from './loadJobFile';
import { NUCLEON_VERSION } from './version';

/** Prints every hole's plan as JSON and returns 0; faults go to standard error, and 1. */
export async function planFile(path: string, console: Console): Promise<number> {
  const job = await loadOrSay(path, console);
  if (!job) return 1;
  const holes: (Plan & { readonly edge: readonly JudgedRule[]; readonly risk: Risk | null })[] = [];
  const bend = rememberingBend();
  for (const piece of job.pieces) {
    for (const hole of piece.holes) {
      // Hole ids are unique within a piece only.
      const file = { ...job, pieces: [piece] };
      const outcome = makePlan(file, hole.id, METRIC, bend);
      if (outcome.kind !== 'planned') continue;
      const { customMaterials, house } = job;
      const material = faceMaterial(piece, customMaterials);
      const edge = judgeEdges({ piece, material, hole, house }, piece.holes);
      const assessed = assessHole(file, hole.id, { bend });
      const risk = assessed.kind === 'assessed' ? assessed.risk : null;
      holes.push({ ...outcome.plan, risk, edge });
    }
  }
  console.out(JSON.stringify({ nucleon: NUCLEON_VERSION, model: MODEL_VERSION, holes }, null, 2));
  return 0;
}
