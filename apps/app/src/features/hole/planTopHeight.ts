const KEY = 'nucleon.plan-top-px';
const TALLEST_PX = 2000;

/** How tall the top of the last plan stood, px: so much room is kept until the next is worked out. */
export function lastTopHeight(otherwise: number): number {
  const kept = Number(globalThis.localStorage.getItem(KEY));
  return kept > 0 && kept < TALLEST_PX ? kept : otherwise;
}

export function keepTopHeight(px: number): void {
  try {
    globalThis.localStorage.setItem(KEY, String(Math.round(px)));
  } catch {
    // A full store: the room is guessed the next time.
  }
}
