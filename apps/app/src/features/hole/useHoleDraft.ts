import type { HoleDetail, StoredHole, StoredPiece } from '@nucleon/contract/wire';
import { useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { putHole, restoreHole } from '../../api/holes';
import { keys } from '../../api/keys';
import { putPiece } from '../../api/pieces';
import type { ApiProblem } from '../../api/problem';
import { useDraftSave, useVersionedDraft, type DraftHandle } from '../draft/useVersionedDraft';
import { bodyOf, holeDraft, isHoleContent, type Content, type HoleDraft } from './holeDraft';
import { readAnew } from '../../api/readAnew';

export type HoleDraftHandle = DraftHandle<Content>;

/** The draft of a hole and its piece, kept on the device until the server has it. */
export function useHoleDraft({ piece, hole }: HoleDetail): HoleDraftHandle {
  const stored = useMemo(() => ({ piece, hole }), [piece, hole]);
  const room = { engine: holeDraft, kind: 'draft', id: hole.id, isContent: isHoleContent };
  return useVersionedDraft(room, stored);
}

/** Writes the piece where it changed, then the hole. */
async function write(
  draft: HoleDraft,
  done: (sent: Content, stored: Content) => void,
): Promise<void> {
  const { now } = draft;
  let { stored } = draft;
  const due = holeDraft.due(draft)?.changed ?? [];
  const versionOf = (name: string): number | undefined =>
    due.find((one) => one.name === name)?.version;
  const ofPiece = versionOf('piece');
  if (ofPiece !== undefined) {
    const { id, jobId } = now.piece;
    const piece = await putPiece(jobId, id, bodyOf(now.piece, ofPiece));
    const sent = { ...stored, piece: now.piece };
    stored = { ...stored, piece };
    done(sent, stored);
  }
  const ofHole = versionOf('hole');
  if (ofHole === undefined) return;
  const { id, pieceId } = now.hole;
  const hole = await putHole(pieceId, id, bodyOf(now.hole, ofHole));
  done({ ...stored, hole: now.hole }, { ...stored, hole });
}

/** Of a conflict the API says what it has: the piece, or the hole, by which was being written. */
function theirs({ body }: ApiProblem, { stored }: HoleDraft): Promise<Content> {
  const current = body.current as StoredPiece | StoredHole | null;
  if (!current) return Promise.resolve(stored);
  return Promise.resolve(
    'pieceId' in current ? { ...stored, hole: current } : { ...stored, piece: current },
  );
}

/**
 * Saves the draft by itself when typing rests, and tries again while the server is away.
 * @param sound false while its values clash: nothing half-made is sent
 */
export function useAutosave(handle: HoleDraftHandle, sound: boolean): void {
  const client = useQueryClient();
  useDraftSave(handle, {
    sound,
    read: theirs,
    write: async (draft, done) => {
      await write(draft, done);
      void readAnew(client, { queryKey: keys.job(draft.now.piece.jobId) });
      void readAnew(client, { queryKey: keys.hole(draft.now.hole.id) });
    },
  });
}

/** Brings a hole back that was deleted elsewhere, with what it stands in; the draft is then saved over it. */
export async function bringBack({ draft, dispatch }: HoleDraftHandle): Promise<void> {
  await restoreHole(draft.now.hole.id);
  dispatch({ type: 'failed', save: { kind: 'waiting' } });
}
