import type { HoleDetail, Put, StoredHole, StoredPiece } from '@nucleon/contract/wire';
import { newHistory, recorded, redone, undone, type History } from '../draft/history';

/** What a person edits on the plan screen: the hole and the piece it is in. */
export interface Content {
  readonly piece: StoredPiece;
  readonly hole: StoredHole;
}

export type SaveState =
  | { readonly kind: 'saved' }
  | { readonly kind: 'waiting' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'unreachable'; readonly message: string }
  | { readonly kind: 'refused'; readonly message: string }
  | {
      readonly kind: 'conflict';
      readonly part: 'piece' | 'hole';
      readonly current: StoredPiece | StoredHole | null;
    };

export interface HoleDraft extends History<Content> {
  /** What the server has, with the versions to write against. */
  readonly stored: Content;
  readonly save: SaveState;
}

export type DraftAction =
  | {
      readonly type: 'edit';
      readonly change: Partial<{ piece: Partial<StoredPiece>; hole: Partial<StoredHole> }>;
      readonly group: string;
      readonly atMs: number;
    }
  | { readonly type: 'undo' }
  | { readonly type: 'redo' }
  | { readonly type: 'saving' }
  | {
      readonly type: 'saved';
      readonly part: 'piece';
      readonly sent: StoredPiece;
      readonly stored: StoredPiece;
    }
  | {
      readonly type: 'saved';
      readonly part: 'hole';
      readonly sent: StoredHole;
      readonly stored: StoredHole;
    }
  | { readonly type: 'settled' }
  | { readonly type: 'failed'; readonly save: SaveState }
  | { readonly type: 'keep-mine' }
  | { readonly type: 'take-theirs' }
  | { readonly type: 'refetched'; readonly detail: Content };

export const openDraft = (
  detail: Pick<HoleDetail, 'piece' | 'hole'>,
  kept?: Content,
): HoleDraft => {
  const stored: Content = { piece: detail.piece, hole: detail.hole };
  const now = kept ? { piece: { ...kept.piece }, hole: { ...kept.hole } } : stored;
  const draft: HoleDraft = {
    ...newHistory(now),
    stored,
    save: { kind: 'saved' },
  };
  return dirtyParts(draft).length > 0 ? { ...draft, save: { kind: 'waiting' } } : draft;
};

/** Fields the server keeps; never part of what was edited. */
const KEPT = new Set(['version', 'updatedAt']);

export const sameFields = (a: object, b: object): boolean => {
  const plain = (value: object): string =>
    JSON.stringify(
      Object.entries(value)
        .filter(([key, field]) => !KEPT.has(key) && field !== undefined)
        .sort(([x], [y]) => (x < y ? -1 : 1)),
    );
  return plain(a) === plain(b);
};

/** Which of the two differ from what the server has: the piece is written first. */
export function dirtyParts({
  now,
  stored,
}: Pick<HoleDraft, 'now' | 'stored'>): readonly ('piece' | 'hole')[] {
  return (['piece', 'hole'] as const).filter((part) => !sameFields(now[part], stored[part]));
}

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

export function holeDraft(draft: HoleDraft, action: DraftAction): HoleDraft {
  switch (action.type) {
    case 'edit':
      return edited(draft, action);
    case 'undo':
      return travelled(draft, undone(draft));
    case 'redo':
      return travelled(draft, redone(draft));
    case 'saving':
      return { ...draft, save: { kind: 'saving' } };
    case 'saved':
      return written(draft, action);
    case 'settled':
      return { ...draft, save: { kind: dirtyParts(draft).length > 0 ? 'waiting' : 'saved' } };
    case 'failed':
      return { ...draft, save: action.save };
    case 'keep-mine':
      return overTheirs(draft);
    case 'take-theirs':
      return theirs(draft);
    case 'refetched':
      return refetched(draft, action.detail);
  }
}

function edited(draft: HoleDraft, action: Extract<DraftAction, { type: 'edit' }>): HoleDraft {
  const now: Content = {
    piece: { ...draft.now.piece, ...action.change.piece },
    hole: { ...draft.now.hole, ...action.change.hole },
  };
  if (sameFields(now.piece, draft.now.piece) && sameFields(now.hole, draft.now.hole)) return draft;
  return {
    ...draft,
    ...recorded(draft, now, action.group, action.atMs),
    save: draft.save.kind === 'conflict' ? draft.save : { kind: 'waiting' },
  };
}

/** What the server made of it stands here too, unless more was typed meanwhile. */
function written(draft: HoleDraft, action: Extract<DraftAction, { type: 'saved' }>): HoleDraft {
  const untouched = draft.now[action.part] === action.sent;
  return {
    ...draft,
    stored: { ...draft.stored, [action.part]: action.stored },
    now: untouched ? { ...draft.now, [action.part]: action.stored } : draft.now,
  };
}

function travelled(draft: HoleDraft, to: History<Content>): HoleDraft {
  if (to.now === draft.now) return draft;
  const moved = { ...draft, ...to };
  return {
    ...moved,
    save:
      draft.save.kind === 'conflict'
        ? draft.save
        : { kind: dirtyParts(moved).length > 0 ? 'waiting' : 'saved' },
  };
}

/** Theirs becomes the base, mine is written over it. */
function overTheirs(draft: HoleDraft): HoleDraft {
  if (draft.save.kind !== 'conflict' || !draft.save.current) return draft;
  return {
    ...draft,
    stored: { ...draft.stored, [draft.save.part]: draft.save.current },
    save: { kind: 'waiting' },
  };
}

function theirs(draft: HoleDraft): HoleDraft {
  if (draft.save.kind !== 'conflict' || !draft.save.current) return draft;
  const { part, current } = draft.save;
  const next = {
    ...draft,
    stored: { ...draft.stored, [part]: current },
    now: { ...draft.now, [part]: current },
    past: [...draft.past, draft.now],
    future: [],
    lastEdit: null,
  };
  return { ...next, save: { kind: dirtyParts(next).length > 0 ? 'waiting' : 'saved' } };
}

/** Newer data from the server replaces what is shown only when nothing here is unsaved. */
function refetched(draft: HoleDraft, detail: Content): HoleDraft {
  const isNewer =
    detail.piece.version > draft.stored.piece.version ||
    detail.hole.version > draft.stored.hole.version;
  if (!isNewer || draft.save.kind !== 'saved') return draft;
  return {
    ...draft,
    stored: { piece: detail.piece, hole: detail.hole },
    now: { piece: detail.piece, hole: detail.hole },
  };
}
