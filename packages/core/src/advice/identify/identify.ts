import type { JobFault } from '../../setup/jobFault';
import { STRENGTHENED_TREATMENTS, type GlassTreatment } from '../../data/choices';
import type { Possibility } from '../../documents/piece';
import { ceramic } from './ceramic';
import type { Identifier } from './evidence';
import { glass } from './glass';
import { masonry } from './masonry';
import { isAsked, rankCandidates, tellingQuestions, type Answers, type Ranked } from './posterior';
import { hardnessBand, LADDER, type Rung } from './scratchLadder';
import { stone } from './stone';

/** One for each kind of thing people bring. */
export const IDENTIFIERS = { glass, ceramic, stone, masonry } as const satisfies Record<
  string,
  Identifier
>;
export type IdentifierKind = keyof typeof IDENTIFIERS;
export const IDENTIFIER_KINDS = Object.keys(IDENTIFIERS) as readonly IdentifierKind[];

/** From here on one thing is likely enough to plan for it alone. */
export const SURE = 0.85;
/** Rarer than this a candidate is not carried into the plan. */
const WORTH_PLANNING = 0.05;
/** Asking for less than this is not worth a screen, bits. */
const WORTH_ASKING_BITS = 0.02;

/** Strong by a stress that drilling lets go. */
export const isStrengthened = (treatment: GlassTreatment | undefined): boolean =>
  STRENGTHENED_TREATMENTS.some((one) => one === treatment);

export interface Identification {
  readonly kind: IdentifierKind;
  readonly ranked: readonly Ranked[];
  readonly answered: number;
  /** True where one candidate stands so far ahead that the plan may take it alone. */
  readonly sure: boolean;
  /** What it may be, by material, shares adding up to one; for the plan when not sure. */
  readonly couldBe: readonly Possibility[];
  /** Mohs values the scratch ladder puts it between. */
  readonly hardnessBand: readonly [number, number] | null;
  /** Odds that the glass is of a kind that must not be drilled; null for other kinds. */
  readonly strengthenedOdds: number | null;
  /** The open questions that would tell most, with how much, in bits. */
  readonly next: readonly { readonly question: string; readonly bits: number }[];
  readonly staysUnknown: string;
}

/** Ranks what the piece may be after these answers; skipped questions are simply absent. */
export function identify(kind: IdentifierKind, answers: Answers): Identification {
  const identifier = IDENTIFIERS[kind];
  const heard = Object.fromEntries(
    Object.entries(answers).filter(([id]) => isAsked(identifier, id, answers)),
  );
  const ranked = rankCandidates(identifier, heard);
  const byMaterial = new Map<string, number>();
  for (const { candidate, likelihood } of ranked) {
    byMaterial.set(candidate.material, (byMaterial.get(candidate.material) ?? 0) + likelihood);
  }
  const shares = [...byMaterial].sort((a, b) => b[1] - a[1]);
  const kept = shares.filter(([, share]) => share >= WORTH_PLANNING);
  const total = kept.reduce((sum, [, share]) => sum + share, 0);
  const rung = heard.scratch;
  return {
    kind,
    ranked,
    answered: Object.keys(heard).filter((id) => Object.hasOwn(identifier.questions, id)).length,
    sure: (ranked[0]?.likelihood ?? 0) >= SURE,
    couldBe: kept.map(([material, share]) => ({ material, share: share / total })),
    hardnessBand:
      kind === 'stone' && rung !== undefined && (rung === 'nothing' || Object.hasOwn(LADDER, rung))
        ? hardnessBand(rung as Rung | 'nothing')
        : null,
    strengthenedOdds:
      kind === 'glass'
        ? ranked.reduce(
            (sum, { candidate, likelihood }) =>
              sum + (isStrengthened(candidate.treatment) ? likelihood : 0),
            0,
          )
        : null,
    next: tellingQuestions(identifier, heard).filter(({ bits }) => bits >= WORTH_ASKING_BITS),
    staysUnknown: identifier.staysUnknown,
  };
}

/** Answers that name no question, or no answer of it: what is known instead. */
export function checkAnswers(kind: IdentifierKind, answers: Answers): JobFault[] {
  const { questions } = IDENTIFIERS[kind];
  return Object.entries(answers).flatMap(([id, answer]): JobFault[] => {
    const question = Object.hasOwn(questions, id) ? questions[id] : undefined;
    const pointer = `/answers/${id}`;
    if (!question)
      return [
        { pointer, code: 'no-such-question', id, about: kind, known: Object.keys(questions) },
      ];
    return Object.hasOwn(question.answers, answer)
      ? []
      : [
          {
            pointer,
            code: 'no-such-answer',
            id,
            answer,
            known: Object.keys(question.answers),
          },
        ];
  });
}
