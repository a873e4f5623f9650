/** Shares of the working limit that the map steps at; the last is the limit itself. */
export const STRESS_STEPS = [0.01, 0.02, 0.05, 0.1, 0.2, 0.4, 0.7, 1] as const;
