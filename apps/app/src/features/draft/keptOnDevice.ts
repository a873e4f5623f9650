/** Unsaved edits kept on the device until the server has them. */
const keyOf = (kind: string, id: string): string => `nucleon.${kind}.${id}`;

export function keepOnDevice(kind: string, id: string, content: object): void {
  try {
    globalThis.localStorage.setItem(keyOf(kind, id), JSON.stringify(content));
  } catch {
    // A full or forbidden store: the edit lives in memory until it is saved.
  }
}

export function dropFromDevice(kind: string, id: string): void {
  globalThis.localStorage.removeItem(keyOf(kind, id));
}

export function keptOnDevice<T>(kind: string, id: string): T | undefined {
  try {
    const text = globalThis.localStorage.getItem(keyOf(kind, id));
    return text ? (JSON.parse(text) as T) : undefined;
  } catch {
    return undefined;
  }
}
