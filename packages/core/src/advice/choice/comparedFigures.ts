/** What ways of making a hole are compared in. */
export const COMPARED_FIGURES = ['time', 'crack', 'chip', 'effort', 'cost'] as const;
export type ComparedFigure = (typeof COMPARED_FIGURES)[number];
