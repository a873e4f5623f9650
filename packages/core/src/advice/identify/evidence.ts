import type { GlassTreatment, PieceForm } from '../../data/choices';
import type { MaterialId } from '../../data/materials/materials';

/** Something the piece may be. */
export interface Candidate {
  readonly name: string;
  readonly material: MaterialId;
  readonly treatment?: GlassTreatment;
  readonly form?: PieceForm;
  /** How common it is among what people bring, before anything is asked. Any scale. */
  readonly prior: number;
}

/** One answer: how often each candidate gives it, on the scale of the question's other answers. */
export interface Answer<C extends string> {
  readonly label: string;
  readonly given: Partial<Record<C, number>>;
  /** For candidates not named. */
  readonly otherwise: number;
}

/** Something to look at or try, with what it takes and what each outcome says. */
export interface Question<C extends string = string> {
  readonly ask: string;
  readonly how: string;
  /** A test taught step by step. */
  readonly steps?: readonly string[];
  readonly source: string;
  readonly answers: Readonly<Record<string, Answer<C>>>;
  /** Asked only once another was answered so. */
  readonly after?: { readonly question: string; readonly answer: string };
}

/** One kind of thing to find out: its candidates and the questions that tell them apart. */
export interface Identifier {
  readonly title: string;
  readonly candidates: Readonly<Record<string, Candidate>>;
  readonly questions: Readonly<Record<string, Question>>;
  /** What no answer settles. */
  readonly staysUnknown: string;
}

/** Ties the questions' tables to the candidates' names, so that a slip does not compile. */
export const defineIdentifier = <C extends string>(spec: {
  readonly title: string;
  readonly candidates: Readonly<Record<C, Candidate>>;
  readonly questions: Readonly<Record<string, Question<NoInfer<C>>>>;
  readonly staysUnknown: string;
}): Identifier => spec;

/** Never nothing: a slip of the eye is always possible. */
const MIN_LIKELIHOOD = 0.01;

/** P(answer | candidate): the answer's weight over those of all answers to the question. */
export function likelihood(question: Question, answerId: string, candidateId: string): number {
  const weightOf = (answer: Answer<string>): number =>
    answer.given[candidateId] ?? answer.otherwise;
  const total = Object.values(question.answers).reduce((sum, one) => sum + weightOf(one), 0);
  const answer = question.answers[answerId];
  if (!answer || total <= 0) return 1;
  return Math.max(weightOf(answer) / total, MIN_LIKELIHOOD);
}
