import { IDENTIFIERS, type Identification } from '../../advice/identify/identify';

/** A likelihood as people say it: `62 in 100`, `under 1 in 100`. */
export function sharesInWords(likelihood: number): string {
  if (likelihood > 0.99) return 'over 99 in 100';
  return likelihood < 0.01 ? 'under 1 in 100' : `${Math.round(likelihood * 100)} in 100`;
}

/** How strongly an answer must speak before it is worth a line. */
const SPEAKS = 1.3;

/** What speaks for the likeliest candidate and against it, one line an answer. */
export function becauseLines(found: Identification): readonly string[] {
  const best = found.ranked[0];
  const { questions } = IDENTIFIERS[found.kind];
  return (best?.because ?? []).flatMap(({ question, answer, factor }) => {
    const asked = questions[question];
    const line = `${asked?.ask ?? question} ${asked?.answers[answer]?.label ?? answer}.`;
    if (factor >= SPEAKS) return [`For it: ${line}`];
    return factor <= 1 / SPEAKS ? [`Against it: ${line}`] : [];
  });
}

/** What would tell the candidates apart, most telling first. */
export const tellsApart = (
  found: Identification,
): readonly { readonly question: string; readonly ask: string }[] => {
  const { questions } = IDENTIFIERS[found.kind];
  return found.next.flatMap(({ question }) => {
    const ask = questions[question]?.ask;
    return ask === undefined ? [] : [{ question, ask }];
  });
};

/** The band the scratch ladder gives, in words. */
export const hardnessText = (band: readonly [number, number]): string =>
  `Hardness between ${band[0]} and ${band[1]} on Mohs’ scale.`;
