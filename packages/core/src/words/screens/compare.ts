/** Compare methods. */
export const compareWords = {
  pick: 'Pick',
  pickQuestion: (question: string, label: string): string => `${question}: pick ${label}`,
  needsNothingMore: 'Needs nothing more',
  best: ' · best',
  isYourHouseHabit: (label: string): string => `“${label}” is your house habit: forget it`,
  alwaysUnlessISay: (label: string): string => `Always “${label}”, unless I say otherwise`,
  compareMethods: 'Compare methods',
  theWays: 'the ways',
  bothWaysWorkWhat:
    'Both ways work; what each costs on this job is computed, with all else as planned. Pick one and it becomes the plan.',
  needs: (need: string, more: string): string => `Needs ${need}${more}`,
  youHave: (need: string, have: string): string => `${need}: you have “${have}”`,
};
