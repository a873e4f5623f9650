/** A pistol grip in one hand, and two hands with a side handle of 0.2 m, N·m. */
export const ONE_HAND_NM = 8;
export const TWO_HANDS_NM = 20;
