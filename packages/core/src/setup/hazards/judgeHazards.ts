import type { HazardCheck } from '../../documents/hazardCheck';
import { asbestosEra } from './asbestosEra';
import { builtInStress } from './builtInStress';
import { overspeed } from './overspeed';
import { dryGlass } from './dryGlass';
import { dust } from './dust';
import { eyes } from './eyes';
import { fallingCore } from './fallingCore';
import { fibrousStone } from './fibrousStone';
import type { Finding, Hazard, HazardScene } from './hazard';
import type { GateLevel, GateScope } from '../../documents/gate';
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

/** What a hazard can find. */
export type Found<Code extends HazardCode> = NonNullable<
  ReturnType<(typeof HAZARDS)[Code]['judge']>
>;
/** The answers that may settle it. */
export type AnswerCode<Code extends HazardCode> = Found<Code>['answers'][number]['code'];

/** A hazard that arises, as codes and values. */
export interface RaisedGate {
  readonly code: HazardCode;
  readonly scope: GateScope;
  readonly finding: Finding;
  /** Stored with an answer, so that a changed piece opens the gate again. */
  readonly of: string;
  /** The recorded answer that settles it. */
  readonly settledBy?: HazardCheck;
  /** An answer given before the facts changed. */
  readonly outdated?: HazardCheck;
}

export interface JudgedGates {
  readonly open: readonly RaisedGate[];
  readonly settled: readonly RaisedGate[];
}

/** All gates that arise, stops first, those a recorded check settles apart from those still open. */
export function judgeHazards(scene: HazardScene): JudgedGates {
  const checks = [
    ...(scene.job.checks ?? []),
    ...(scene.piece.checks ?? []),
    ...(scene.hole.checks ?? []),
  ];
  const open: RaisedGate[] = [];
  const settled: RaisedGate[] = [];
  for (const hazard of Object.values<Hazard<HazardCode>>(HAZARDS)) {
    const finding = hazard.judge(scene);
    if (!finding) continue;
    const { code, scope } = hazard;
    const gate: RaisedGate = { code, scope, finding, of: factsKey(hazard.facts(scene)) };
    const given = checks.filter((check) => answers(gate, check));
    const settledBy = given.findLast((check) => stillHolds(gate, check));
    const outdated = given.at(-1);
    if (settledBy) settled.push({ ...gate, settledBy });
    else open.push(outdated ? { ...gate, outdated } : gate);
  }
  return { open: open.sort(byLevel), settled: settled.sort(byLevel) };
}

const byLevel = (a: RaisedGate, b: RaisedGate): number =>
  ORDER[a.finding.level] - ORDER[b.finding.level];

/** The gates of several operations, each once: open where any of them leaves it open. */
export function joinGates(all: readonly JudgedGates[]): JudgedGates {
  const once = (gates: readonly RaisedGate[]): RaisedGate[] =>
    gates.filter((gate, index) => gates.findIndex(({ code }) => code === gate.code) === index);
  const open = once(all.flatMap((one) => one.open).sort(byLevel));
  const settled = once(all.flatMap((one) => one.settled).sort(byLevel));
  return {
    open,
    settled: settled.filter(({ code }) => !open.some((gate) => gate.code === code)),
  };
}

/** Whether a check is one of the gate's answers, with the writing it asks for. */
const answers = ({ code, finding }: RaisedGate, check: HazardCheck): boolean =>
  check.hazard === code &&
  finding.answers.some(
    (answer) =>
      answer.code === check.answer && (!answer.inWriting || (check.note ?? '').trim() !== ''),
  );

/** An answer written by hand in a file, without facts, is taken as it stands. */
const stillHolds = (gate: RaisedGate, check: HazardCheck): boolean =>
  check.of === undefined || check.of === gate.of;
