import { faceMaterial } from '@nucleon/core/job/faceMaterial';
import { judgeEdges, type JudgedRule } from '@nucleon/core/layout/edgeRules';
import { makePlan } from '@nucleon/core/plan/makePlan';
import { MODEL_VERSION, type Plan } from '@nucleon/core/plan/plan';
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
  const holes: (Plan & { readonly edge: readonly JudgedRule[] })[] = [];
  for (const piece of loaded.value.pieces) {
    for (const hole of piece.holes) {
      // Hole ids are unique within a piece only.
      const outcome = makePlan({ ...loaded.value, pieces: [piece] }, hole.id);
      if (outcome.kind !== 'planned') continue;
      const { customMaterials, house } = loaded.value;
      const material = faceMaterial(piece, customMaterials);
      const edge = judgeEdges({ piece, material, hole, house }, piece.holes);
      holes.push({ ...outcome.plan, edge });
    }
  }
  console.out(JSON.stringify({ nucleon: NUCLEON_VERSION, model: MODEL_VERSION, holes }, null, 2));
  return 0;
}
