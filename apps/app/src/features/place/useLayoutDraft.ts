import type { PieceLayout } from '@nucleon/contract/wire';
import { useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { keys } from '../../api/keys';
import { layoutQuery, putLayout } from '../../api/layouts';
import { useDraftSave, useVersionedDraft, type DraftHandle } from '../draft/useVersionedDraft';
import { dueChange, isLayoutContent, layoutDraft, type LayoutContent } from './layoutDraft';
import { readAnew } from '../../api/readAnew';

export type LayoutHandle = DraftHandle<LayoutContent>;

const contentOf = ({ piece, holes }: PieceLayout): LayoutContent => ({ piece, holes });

/** The layout of a piece, kept on the device until the server has it. */
export function useLayoutDraft(layout: PieceLayout): LayoutHandle {
  const stored = useMemo(() => contentOf(layout), [layout]);
  const id = layout.piece.id;
  const room = { engine: layoutDraft, kind: 'layout', id, isContent: isLayoutContent };
  return useVersionedDraft(room, stored);
}

/**
 * Writes the layout in one go when moving rests, and tries again while the server is away.
 * @param sound false while a hole lies off the piece: nothing half-right is sent
 */
export function useLayoutSave(handle: LayoutHandle, sound: boolean): void {
  const client = useQueryClient();
  const { id: pieceId, jobId } = handle.draft.stored.piece;
  useDraftSave(handle, {
    sound,
    read: async () => contentOf(await client.query({ ...layoutQuery(pieceId), staleTime: 0 })),
    write: async (draft, done) => {
      const due = dueChange(draft);
      if (!due) return;
      const layout = await putLayout(pieceId, due);
      done(draft.now, contentOf(layout));
      // A reading on its way is older than this.
      await client.cancelQueries({ queryKey: keys.layout(pieceId) });
      client.setQueryData(layoutQuery(pieceId).queryKey, layout);
      void readAnew(client, { queryKey: keys.job(jobId) });
      for (const { id } of due.holes) void readAnew(client, { queryKey: keys.hole(id) });
    },
  });
}
