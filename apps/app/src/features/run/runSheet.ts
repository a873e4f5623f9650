/** What lies over the run: noting a sign, a measured depth, an end before its time, how it calls out. */
export type RunSheet = 'signs' | 'measure' | 'stop' | 'bench';
