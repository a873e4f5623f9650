import { newHistory, recorded, redone, undone, type History } from './history';
import { mergeParts, samePart, type Clash, type Part, type Parts, type Winner } from './merge';

/** What a draft is made of: one document, or several that are edited together. */
export interface DraftShape<T> {
  readonly partsOf: (content: T) => Parts;
  readonly contentOf: (parts: Parts) => T;
}

export type SaveState<T> =
  | { readonly kind: 'saved' }
  | { readonly kind: 'waiting' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'unreachable'; readonly message: string }
  | { readonly kind: 'refused'; readonly message: string }
  /** It was deleted elsewhere. */
  | { readonly kind: 'gone'; readonly message: string }
  /** Someone else changed the same fields; the person chooses. */
  | { readonly kind: 'conflict'; readonly theirs: T; readonly clashes: readonly Clash[] };

export interface VersionedDraft<T> extends History<T> {
  /** What the server has, as it was last heard. */
  readonly stored: T;
  /** Every document the server has had here, those deleted since too: undo may bring them back. */
  readonly known: Parts;
  /** Sent without an answer: the server may have it, and then it is nobody else’s. */
  readonly unanswered: readonly T[];
  readonly save: SaveState<T>;
}

export type DraftAction<T> =
  | {
      readonly type: 'edit';
      readonly change: (now: T) => T;
      /** Edits of one group that follow closely undo as one. */
      readonly group: string;
      readonly atMs: number;
    }
  | { readonly type: 'undo' }
  | { readonly type: 'redo' }
  | { readonly type: 'saving' }
  /** There was nothing to write after all: another screen’s answer came first. */
  | { readonly type: 'unwritten' }
  /** What was sent is written, and the server has now this. */
  | { readonly type: 'saved'; readonly sent: T; readonly stored: T }
  /** `sent` may have been written all the same. */
  | { readonly type: 'failed'; readonly save: SaveState<T>; readonly sent?: T }
  /** What the server has now was read. */
  | { readonly type: 'heard'; readonly stored: T }
  | { readonly type: 'keep-mine' }
  | { readonly type: 'take-theirs' };

/** What must be written so that the server has what stands here. */
export interface Due {
  readonly changed: readonly {
    readonly name: string;
    readonly part: Part;
    /** The version to write over; 0 where it is new. */
    readonly version: number;
  }[];
  readonly removed: readonly string[];
  /** Deleted on the server, and wanted again. */
  readonly restored: readonly string[];
}

/** An unsaved edit as the device keeps it, with what it was made from. */
export interface Unsaved<T> {
  readonly base: T;
  readonly now: T;
  readonly unanswered?: readonly T[];
}

export interface DraftEngine<T> {
  readonly open: (stored: T, unsaved?: Unsaved<T>) => VersionedDraft<T>;
  readonly reduce: (draft: VersionedDraft<T>, action: DraftAction<T>) => VersionedDraft<T>;
  /** null when the server has it all. */
  readonly due: (draft: Pick<VersionedDraft<T>, 'now' | 'stored' | 'known'>) => Due | null;
}

/** How what stands here compares with what the server has. */
function comparing<T>({ partsOf, contentOf }: DraftShape<T>) {
  const everyPart = (a: T, b: T, alike: (mine: Part, theirs: Part | undefined) => boolean) => {
    const [mine, theirs] = [partsOf(a), partsOf(b)];
    return (
      mine.size === theirs.size && [...mine].every(([name, part]) => alike(part, theirs.get(name)))
    );
  };
  const due: DraftEngine<T>['due'] = ({ now, stored, known }) => {
    const [mine, theirs] = [partsOf(now), partsOf(stored)];
    const changed = [...mine]
      .filter(([name, part]) => !samePart(part, theirs.get(name)))
      .map(([name, part]) => ({ name, part, version: known.get(name)?.version ?? 0 }));
    const removed = [...theirs.keys()].filter((name) => !mine.has(name));
    const restored = changed
      .map(({ name }) => name)
      .filter((name) => !theirs.has(name) && known.has(name));
    return changed.length + removed.length === 0 ? null : { changed, removed, restored };
  };
  return {
    due,
    isSame: (a: T, b: T): boolean => everyPart(a, b, samePart),
    isAsHeard: (a: T, b: T): boolean =>
      everyPart(a, b, (mine, theirs) => mine.version === theirs?.version),
    /** A reading from before what is known already: on its way while something was written. */
    isOlder: (stored: T, known: Parts): boolean =>
      [...partsOf(stored)].some(([name, { version }]) => version < (known.get(name)?.version ?? 0)),
    learned: (known: Parts, stored: T): Parts => new Map([...known, ...partsOf(stored)]),
    merge: (base: T, mine: T, theirs: T, winner: Winner) => {
      const merged = mergeParts(partsOf(base), partsOf(mine), partsOf(theirs), winner);
      return { content: contentOf(merged.parts), clashes: merged.clashes };
    },
  };
}

/** What becomes of a draft when the server has something else. */
function meeting<T>(shape: DraftShape<T>) {
  type Draft = VersionedDraft<T>;
  const { partsOf, contentOf } = shape;
  const { due, isAsHeard, isOlder, learned, merge } = comparing(shape);

  const settled = (draft: Draft): Draft => {
    if (draft.save.kind === 'conflict' || draft.save.kind === 'gone') return draft;
    return { ...draft, save: { kind: due(draft) ? 'waiting' : 'saved' } };
  };

  /** The draft, its past and its future as if they had been made from what the server has now. */
  const rebased = (draft: Draft, theirs: T, winner: Winner): Draft => {
    const over = (content: T): T => merge(draft.stored, content, theirs, 'mine').content;
    return {
      ...draft,
      stored: theirs,
      known: learned(draft.known, theirs),
      past: draft.past.map(over),
      now: merge(draft.stored, draft.now, theirs, winner).content,
      future: draft.future.map(over),
      save: { kind: 'waiting' },
    };
  };

  /** What was sent from here and never answered for is no one else’s change: it is what this draft stands on. */
  const withOwn = (draft: Draft, stored: T): Draft => {
    const now = partsOf(stored);
    const base = new Map(partsOf(draft.stored));
    for (const sent of draft.unanswered)
      for (const [name, part] of partsOf(sent)) {
        const theirs = now.get(name);
        if (theirs && samePart(part, theirs)) base.set(name, theirs);
      }
    return { ...draft, stored: contentOf(base) };
  };

  return {
    settled,
    /** Someone else’s change: put together with what stands here, or to be chosen from. */
    heard: (last: Draft, stored: T): Draft => {
      if (last.save.kind === 'saving' || isAsHeard(stored, last.stored)) return last;
      if (isOlder(stored, last.known)) return last;
      const draft = last.unanswered.length > 0 ? withOwn(last, stored) : last;
      const { clashes } = merge(draft.stored, draft.now, stored, 'mine');
      return clashes.length > 0
        ? { ...draft, save: { kind: 'conflict', theirs: stored, clashes } }
        : settled(rebased(draft, stored, 'mine'));
    },
    /** Chooses one side where they clash; one step back is the other. */
    chosen: (draft: Draft, winner: Winner): Draft => {
      if (draft.save.kind !== 'conflict') return draft;
      const { theirs } = draft.save;
      const other = merge(draft.stored, draft.now, theirs, winner === 'mine' ? 'theirs' : 'mine');
      const next = rebased(draft, theirs, winner);
      return settled({ ...next, past: [...next.past, other.content], future: [], lastEdit: null });
    },
    /** What the server made of what was sent; what was edited meanwhile stands. */
    written: (draft: Draft, sent: T, stored: T): Draft =>
      settled({
        ...draft,
        stored,
        known: learned(draft.known, stored),
        unanswered: [],
        now: merge(sent, draft.now, stored, 'mine').content,
      }),
  };
}

/**
 * One draft engine for whatever is edited: undo, what is due to be written, and what becomes of it when someone
 * else was first. Changes to different fields are put together and nobody is asked; the same field asks, and
 * undo brings the other choice back.
 */
export function versionedDraft<T>(shape: DraftShape<T>): DraftEngine<T> {
  const { due, isSame, isAsHeard, learned } = comparing(shape);
  const { settled, heard, chosen, written } = meeting(shape);
  return {
    due,
    open: (stored, unsaved) => {
      const fresh: VersionedDraft<T> = {
        ...newHistory(stored),
        stored,
        known: learned(new Map(), stored),
        unanswered: [],
        save: { kind: 'saved' },
      };
      if (!unsaved) return fresh;
      const { base, now, unanswered = [] } = unsaved;
      const left = { ...fresh, ...newHistory(now), stored: base, unanswered };
      return settled(
        isAsHeard(base, stored)
          ? left
          : heard({ ...left, known: learned(new Map(), base) }, stored),
      );
    },
    reduce: (draft, action) => {
      switch (action.type) {
        case 'edit': {
          const next = action.change(draft.now);
          return next === draft.now || isSame(next, draft.now)
            ? draft
            : settled({ ...draft, ...recorded(draft, next, action.group, action.atMs) });
        }
        case 'undo':
        case 'redo': {
          const to = action.type === 'undo' ? undone(draft) : redone(draft);
          return to.now === draft.now ? draft : settled({ ...draft, ...to });
        }
        case 'saving':
          return { ...draft, save: { kind: 'saving' } };
        case 'unwritten':
          return draft.save.kind === 'saving' ? settled(draft) : draft;
        case 'saved':
          return written(draft, action.sent, action.stored);
        case 'failed':
          return {
            ...draft,
            save: action.save,
            unanswered: action.sent ? [...draft.unanswered, action.sent] : draft.unanswered,
          };
        case 'heard':
          return heard(draft, action.stored);
        case 'keep-mine':
          return chosen(draft, 'mine');
        case 'take-theirs':
          return chosen(draft, 'theirs');
      }
    },
  };
}

/** The engine of a single document. */
export const oneDocument = <T extends Part>(): DraftEngine<T> =>
  versionedDraft<T>({
    partsOf: (content) => new Map([['part', content]]),
    contentOf: (parts) => parts.get('part') as T,
  });
