/** Risk: odds and ranges. */
export const riskWords = {
  twentyLikeTriesQuickest: (first: string, middle: string, last: string): string =>
    `Twenty like tries: the quickest ${first}, the middle ${middle}, the slowest ${last}.`,
  risk: 'Risk',
  theOdds: 'the odds',
  twentyTriesLikeThis: 'Twenty tries like this one',
  whatWouldMakeIt: 'What would make it surer',
  seededTriesOfSame: (draws: string, seed: number): string =>
    `${draws} seeded tries of the same plan: force, speed, sharpness, the piece’s own hardness, toughness and thickness drawn from their spreads; the strength stays a Weibull distribution, so each try gives odds. Seed ${seed}: asked again it says the same.`,
};
