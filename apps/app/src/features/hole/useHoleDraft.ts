import type { HoleDetail } from '@nucleon/contract/wire';
import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect, useReducer } from 'react';
import { putHole } from '../../api/holes';
import { putPiece } from '../../api/pieces';
import { ApiProblem, Unreachable } from '../../api/problem';
import { useSaveWhenResting } from '../draft/useSaveWhenResting';
import {
  bodyOf,
  dirtyParts,
  holeDraft,
  openDraft,
  type Content,
  type DraftAction,
  type HoleDraft,
  type SaveState,
} from './holeDraft';
import { dropDraft, keepDraft, keptDraft } from './keptDraft';

export interface HoleDraftHandle {
  readonly draft: HoleDraft;
  readonly dispatch: (action: DraftAction) => void;
}

/** The draft of a hole and its piece, kept on the device until the server has it. */
export function useHoleDraft(detail: HoleDetail): HoleDraftHandle {
  const holeId = detail.hole.id;
  const [draft, dispatch] = useReducer(holeDraft, null, () => openDraft(detail, keptDraft(holeId)));

  useEffect(() => {
    dispatch({ type: 'refetched', detail: { piece: detail.piece, hole: detail.hole } });
  }, [detail]);

  useEffect(() => {
    if (dirtyParts(draft).length > 0) keepDraft(holeId, draft.now);
    else dropDraft(holeId);
  }, [draft, holeId]);

  return { draft, dispatch };
}

/**
 * Saves the draft by itself when typing rests, and tries again while the server is away.
 * @param sound false while its values clash: nothing half-made is sent
 */
export function useAutosave({ draft, dispatch }: HoleDraftHandle, sound: boolean): void {
  const client = useQueryClient();
  useSaveWhenResting(draft, sound, async () => {
    dispatch({ type: 'saving' });
    await saveParts(draft, dispatch, client);
  });
}

async function saveParts(
  draft: HoleDraft,
  dispatch: (action: DraftAction) => void,
  client: QueryClient,
): Promise<void> {
  for (const part of dirtyParts(draft)) {
    const fault = await savePart(part, draft, dispatch);
    if (fault) {
      dispatch({ type: 'failed', save: fault });
      return;
    }
  }
  dispatch({ type: 'settled' });
  void client.invalidateQueries({ queryKey: ['job', draft.now.piece.jobId] });
  void client.invalidateQueries({ queryKey: ['hole', draft.now.hole.id] });
}

async function savePart(
  part: 'piece' | 'hole',
  { now, stored }: { now: Content; stored: Content },
  dispatch: (action: DraftAction) => void,
): Promise<SaveState | null> {
  try {
    if (part === 'piece') {
      const { id, jobId } = now.piece;
      dispatch({
        type: 'saved',
        part,
        sent: now.piece,
        stored: await putPiece(jobId, id, bodyOf(now.piece, stored.piece.version)),
      });
    } else {
      const { id, pieceId } = now.hole;
      dispatch({
        type: 'saved',
        part,
        sent: now.hole,
        stored: await putHole(pieceId, id, bodyOf(now.hole, stored.hole.version)),
      });
    }
    return null;
  } catch (error) {
    return stateOf(error, part);
  }
}

function stateOf(error: unknown, part: 'piece' | 'hole'): SaveState {
  if (error instanceof ApiProblem && error.body.code === 'conflict') {
    return {
      kind: 'conflict',
      part,
      current: (error.body.current ?? null) as Content['hole'] | Content['piece'] | null,
    };
  }
  if (error instanceof ApiProblem) return { kind: 'refused', message: error.body.detail };
  return {
    kind: 'unreachable',
    message: error instanceof Unreachable ? error.message : 'The server cannot be reached.',
  };
}
