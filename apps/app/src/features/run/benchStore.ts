import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

/** How this device behaves at the bench. */
export interface Bench {
  readonly speak: boolean;
  readonly tones: boolean;
  readonly vibrate: boolean;
  /** Which hand is free for the screen. */
  readonly hand: 'right' | 'left';
  readonly set: (change: Partial<Omit<Bench, 'set'>>) => void;
}

export const useBench = create<Bench>()(
  persist(
    (set) => ({
      speak: false,
      tones: true,
      vibrate: true,
      hand: 'right',
      set: (change) => {
        set(change);
      },
    }),
    {
      name: 'nucleon.bench',
      storage: createJSONStorage(() => globalThis.localStorage),
      partialize: ({ speak, tones, vibrate, hand }) => ({ speak, tones, vibrate, hand }),
    },
  ),
);
