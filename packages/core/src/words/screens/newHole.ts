/** The few questions of a new hole. */
export const newHoleWords = {
  hole1: 'Hole 1',
  newHole: 'New hole',
  backQuestion: 'Back a question',
  makingPlan: 'Making the plan…',
  notSavedYet: 'Not saved yet',
  yourAnswersAreStill: (trouble: string): string => `${trouble} Your answers are still here.`,
  tryAgain: 'Try again',
  anotherNumber: 'Another number',
  repeatLast: 'Repeat last',
  anotherLikeThis: 'Another like this',
  repeatInNewJob: 'A new job with the same answers',
  anotherInSameJob: 'One more piece in the same job',
  lastStarted: 'Last started',
  orByThePart: 'Or by what goes through it',
};
