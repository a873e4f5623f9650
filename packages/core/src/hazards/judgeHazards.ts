import type { HazardCheck } from '../job/job';
import type { Gate, Hazard, HazardScene } from './gate';
import { hollowGlass } from './hollowGlass';
import { laminatedGlass } from './laminatedGlass';
import { strengthenedGlass } from './strengthenedGlass';
import { unknownTreatment } from './unknownTreatment';
import { wiredOrSealedGlass } from './wiredOrSealedGlass';

/** Every hazard the plan looks at, keyed by its code. */
export const HAZARDS = {
  'strengthened-glass': strengthenedGlass,
  'wired-or-sealed-glass': wiredOrSealedGlass,
  'unknown-treatment': unknownTreatment,
  'hollow-glass': hollowGlass,
  'laminated-glass': laminatedGlass,
} as const satisfies { readonly [Code in string]: Hazard<Code> };

export type HazardCode = keyof typeof HAZARDS;

export interface JudgedGates {
  readonly open: readonly Gate[];
  readonly settled: readonly Gate[];
}

/** All gates that arise, those a recorded check settles apart from those still open. */
export function judgeHazards(scene: HazardScene): JudgedGates {
  const checks = [
    ...(scene.job.checks ?? []),
    ...(scene.piece.checks ?? []),
    ...(scene.hole.checks ?? []),
  ];
  const open: Gate[] = [];
  const settled: Gate[] = [];
  for (const hazard of Object.values(HAZARDS)) {
    const judged = hazard.judge(scene);
    if (!judged) continue;
    const gate: Gate = { code: hazard.code, title: hazard.title, ...judged };
    const settledBy = checks.findLast((check) => settles(gate, check));
    if (settledBy) settled.push({ ...gate, settledBy });
    else open.push(gate);
  }
  return { open, settled };
}

const settles = (gate: Gate, check: HazardCheck): boolean =>
  check.hazard === gate.code && gate.answers.some((answer) => answer.code === check.answer);
