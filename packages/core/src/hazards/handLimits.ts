/** A pistol grip in one hand, and two hands with a side handle of 0.2 m, N·m. */
export const ONE_HAND_NM = 8;
export const TWO_HANDS_NM = 20;
/** What a person can lean with steadily by hand, N: about a third of body weight. */
export const ARMS_N = 250;
