/** Exact by the international yard and pound agreement of 1959. */
export const MM_PER_INCH = 25.4;
/** Standard gravity, exact by convention, m/s². */
export const STANDARD_GRAVITY_M_PER_S2 = 9.80665;
/** Exact: 1 lb = 0.45359237 kg under standard gravity. */
export const NEWTON_PER_LBF = 0.45359237 * STANDARD_GRAVITY_M_PER_S2;
export const NEWTON_PER_KGF = STANDARD_GRAVITY_M_PER_S2;
/** 1 psi in MPa. */
export const MPA_PER_PSI = NEWTON_PER_LBF / (MM_PER_INCH * MM_PER_INCH);
/** US liquid quart, exact. */
export const LITRE_PER_US_QUART = 0.946352946;

/** International avoirdupois pound, exact. */
export const KG_PER_LB = 0.453_592_37;
