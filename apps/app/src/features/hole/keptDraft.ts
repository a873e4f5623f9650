import type { Content } from './holeDraft';

/** Unsaved edits kept on the device until the server has them. */
const keyOf = (holeId: string): string => `nucleon.draft.${holeId}`;

export function keepDraft(holeId: string, content: Content): void {
  try {
    globalThis.localStorage.setItem(keyOf(holeId), JSON.stringify(content));
  } catch {
    // A full or forbidden store: the edit lives in memory until it is saved.
  }
}

export function dropDraft(holeId: string): void {
  globalThis.localStorage.removeItem(keyOf(holeId));
}

export function keptDraft(holeId: string): Content | undefined {
  try {
    const text = globalThis.localStorage.getItem(keyOf(holeId));
    return text ? (JSON.parse(text) as Content) : undefined;
  } catch {
    return undefined;
  }
}
