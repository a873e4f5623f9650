import { likelihood, type Candidate, type Identifier, type Question } from './evidence';

export type Answers = Readonly<Record<string, string>>;

/** One candidate with how likely it is now, and which answers speak for it or against it. */
export interface Ranked {
  readonly id: string;
  readonly candidate: Candidate;
  readonly likelihood: number;
  readonly because: readonly {
    readonly question: string;
    readonly answer: string;
    readonly factor: number;
  }[];
}

/** The questions that were answered with one of their answers; skipped ones say nothing. */
function said(identifier: Identifier, answers: Answers): readonly (readonly [string, string])[] {
  return Object.entries(answers).filter(([id, answer]) =>
    Object.hasOwn(identifier.questions[id]?.answers ?? {}, answer),
  );
}

/**
 * All candidates, the likeliest first, by Bayes’ rule with the answers taken as independent:
 * P(c | answers) ∝ prior × Π P(answer | c). Adds up to one; never quite zero.
 */
export function rankCandidates(identifier: Identifier, answers: Answers): readonly Ranked[] {
  const given = said(identifier, answers);
  const entries = Object.entries(identifier.candidates);
  const priorTotal = entries.reduce((sum, [, { prior }]) => sum + prior, 0);
  const factors = given.map(([questionId, answer]) => {
    const question = identifier.questions[questionId];
    const each = new Map(
      entries.map(([id]) => [id, question ? likelihood(question, answer, id) : 1]),
    );
    const mean = entries.reduce(
      (sum, [id, { prior }]) => sum + (prior / priorTotal) * (each.get(id) ?? 1),
      0,
    );
    return { questionId, answer, each, mean };
  });
  const weights = entries.map(([id, candidate]) => ({
    id,
    candidate,
    weight: factors.reduce((product, { each }) => product * (each.get(id) ?? 1), candidate.prior),
    because: factors.map(({ questionId, answer, each, mean }) => ({
      question: questionId,
      answer,
      factor: (each.get(id) ?? 1) / mean,
    })),
  }));
  const total = weights.reduce((sum, { weight }) => sum + weight, 0);
  return weights
    .map(({ id, candidate, weight, because }) => ({
      id,
      candidate,
      likelihood: weight / total,
      because,
    }))
    .sort((a, b) => b.likelihood - a.likelihood);
}

/** Whether a question is to be asked at all after these answers. */
export function isAsked(identifier: Identifier, questionId: string, answers: Answers): boolean {
  const after = identifier.questions[questionId]?.after;
  return after === undefined || answers[after.question] === after.answer;
}

/** Σ P(answer)·Σ P(c | answer)·log₂(P(c | answer)/P(c)): the expected fall of entropy, bits. */
function informationOf(now: readonly Ranked[], question: Question): number {
  let bits = 0;
  for (const answer of Object.keys(question.answers)) {
    const joint = now.map((one) => one.likelihood * likelihood(question, answer, one.id));
    const P_answer = joint.reduce((sum, p) => sum + p, 0);
    now.forEach((one, index) => {
      const p = joint[index] ?? 0;
      if (p > 0 && one.likelihood > 0) bits += p * Math.log2(p / P_answer / one.likelihood);
    });
  }
  return Math.max(0, bits);
}

/**
 * What each question still open would tell, in bits, most telling first. One that only opens the
 * way to another, such as the control of a test, is worth its share of what that other tells.
 */
export function tellingQuestions(
  identifier: Identifier,
  answers: Answers,
): readonly { readonly question: string; readonly bits: number }[] {
  const now = rankCandidates(identifier, answers);
  const all = Object.entries(identifier.questions);
  const opens = (id: string, question: Question): number =>
    all
      .filter(([other, { after }]) => after?.question === id && answers[other] === undefined)
      .reduce(
        (sum, [, dependent]) =>
          sum + informationOf(now, dependent) / Object.keys(question.answers).length,
        0,
      );
  return all
    .filter(([id]) => answers[id] === undefined && isAsked(identifier, id, answers))
    .map(([id, question]) => ({
      question: id,
      bits: informationOf(now, question) + opens(id, question),
    }))
    .sort((a, b) => b.bits - a.bits);
}
