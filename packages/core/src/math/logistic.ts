/** 1/(1 + e^(−x)): from 0 to 1, one half at 0. */
export const logistic = (x: number): number => 1 / (1 + Math.exp(-x));
