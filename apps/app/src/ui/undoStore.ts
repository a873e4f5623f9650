import { create } from 'zustand';

export interface UndoOffer {
  readonly message: string;
  readonly undo: () => Promise<void>;
}

interface UndoStore {
  readonly offer: UndoOffer | null;
  readonly show: (offer: UndoOffer) => void;
  readonly clear: () => void;
}

/** The last thing that can be taken back, offered for a while at the foot of the screen. */
export const useUndo = create<UndoStore>((set) => ({
  offer: null,
  show: (offer) => {
    set({ offer });
  },
  clear: () => {
    set({ offer: null });
  },
}));
