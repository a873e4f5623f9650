import type { Put, StoredHole, StoredPiece } from '@nucleon/contract/wire';
import type { Part } from '../draft/merge';
import { versionedDraft, type DraftAction, type VersionedDraft } from '../draft/versionedDraft';

/** What a person edits on the plan screen: the hole and the piece it is in. */
export interface Content {
  readonly piece: StoredPiece;
  readonly hole: StoredHole;
}

export type HoleDraft = VersionedDraft<Content>;
export type HoleAction = DraftAction<Content>;

export const holeDraft = versionedDraft<Content>({
  partsOf: ({ piece, hole }) =>
    new Map<string, Part>([
      ['piece', piece],
      ['hole', hole],
    ]),
  contentOf: (parts) => ({
    piece: parts.get('piece') as StoredPiece,
    hole: parts.get('hole') as StoredHole,
  }),
});

export const isHoleContent = (kept: unknown): kept is Content => {
  const { piece, hole } = (kept ?? {}) as Partial<Content>;
  return (
    typeof piece?.id === 'string' &&
    typeof piece.thicknessMm === 'number' &&
    typeof piece.version === 'number' &&
    typeof hole?.id === 'string' &&
    typeof hole.diameterMm === 'number' &&
    typeof hole.version === 'number'
  );
};

/** The body of a PUT: own fields and the version they were read at. */
export function bodyOf<T extends StoredPiece | StoredHole>(thing: T, version: number): Put<T> {
  const { id: _id, updatedAt: _at, version: _version, ...fields } = thing;
  const {
    pieceId: _piece,
    jobId: _job,
    ...own
  } = fields as typeof fields & { pieceId?: string; jobId?: string };
  return { ...own, version } as unknown as Put<T>;
}
