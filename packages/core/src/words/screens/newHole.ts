/** The few questions of a new hole. */
export const newHoleWords = {
  hole1: 'Hole 1',
  annealedLabelOrMaker: 'Annealed: label or maker says so',
  iDoNotKnow: 'I do not know',
  temperedOrStrengthened: 'Tempered or strengthened',
  laminated: 'Laminated',
  howThickIsIt: 'How thick is it?',
  howWasGlassTreated: 'How was the glass treated?',
  howBigHole: 'How big a hole?',
  newHole: 'New hole',
  backQuestion: 'Back a question',
  makingPlan: 'Making the plan…',
  nearlyThere: 'Nearly there',
  notSavedYet: 'Not saved yet',
  yourAnswersAreStill: (trouble: string): string => `${trouble} Your answers are still here.`,
  tryAgain: 'Try again',
  thickness: 'Thickness',
  measureInTwoOr: (material: string): string =>
    `${material}. Measure in two or three places and take the thickest.`,
  temperedGlassBurstsWhen:
    'Tempered glass bursts when it is drilled. If nobody can say, the plan waits for a test.',
  treatment: 'Treatment',
  whereItGoesWith: 'Place, bit and hold come later: the plan starts from what is usual.',
  another: (label: string): string => `Another ${label}`,
  suchAs65: 'such as 6.5 mm',
  suchAs516: 'such as 5/16 in',
  whatIsItMade: 'What is it made of?',
};
