import { faceMaterial } from '@nucleon/core/job/faceMaterial';
import { judgeEdges, type JudgedRule } from '@nucleon/core/layout/edgeRules';
import { assessHole } from '@nucleon/core/plan/assessHole';
import { makePlan } from '@nucleon/core/plan/makePlan';
import { MODEL_VERSION, type Plan } from '@nucleon/core/plan/plan';
import type { Risk } from '@nucleon/core/risk/assessRisk';
import type { Console } from './console';
import { faultLine } from './faultLine';
import { loadJobFile } from './loadJobFile';
import { NUCLEON_VERSION } from './version';

/** Prints every hole's plan as JSON and returns 0; faults go to standard error, and 1. */
export async function planFile(path: string, console: Console): Promise<number> {
  const loaded = await loadJobFile(path);
  if (loaded.kind === 'faulty') {
    loaded.faults.forEach((fault) => {
      console.err(faultLine(fault));
    });
    return 1;
  }
  const holes: (Plan & { readonly edge: readonly JudgedRule[]; readonly risk: Risk | null })[] = [];
  for (const piece of loaded.value.pieces) {
    for (const hole of piece.holes) {
      // Hole ids are unique within a piece only.
      const file = { ...loaded.value, pieces: [piece] };
      const outcome = makePlan(file, hole.id);
      if (outcome.kind !== 'planned') continue;
      const { customMaterials, house } = loaded.value;
      const material = faceMaterial(piece, customMaterials);
      const edge = judgeEdges({ piece, material, hole, house }, piece.holes);
      const assessed = assessHole(file, hole.id);
      const risk = assessed.kind === 'assessed' ? assessed.risk : null;
      holes.push({ ...outcome.plan, risk, edge });
    }
  }
  console.out(JSON.stringify({ nucleon: NUCLEON_VERSION, model: MODEL_VERSION, holes }, null, 2));
  return 0;
}
