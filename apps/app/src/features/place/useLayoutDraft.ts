import type { PieceLayout } from '@nucleon/contract/wire';
import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect, useReducer } from 'react';
import { layoutQuery, putLayout } from '../../api/layouts';
import { ApiProblem, Unreachable } from '../../api/problem';
import { useSaveWhenResting } from '../draft/useSaveWhenResting';
import { dropFromDevice, keepOnDevice, keptOnDevice } from '../draft/keptOnDevice';
import {
  dueChange,
  layoutDraft,
  openLayout,
  type LayoutAction,
  type LayoutContent,
  type LayoutDraft,
  type LayoutSave,
} from './layoutDraft';

const KIND = 'layout';

export interface LayoutHandle {
  readonly draft: LayoutDraft;
  readonly dispatch: (action: LayoutAction) => void;
}

/** The layout of a piece, kept on the device until the server has it. */
export function useLayoutDraft(layout: PieceLayout): LayoutHandle {
  const id = layout.piece.id;
  const [draft, dispatch] = useReducer(layoutDraft, null, () =>
    openLayout(layout, keptOnDevice(KIND, id) as LayoutContent | undefined),
  );
  useEffect(() => {
    dispatch({ type: 'refetched', layout });
  }, [layout]);
  useEffect(() => {
    if (dueChange(draft)) keepOnDevice(KIND, id, draft.now);
    else dropFromDevice(KIND, id);
  }, [draft, id]);
  return { draft, dispatch };
}

/**
 * Writes the layout in one go when moving rests, and tries again while the server is away.
 * @param sound false while a hole lies off the piece: nothing half-right is sent
 */
export function useLayoutSave({ draft, dispatch }: LayoutHandle, sound: boolean): void {
  const client = useQueryClient();
  useSaveWhenResting(draft, sound, async () => {
    const { now } = draft;
    const due = dueChange(draft);
    if (!due) return;
    dispatch({ type: 'saving' });
    try {
      const layout = await putLayout(now.piece.id, due);
      dispatch({ type: 'saved', sent: now, layout });
      client.setQueryData(layoutQuery(now.piece.id).queryKey, layout);
      void client.invalidateQueries({ queryKey: ['job', now.piece.jobId] });
      due.holes.forEach((hole) => {
        void client.invalidateQueries({ queryKey: ['hole', hole.id] });
      });
    } catch (error) {
      dispatch({ type: 'failed', save: await stateOf(error, now.piece.id, client) });
    }
  });
}

/** What a failed write leaves: the other version to choose from, a refusal, or a server away. */
async function stateOf(error: unknown, pieceId: string, client: QueryClient): Promise<LayoutSave> {
  try {
    if (error instanceof ApiProblem && error.body.code === 'conflict') {
      const current = await client.query({ ...layoutQuery(pieceId), staleTime: 0 });
      return { kind: 'conflict', current };
    }
  } catch (again) {
    return stateOf(again, pieceId, client);
  }
  if (error instanceof ApiProblem) return { kind: 'refused', message: error.body.detail };
  return {
    kind: 'unreachable',
    message: error instanceof Unreachable ? error.message : 'The server cannot be reached.',
  };
}
