import { faceMaterial } from '@nucleon/core/layout/faceMaterial';
import { casesOf } from '@nucleon/core/setup/drillCase';
import { judgeEdges, type JudgedRule } from '@nucleon/core/layout/edgeRules';
import { assessHole } from '@nucleon/core/advice/risk/assessHole';
import { makePlan } from '@nucleon/core/words/plan/makePlan';
import { MODEL_VERSION, type Plan } from '@nucleon/core/documents/plan';
import { rememberingBend } from '@nucleon/core/physics/plate/bender';
import type { Risk } from '@nucleon/core/physics/strength/assessRisk';
import { METRIC } from '@nucleon/core/data/unitSystem';
import type { Console } from './console';
import { loadOrSay } from './loadJobFile';
import { NUCLEON_VERSION } from './version';

/** Prints every hole's plan as JSON and returns 0; faults go to standard error, and 1. */
export async function planFile(path: string, console: Console): Promise<number> {
  const job = await loadOrSay(path, console);
  if (!job) return 1;
  const holes: (Plan & { readonly edge: readonly JudgedRule[]; readonly risk: Risk | null })[] = [];
  const bend = rememberingBend();
  const cases = casesOf(job);
  for (const drillCase of cases) {
    const { piece, hole, materials, habits } = drillCase;
    const outcome = makePlan(drillCase, METRIC, bend);
    if (outcome.kind !== 'planned') continue;
    const others = cases.filter((one) => one.piece.id === piece.id).map((one) => one.hole);
    const material = faceMaterial(piece, materials);
    const edge = judgeEdges({ piece, material, hole, house: habits }, others);
    const assessed = assessHole(drillCase, { bend });
    const risk = assessed.kind === 'assessed' ? assessed.risk : null;
    holes.push({ ...outcome.plan, risk, edge });
  }
  console.out(JSON.stringify({ nucleon: NUCLEON_VERSION, model: MODEL_VERSION, holes }, null, 2));
  return 0;
}
