import type { PieceLayout } from '@nucleon/contract/wire';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useReducer, useRef } from 'react';
import { layoutQuery, putLayout } from '../../api/layouts';
import { ApiProblem, Unreachable } from '../../api/problem';
import { dropFromDevice, keepOnDevice, keptOnDevice } from '../draft/keptOnDevice';
import {
  dueChange,
  layoutDraft,
  openLayout,
  type LayoutAction,
  type LayoutContent,
  type LayoutDraft,
} from './layoutDraft';

const KIND = 'layout';
const SAVE_AFTER_MS = 500;
const RETRY_AFTER_MS = 2500;

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
  const latest = useRef(draft);
  latest.current = draft;
  const writing = useRef(false);
  const { kind } = draft.save;
  useEffect(() => {
    if (!sound || (kind !== 'waiting' && kind !== 'unreachable')) return;
    const write = async (): Promise<void> => {
      const { now, stored } = latest.current;
      const { id, jobId } = now.piece;
      const due = dueChange({ now, stored });
      if (!due) return;
      dispatch({ type: 'saving' });
      try {
        const layout = await putLayout(id, due);
        dispatch({ type: 'saved', sent: now, layout });
        client.setQueryData(layoutQuery(id).queryKey, layout);
        void client.invalidateQueries({ queryKey: ['job', jobId] });
        due.holes.forEach((hole) => {
          void client.invalidateQueries({ queryKey: ['hole', hole.id] });
        });
      } catch (error) {
        if (error instanceof ApiProblem && error.body.code === 'conflict') {
          const current = await client.query({ ...layoutQuery(id), staleTime: 0 });
          dispatch({ type: 'failed', save: { kind: 'conflict', current } });
        } else if (error instanceof ApiProblem) {
          dispatch({ type: 'failed', save: { kind: 'refused', message: error.body.detail } });
        } else {
          const message =
            error instanceof Unreachable ? error.message : 'The server cannot be reached.';
          dispatch({ type: 'failed', save: { kind: 'unreachable', message } });
        }
      }
    };
    const timer = setTimeout(
      () => {
        if (writing.current) return;
        writing.current = true;
        void write()
          .catch(() => {
            dispatch({
              type: 'failed',
              save: { kind: 'unreachable', message: 'The server cannot be reached.' },
            });
          })
          .finally(() => {
            writing.current = false;
          });
      },
      kind === 'waiting' ? SAVE_AFTER_MS : RETRY_AFTER_MS,
    );
    return () => {
      clearTimeout(timer);
    };
  }, [sound, kind, draft.now, draft.save, dispatch, client]);
}
