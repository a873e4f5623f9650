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
};
