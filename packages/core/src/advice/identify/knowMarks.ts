/** Steps of getting to know a piece that are not questions of a test, in their order. */
export const KNOW_STEPS = [
  'kind',
  'which',
  'found',
  'treatment',
  'form',
  'layers',
  'thickness',
  'loose',
  'damage',
  'age',
  'worth',
  'done',
] as const;
export type KnowStep = (typeof KNOW_STEPS)[number];

/** How a step is marked among the answers once it is behind. */
export const markOf = (step: KnowStep): string => `step:${step}`;
