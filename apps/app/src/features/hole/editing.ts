import type { StoredHole, StoredPiece } from '@nucleon/contract/wire';
import type { Setup } from '@nucleon/core/documents/setup';
import type { HoleDraftHandle } from './useHoleDraft';

/** What the folds are given: what stands now and how to change it. */
export interface Editing {
  readonly piece: StoredPiece;
  readonly hole: StoredHole;
  readonly changePiece: (change: Partial<StoredPiece>, group: string) => void;
  readonly changeHole: (change: Partial<StoredHole>, group: string) => void;
  readonly changeSetup: (change: Partial<Setup>, group: string) => void;
}

export function editing({ draft, dispatch }: HoleDraftHandle, nowMs: () => number): Editing {
  const { piece, hole } = draft.now;
  const changeHole: Editing['changeHole'] = (change, group) => {
    dispatch({
      type: 'edit',
      change: (now) => ({ ...now, hole: { ...now.hole, ...change } }),
      group,
      atMs: nowMs(),
    });
  };
  return {
    piece,
    hole,
    changePiece: (change, group) => {
      dispatch({
        type: 'edit',
        change: (now) => ({ ...now, piece: { ...now.piece, ...change } }),
        group,
        atMs: nowMs(),
      });
    },
    changeHole,
    changeSetup: (change, group) => {
      changeHole({ setup: { ...hole.setup, ...change } }, group);
    },
  };
}
