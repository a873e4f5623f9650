/** Safety checks and their answers. */
export const gatesWords = {
  thereIsNoWay: 'There is no way round this one.',
  itWasAnsweredBefore: 'It was answered before, but what it was answered for has changed.',
  itIsKeptWith: 'It is kept with the plan',
  recordIt: 'Record it',
  beforeYouStart: 'Before you start',
  takeBack: 'Take back',
  takeBackAnswerOn: (title: string): string => `Take back the answer on ${title}`,
  whatElseCanBe: 'What else can be done',
  answeredElsewhere: 'Answered elsewhere in this job',
  holdsHereToo: 'It applies here too, if nothing has changed.',
  answerAsThere: (count: number): string =>
    count === 1 ? 'Answer it as there' : `Answer these ${count} as there`,
  answeredAt: (answer: string, place: string, clock: string): string =>
    `${answer}. ${place}, ${clock}.`,
  holdsElsewhere: 'Applies to other holes too',
  untickWhatDoesNot: 'Untick what does not apply there.',
  takeItThere: 'Apply there',
  taken: (count: number): string => `Answered at ${count === 1 ? 'one place' : `${count} places`}`,
  notPlannedYet: (count: number): string =>
    count === 1 ? 'One hole is not planned yet.' : `${count} holes are not planned yet.`,
  itWasNotTaken: 'It was not applied to the other holes.',
};
