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

/** The gates of a hole, and which of them each of its cuts raises. */
export interface HoleGates extends JudgedGates {
  readonly raisedBy: readonly (readonly HazardCode[])[];
}

/**
 * All gates that arise in any cut of a hole, each once with the gravest finding, stops first, those a recorded
 * check settles apart from those still open. An answer is given for all cuts at once: it holds as long as the facts
 * of none of them change.
 * @param scenes one a cut, of the same job, piece and hole
 */
export function judgeHazards(scenes: readonly HazardScene[]): HoleGates {
  const checks = scenes
    .slice(0, 1)
    .flatMap(({ job, piece, hole }) => [
      ...(job.checks ?? []),
      ...(piece.checks ?? []),
      ...(hole.checks ?? []),
    ]);
  const open: RaisedGate[] = [];
  const settled: RaisedGate[] = [];
  const raisedBy: HazardCode[][] = scenes.map(() => []);
  for (const hazard of Object.values<Hazard<HazardCode>>(HAZARDS)) {
    const { code, scope } = hazard;
    const found = scenes.flatMap((scene, index) => {
      const finding = hazard.judge(scene);
      if (finding) raisedBy[index]?.push(code);
      return finding ? [{ finding, of: factsKey(hazard.facts(scene)) }] : [];
    });
    const [worst] = [...found].sort((a, b) => ORDER[a.finding.level] - ORDER[b.finding.level]);
    if (!worst) continue;
    const of = [...new Set(found.map((one) => one.of))].join(' + ');
    const gate: RaisedGate = { code, scope, finding: worst.finding, of };
    const given = checks.filter((check) => answers(gate, check));
    const settledBy = given.findLast((check) => stillHolds(gate, check));
    const outdated = given.at(-1);
    if (settledBy) settled.push({ ...gate, settledBy });
    else open.push(outdated ? { ...gate, outdated } : gate);
  }
  return { open: open.sort(byLevel), settled: settled.sort(byLevel), raisedBy };
}

/** The gates one cut raises that stand open. */
export const openGates = ({ open, raisedBy }: HoleGates, index: number): readonly HazardCode[] =>
  open.map(({ code }) => code).filter((code) => raisedBy[index]?.includes(code));

const byLevel = (a: RaisedGate, b: RaisedGate): number =>
  ORDER[a.finding.level] - ORDER[b.finding.level];

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
