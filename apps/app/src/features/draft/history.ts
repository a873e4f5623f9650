/** What stands now, with the way back and forth. */
export interface History<T> {
  readonly now: T;
  readonly past: readonly T[];
  readonly future: readonly T[];
  /** When the last edit was made, so that one drag or one typed number undoes as one. */
  readonly lastEdit: { readonly group: string; readonly atMs: number } | null;
}

/** Edits of one field closer together than this undo as one, ms. */
const ONE_EDIT_MS = 1200;
const LONGEST_PAST = 100;

export const newHistory = <T>(now: T): History<T> => ({
  now,
  past: [],
  future: [],
  lastEdit: null,
});

/** One more edit; edits of one group that follow closely are taken back together. */
export function recorded<T>(
  { now, past, lastEdit }: History<T>,
  next: T,
  group: string,
  atMs: number,
): History<T> {
  const goesOn =
    lastEdit !== null && lastEdit.group === group && atMs - lastEdit.atMs < ONE_EDIT_MS;
  return {
    now: next,
    past: goesOn ? past : [...past, now].slice(-LONGEST_PAST),
    future: [],
    lastEdit: { group, atMs },
  };
}

/** One step back; the same where there is none. */
export function undone<T>(history: History<T>): History<T> {
  const { now, past, future } = history;
  const to = past.at(-1);
  return to === undefined
    ? history
    : { now: to, past: past.slice(0, -1), future: [now, ...future], lastEdit: null };
}

/** One step forth again. */
export function redone<T>(history: History<T>): History<T> {
  const { now, past, future } = history;
  const [to] = future;
  return to === undefined
    ? history
    : { now: to, past: [...past, now], future: future.slice(1), lastEdit: null };
}
