/** What goes wrong where, in the order in which it is told; `clean` is where none of it does. */
export const WINDOW_AREAS = [
  'glazes',
  'chips',
  'overheats',
  'throws-water',
  'stalls',
  'beyond-hands',
  'too-slow',
  'too-fast',
] as const;
export type WindowArea = (typeof WINDOW_AREAS)[number];
