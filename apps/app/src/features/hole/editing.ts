import type { StoredHole, StoredPiece } from '@nucleon/contract/wire';
import type { Setup } from '@nucleon/core/documents/setup';
import type { HoleDraftHandle } from './useHoleDraft';

/** What of a setup the operations are derived from. */
const LISTED_FROM = ['bit', 'bits', 'sides'] as const satisfies readonly (keyof Setup)[];

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
      const setup = { ...hole.setup, ...change };
      // Another bit or another face is another list of operations.
      const isAnew = hole.operations !== undefined && LISTED_FROM.some((field) => field in change);
      changeHole(isAnew ? { setup, operations: undefined } : { setup }, group);
    },
  };
}
