/** Raised when what is kept changes its form; what stands in another form is not read. */
const FORM = 1;

/** Unsaved edits kept on the device until the server has them. */
const keyOf = (kind: string, id: string): string => `nucleon.${kind}.${id}`;

export function keepOnDevice(kind: string, id: string, content: object): void {
  try {
    globalThis.localStorage.setItem(keyOf(kind, id), JSON.stringify({ form: FORM, content }));
  } catch {
    // A full or forbidden store: the edit lives in memory until it is saved.
  }
}

export function dropFromDevice(kind: string, id: string): void {
  try {
    globalThis.localStorage.removeItem(keyOf(kind, id));
  } catch {
    // A forbidden store has kept nothing.
  }
}

/** What was kept, as it was written by this app; undefined when nothing was. */
export function keptOnDevice(kind: string, id: string): unknown {
  try {
    const text = globalThis.localStorage.getItem(keyOf(kind, id));
    return text ? contentOf(JSON.parse(text)) : undefined;
  } catch {
    return undefined;
  }
}

/** Before forms were counted the content itself was kept. */
function contentOf(kept: unknown): unknown {
  if (typeof kept !== 'object' || kept === null || !('form' in kept)) return kept;
  return kept.form === FORM && 'content' in kept ? kept.content : undefined;
}
