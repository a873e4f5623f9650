import type { PieceLayout, PutLayout, StoredHole, StoredPiece } from '@nucleon/contract/wire';
import { newHistory, recorded, redone, undone, type History } from '../draft/history';
import { bodyOf, sameFields, type SaveState } from '../hole/holeDraft';

/** A piece and all its holes, as they are laid out together. */
export interface LayoutContent {
  readonly piece: StoredPiece;
  readonly holes: readonly StoredHole[];
}

export type LayoutSave =
  | Exclude<SaveState, { readonly kind: 'conflict' }>
  | { readonly kind: 'conflict'; readonly current: LayoutContent };

export interface LayoutDraft extends History<LayoutContent> {
  readonly stored: LayoutContent;
  /** What version the server last had of each hole, of those taken away too: undo may bring them back. */
  readonly versions: ReadonlyMap<string, number>;
  readonly save: LayoutSave;
}

export type LayoutAction =
  | {
      readonly type: 'edit';
      readonly change: (now: LayoutContent) => LayoutContent;
      readonly group: string;
      readonly atMs: number;
    }
  | { readonly type: 'undo' }
  | { readonly type: 'redo' }
  | { readonly type: 'saving' }
  | { readonly type: 'saved'; readonly sent: LayoutContent; readonly layout: LayoutContent }
  | { readonly type: 'failed'; readonly save: LayoutSave }
  | { readonly type: 'keep-mine' }
  | { readonly type: 'take-theirs' }
  | { readonly type: 'refetched'; readonly layout: LayoutContent };

const contentOf = ({ piece, holes }: LayoutContent): LayoutContent => ({ piece, holes });

/** What must be written so that the server has what stands here; null when it has. */
export function dueChange({
  now,
  stored,
  versions,
}: Pick<LayoutDraft, 'now' | 'stored' | 'versions'>): PutLayout | null {
  const before = new Map(stored.holes.map((hole) => [hole.id, hole]));
  const holes = now.holes
    .filter((hole) => {
      const was = before.get(hole.id);
      return !was || !sameFields(hole, was);
    })
    .map((hole) => ({
      ...bodyOf(hole, versions.get(hole.id) ?? 0),
      id: hole.id,
    }));
  const kept = new Set(now.holes.map(({ id }) => id));
  const removed = stored.holes.map(({ id }) => id).filter((id) => !kept.has(id));
  const reshaped = !sameFields(now.piece, stored.piece);
  // What the server has known and has no more was deleted, and is wanted again.
  const restored = now.holes
    .map(({ id }) => id)
    .filter((id) => !before.has(id) && (versions.get(id) ?? 0) > 0);
  if (holes.length === 0 && removed.length === 0 && !reshaped) return null;
  return {
    holes,
    ...(removed.length > 0 ? { removed } : {}),
    ...(restored.length > 0 ? { restored } : {}),
    ...(reshaped ? { piece: bodyOf(now.piece, stored.piece.version) } : {}),
  };
}

export function openLayout(layout: PieceLayout, kept?: LayoutContent): LayoutDraft {
  const stored = contentOf(layout);
  return settled({
    ...newHistory(kept ?? stored),
    stored,
    versions: learned(new Map(), stored),
    save: { kind: 'saved' },
  });
}

const learned = (
  versions: LayoutDraft['versions'],
  { holes }: LayoutContent,
): LayoutDraft['versions'] =>
  new Map([...versions, ...holes.map(({ id, version }) => [id, version] as const)]);

const settled = (draft: LayoutDraft): LayoutDraft => ({
  ...draft,
  save:
    draft.save.kind === 'conflict' ? draft.save : { kind: dueChange(draft) ? 'waiting' : 'saved' },
});

export function layoutDraft(draft: LayoutDraft, action: LayoutAction): LayoutDraft {
  switch (action.type) {
    case 'edit': {
      const next = action.change(draft.now);
      return next === draft.now
        ? draft
        : settled({ ...draft, ...recorded(draft, next, action.group, action.atMs) });
    }
    case 'undo':
      return settled({ ...draft, ...undone(draft) });
    case 'redo':
      return settled({ ...draft, ...redone(draft) });
    case 'saving':
      return { ...draft, save: { kind: 'saving' } };
    case 'saved': {
      const untouched = draft.now === action.sent;
      const now = untouched ? action.layout : withVersions(draft.now, action.layout);
      const versions = learned(draft.versions, action.layout);
      return settled({ ...draft, stored: action.layout, versions, now, save: { kind: 'saved' } });
    }
    case 'failed':
      return { ...draft, save: action.save };
    case 'keep-mine':
      return draft.save.kind === 'conflict'
        ? settled({
            ...draft,
            stored: draft.save.current,
            versions: learned(draft.versions, draft.save.current),
            save: { kind: 'waiting' },
          })
        : draft;
    case 'take-theirs': {
      if (draft.save.kind !== 'conflict') return draft;
      const { current } = draft.save;
      return {
        ...draft,
        ...recorded(draft, current, 'theirs', 0),
        stored: current,
        versions: learned(draft.versions, current),
        save: { kind: 'saved' },
      };
    }
    case 'refetched':
      // Newer data replaces what is shown only when nothing here is unsaved.
      return draft.save.kind === 'saved' && !isSame(action.layout, draft.stored)
        ? {
            ...draft,
            stored: action.layout,
            versions: learned(draft.versions, action.layout),
            now: action.layout,
          }
        : draft;
  }
}

const isSame = (a: LayoutContent, b: LayoutContent): boolean =>
  a.piece.version === b.piece.version &&
  a.holes.length === b.holes.length &&
  a.holes.every((hole, index) => {
    const other = b.holes[index];
    return other?.id === hole.id && other.version === hole.version;
  });

/** What was edited while it was being written stays, and learns the versions it now stands on. */
function withVersions(now: LayoutContent, { piece, holes }: LayoutContent): LayoutContent {
  const versions = new Map(holes.map((hole) => [hole.id, hole.version]));
  return {
    piece: { ...now.piece, version: piece.version },
    holes: now.holes.map((hole) => ({ ...hole, version: versions.get(hole.id) ?? hole.version })),
  };
}
