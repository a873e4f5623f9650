import type { Gate } from '../../documents/gate';
import type { HazardCheck } from '../../documents/hazardCheck';
import type { Hole } from '../../documents/hole';
import type { Piece } from '../../documents/piece';
import type { BarePlan } from '../../documents/plan';
import type { AnswerCode, HazardCode } from './judgeHazards';

/** How far beyond its own hole an answer honestly holds. */
interface Coverage {
  /** In the same piece, in pieces of the same make, or anywhere in the job. */
  readonly within: 'piece' | 'like-pieces' | 'job';
  /** It speaks of the machine. */
  readonly sameMachine?: true;
  /** It speaks of how things stand today. */
  readonly sameDay?: true;
  /** It was given for a hole as wide, or as deep, at the most. */
  readonly noWider?: true;
  readonly noDeeper?: true;
}

/** Given for this one alone: a label, a test or a crack is each piece's own. */
const ITS_OWN = null;
const TODAY = { within: 'job', sameDay: true } as const;
const MACHINE_TODAY = { ...TODAY, sameMachine: true } as const;
const LIKE_PIECES = { within: 'like-pieces' } as const;
const THIS_PIECE_TODAY = { within: 'piece', sameDay: true } as const;

/** Every answer of every gate, and where else it holds. What is answered for a whole job needs no more. */
const COVERAGE: {
  readonly [Code in HazardCode]: { readonly [Answer in AnswerCode<Code>]: Coverage | null };
} = {
  'strengthened-glass': {},
  'wired-or-sealed-glass': {},
  'unknown-treatment': {
    'label-annealed': ITS_OWN,
    'maker-annealed': LIKE_PIECES,
    'polariser-clear': ITS_OWN,
  },
  'hollow-glass': {
    'bottle-or-jar': LIKE_PIECES,
    'maker-not-toughened': LIKE_PIECES,
    'annealing-known': LIKE_PIECES,
    'annealing-not-known': LIKE_PIECES,
  },
  'laminated-glass': { 'annealed-plies': LIKE_PIECES },
  'built-in-stress': { 'seen-and-accepted': ITS_OWN, 'crack-away': ITS_OWN },
  'hidden-services': {
    'scanned-clear': { within: 'piece', noDeeper: true },
    'scanned-marked': { within: 'piece', noDeeper: true },
    isolated: THIS_PIECE_TODAY,
  },
  'service-clash': {},
  'post-tension': { 'on-the-ground': ITS_OWN, 'not-post-tensioned': ITS_OWN },
  structure: { 'bars-missed': ITS_OWN, 'engineer-agreed': { within: 'piece', noWider: true } },
  'asbestos-era': { 'survey-clear': LIKE_PIECES, newer: LIKE_PIECES },
  'lead-glaze': { 'no-food-after': LIKE_PIECES },
  'dry-glass': {},
  overspeed: {},
  dust: { 'mask-and-extraction': TODAY },
  'fibrous-stone': { 'wet-to-the-end': { within: 'job' } },
  hammer: { 'rotation-only': MACHINE_TODAY, 'no-hammer': { within: 'job', sameMachine: true } },
  kickback: { 'handle-and-stance': MACHINE_TODAY, 'limit-and-two-hands': MACHINE_TODAY },
  'vacuum-stand': { 'gauge-watched': { ...THIS_PIECE_TODAY, sameMachine: true } },
  'mains-and-water': { 'rcd-tested': MACHINE_TODAY, 'plug-tested': MACHINE_TODAY },
  'falling-core': {
    caught: { ...THIS_PIECE_TODAY, noWider: true },
    'below-barred': THIS_PIECE_TODAY,
  },
  'two-people': { 'two-here': TODAY, 'aid-used': MACHINE_TODAY },
  height: { platform: THIS_PIECE_TODAY, 'below-shoulder': ITS_OWN },
  eyes: { 'eyes-covered': ITS_OWN },
  slurry: {},
  noise: {},
  'glass-handling': {},
  'hot-piece': {},
};

/** Why an answer does not hold for another hole. */
export type NotCovered =
  | 'each-its-own'
  | 'other-answers'
  | 'another-piece'
  | 'unlike-piece'
  | 'another-machine'
  | 'earlier-day'
  | 'wider'
  | 'deeper';

/** A planned hole with its gates, as far as answers care. */
export interface GatedHole {
  readonly piece: Piece;
  readonly hole: Hole;
  /** An owned machine's id, or the kind of one. */
  readonly machine: string;
  readonly depthMm: number;
  readonly open: readonly Gate[];
  readonly settled: readonly Gate[];
}

/** An answer as it would stand at another hole, or why it does not hold there. */
export type Covered =
  | { readonly kind: 'covered'; readonly check: HazardCheck }
  | { readonly kind: 'not-covered'; readonly why: NotCovered };

/** An answer for today holds so long: one day's work, whatever the zone its clock is in. */
const DAY_MS = 12 * 3600 * 1000;

/** Whether an answer was given in the course of this day's work. */
export const isOfToday = ({ at }: Pick<HazardCheck, 'at'>, now: Date): boolean =>
  now.getTime() - Date.parse(at) <= DAY_MS;

/**
 * Whether an answer given at one hole holds at another of the same job; null where nothing is asked there that it
 * answers. The check is the same but for what it is answered for: who said it, when and in which words stand.
 * @param check the answer, as it settles the hazard at `given`
 */
export function coverage(
  check: HazardCheck,
  given: GatedHole,
  other: GatedHole,
  now: Date,
): Covered | null {
  const gate = other.open.find(({ code }) => code === check.hazard);
  if (!gate || gate.scope === 'job' || gate.answers.length === 0) return null;
  const why = gate.answers.some(({ code }) => code === check.answer)
    ? notCovered(check, given, other, now)
    : 'other-answers';
  return why === null
    ? { kind: 'covered', check: { ...check, of: gate.of } }
    : { kind: 'not-covered', why };
}

function notCovered(
  check: HazardCheck,
  given: GatedHole,
  other: GatedHole,
  now: Date,
): NotCovered | null {
  const rules: Partial<Record<string, Partial<Record<string, Coverage | null>>>> = COVERAGE;
  const rule = rules[check.hazard]?.[check.answer];
  if (!rule) return 'each-its-own';
  if (rule.within === 'piece' && given.piece.id !== other.piece.id) return 'another-piece';
  if (rule.within === 'like-pieces' && makeOf(given.piece) !== makeOf(other.piece))
    return 'unlike-piece';
  if (rule.sameMachine && given.machine !== other.machine) return 'another-machine';
  if (rule.sameDay && !isOfToday(check, now)) return 'earlier-day';
  if (rule.noWider && other.hole.diameterMm > given.hole.diameterMm) return 'wider';
  if (rule.noDeeper && other.depthMm > given.depthMm) return 'deeper';
  return null;
}

/** What pieces of one make have in common: the same answer about what they are holds for each. */
const makeOf = (piece: Piece): string =>
  JSON.stringify([
    piece.form,
    piece.material,
    piece.thicknessMm,
    piece.glassTreatment ?? 'unknown',
    piece.layers ?? [],
    piece.assembled ?? false,
    piece.damage ?? 'none',
    piece.yearMade ?? null,
  ]);

/** A planned hole as answers see it. */
export const gatedHole = (piece: Piece, hole: Hole, plan: BarePlan): GatedHole => ({
  piece,
  hole,
  machine: plan.setup.machineId ?? plan.setup.machineKind,
  depthMm: plan.depthMm,
  open: plan.gates,
  settled: plan.settledGates,
});

/** An answer given at one hole, with the others it may be taken to and those it does not hold for. */
export interface AnswerThere {
  readonly gate: Gate;
  readonly covered: readonly { readonly at: GatedHole; readonly check: HazardCheck }[];
  readonly exceptions: readonly { readonly at: GatedHole; readonly why: NotCovered }[];
}

/** What was answered at a hole and holds at others of its job too; what is asked of a piece, once a piece. */
export function answersThere(
  given: GatedHole,
  others: readonly GatedHole[],
  now: Date,
): readonly AnswerThere[] {
  return given.settled.flatMap((gate) => {
    const { settledBy } = gate;
    if (!settledBy) return [];
    const judged = oncePerPiece(gate, others).flatMap((at) => {
      const found = coverage(settledBy, given, at, now);
      return found ? [{ at, found }] : [];
    });
    const covered = judged.flatMap(({ at, found }) =>
      found.kind === 'covered' ? [{ at, check: found.check }] : [],
    );
    const exceptions = judged.flatMap(({ at, found }) =>
      found.kind === 'not-covered' ? [{ at, why: found.why }] : [],
    );
    return covered.length > 0 ? [{ gate, covered, exceptions }] : [];
  });
}

const oncePerPiece = ({ scope }: Gate, holes: readonly GatedHole[]): readonly GatedHole[] =>
  scope === 'piece' ? [...new Map(holes.map((one) => [one.piece.id, one])).values()] : holes;

/** An answer given elsewhere that holds at this hole. */
export interface AnswerHere {
  readonly gate: Gate;
  readonly check: HazardCheck;
  readonly from: GatedHole;
}

/** The open gates of a hole that an answer at another of its job covers, each with the latest one. */
export function answersHere(
  hole: GatedHole,
  others: readonly GatedHole[],
  now: Date,
): readonly AnswerHere[] {
  return hole.open.flatMap((gate) => {
    const found = others.flatMap((from) => {
      const check = from.settled.find(({ code }) => code === gate.code)?.settledBy;
      const one = check ? coverage(check, from, hole, now) : null;
      return one?.kind === 'covered' ? [{ gate, check: one.check, from }] : [];
    });
    return found.sort((a, b) => Date.parse(b.check.at) - Date.parse(a.check.at)).slice(0, 1);
  });
}
