/** How it lies while it is pressed. */
export type Stability = 'firm' | 'gives' | 'sways';
/** Sinking less than this is firm, and less than this a little, mm. */
const FIRM_MM = 0.1;
const GIVES_MM = 0.5;

export const stabilityOf = (deflectionMm: number): Stability =>
  deflectionMm < FIRM_MM ? 'firm' : deflectionMm < GIVES_MM ? 'gives' : 'sways';
