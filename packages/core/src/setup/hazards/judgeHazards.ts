import type { HazardCheck } from '../../documents/hazardCheck';
import { asbestosEra } from './asbestosEra';
import { builtInStress } from './builtInStress';
import { overspeed } from './overspeed';
import { dryGlass } from './dryGlass';
import { dust } from './dust';
import { eyes } from './eyes';
import { fallingCore } from './fallingCore';
import { fibrousStone } from './fibrousStone';
import type { Hazard, HazardScene } from './gate';
import type { Gate, GateLevel } from '../../documents/gate';
import { factsKey } from './glassFacts';
import { glassHandling } from './glassHandling';
import { hammer } from './hammer';
import { height } from './height';
import { hiddenServices } from './hiddenServices';
import { hollowGlass } from './hollowGlass';
import { hotPiece } from './hotPiece';
import { kickback } from './kickback';
import { laminatedGlass } from './laminatedGlass';
import { leadGlaze } from './leadGlaze';
import { mainsAndWater } from './mainsAndWater';
import { noise } from './noise';
import { postTension } from './postTension';
import { serviceClash } from './serviceClash';
import { slurry } from './slurry';
import { strengthenedGlass } from './strengthenedGlass';
import { structure } from './structure';
import { twoPeople } from './twoPeople';
import { unknownTreatment } from './unknownTreatment';
import { vacuumStand } from './vacuumStand';
import { wiredOrSealedGlass } from './wiredOrSealedGlass';

/** Every hazard the plan looks at, keyed by its code, the gravest first. */
export const HAZARDS = {
  'strengthened-glass': strengthenedGlass,
  'wired-or-sealed-glass': wiredOrSealedGlass,
  'unknown-treatment': unknownTreatment,
  'hollow-glass': hollowGlass,
  'laminated-glass': laminatedGlass,
  'built-in-stress': builtInStress,
  'hidden-services': hiddenServices,
  'service-clash': serviceClash,
  'post-tension': postTension,
  structure,
  'asbestos-era': asbestosEra,
  'lead-glaze': leadGlaze,
  'dry-glass': dryGlass,
  overspeed,
  dust,
  'fibrous-stone': fibrousStone,
  hammer,
  kickback,
  'vacuum-stand': vacuumStand,
  'mains-and-water': mainsAndWater,
  'falling-core': fallingCore,
  'two-people': twoPeople,
  height,
  eyes,
  slurry,
  noise,
  'glass-handling': glassHandling,
  'hot-piece': hotPiece,
} as const satisfies { readonly [Code in string]: Hazard<Code> };

export type HazardCode = keyof typeof HAZARDS;

const ORDER: Record<GateLevel, number> = { stop: 0, confirm: 1, note: 2 };

export interface JudgedGates {
  readonly open: readonly Gate[];
  readonly settled: readonly Gate[];
}

/** All gates that arise, stops first, those a recorded check settles apart from those still open. */
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
    const of = factsKey(hazard.facts(scene));
    const { code, title, scope } = hazard;
    const gate: Gate = { code, title, scope, of, ...judged };
    const given = checks.filter((check) => answers(gate, check));
    const settledBy = given.findLast((check) => stillHolds(gate, check));
    const outdated = given.at(-1);
    if (settledBy) settled.push({ ...gate, settledBy });
    else open.push(outdated ? { ...gate, outdated } : gate);
  }
  const byLevel = (a: Gate, b: Gate): number => ORDER[a.level] - ORDER[b.level];
  return { open: open.sort(byLevel), settled: settled.sort(byLevel) };
}

/** Whether a check is one of the gate's answers, with the writing it asks for. */
const answers = (gate: Gate, check: HazardCheck): boolean =>
  check.hazard === gate.code &&
  gate.answers.some(
    (answer) =>
      answer.code === check.answer &&
      (answer.asks === undefined || (check.note ?? '').trim() !== ''),
  );

/** An answer written by hand in a file, without facts, is taken as it stands. */
const stillHolds = (gate: Gate, check: HazardCheck): boolean =>
  check.of === undefined || check.of === gate.of;
