/** Something between the hand and the drill that multiplies its force. */
export interface FeedAid {
  readonly name: string;
  /** Feed force over hand force. */
  readonly ratio: number;
  readonly how: string;
}

// prettier-ignore
export const FEED_AIDS = {
  none: { name: 'Nothing', ratio: 1, how: 'Both hands, arms nearly straight, lean from the hips.' },
  strap: { name: 'Strap round the waist', ratio: 1.6, how: 'The strap pulls the drill to you as you lean back: body weight does the half.' },
  lever: { name: 'Lever on a hook', ratio: 4, how: 'A bar hooked beside the drill: four parts of length to one.' },
  weight: { name: 'Hung weight', ratio: Infinity, how: 'A weight over a pulley or on the press handle holds the force; the hand only guides.' },
} as const satisfies Record<string, FeedAid>;

export type FeedAidId = keyof typeof FEED_AIDS;
export const FEED_AID_IDS = Object.keys(FEED_AIDS) as readonly FeedAidId[];
