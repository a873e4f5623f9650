import type { PutLayout, StoredHole, StoredPiece } from '@nucleon/contract/wire';
import { versionedDraft, type DraftAction, type VersionedDraft } from '../draft/versionedDraft';
import { bodyOf } from '../hole/holeDraft';

/** A piece and all its holes, as they are laid out together. */
export interface LayoutContent {
  readonly piece: StoredPiece;
  readonly holes: readonly StoredHole[];
}

export type LayoutDraft = VersionedDraft<LayoutContent>;
export type LayoutAction = DraftAction<LayoutContent>;

const PIECE = 'piece';

/** Its documents are the piece, and each hole under its id. */
export const layoutDraft = versionedDraft<LayoutContent>({
  partsOf: ({ piece, holes }) =>
    new Map<string, StoredPiece | StoredHole>([
      [PIECE, piece],
      ...holes.map((hole) => [hole.id, hole] as const),
    ]),
  contentOf: (parts) => ({
    piece: parts.get(PIECE) as StoredPiece,
    holes: [...parts].flatMap(([name, part]) => (name === PIECE ? [] : [part as StoredHole])),
  }),
});

export const isLayoutContent = (kept: unknown): kept is LayoutContent => {
  const { piece, holes } = (kept ?? {}) as Partial<LayoutContent>;
  return (
    typeof piece?.id === 'string' &&
    typeof piece.version === 'number' &&
    Array.isArray(holes) &&
    (holes as readonly Partial<StoredHole>[]).every(
      ({ id, xMm, yMm, version }) =>
        typeof id === 'string' && [xMm, yMm, version].every((one) => typeof one === 'number'),
    )
  );
};

/** What must be written so that the server has what stands here; null when it has. */
export function dueChange(draft: LayoutDraft): PutLayout | null {
  const due = layoutDraft.due(draft);
  if (!due) return null;
  const { changed, removed, restored } = due;
  const piece = changed.find(({ name }) => name === PIECE);
  return {
    holes: changed
      .filter(({ name }) => name !== PIECE)
      .map(({ name, part, version }) => ({ ...bodyOf(part as StoredHole, version), id: name })),
    ...(removed.length > 0 ? { removed } : {}),
    ...(restored.length > 0 ? { restored } : {}),
    ...(piece ? { piece: bodyOf(piece.part as StoredPiece, piece.version) } : {}),
  };
}
