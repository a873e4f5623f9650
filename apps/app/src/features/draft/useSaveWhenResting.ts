import { useEffect, useRef } from 'react';
import type { SaveState } from './versionedDraft';

const SAVE_AFTER_MS = 500;
const RETRY_AFTER_MS = 2500;

interface Resting {
  readonly save: Pick<SaveState<unknown>, 'kind'>;
  readonly now: unknown;
}

/**
 * Writes a draft by itself when typing or moving rests, and tries again while the server is away.
 * Two writes at once would meet each other as a conflict: the second waits for the first.
 * @param sound false while its values clash: nothing half-made is sent
 * @param write tells the draft itself what came of it; must not throw
 */
export function useSaveWhenResting(
  { save, now }: Resting,
  sound: boolean,
  write: () => Promise<void>,
): void {
  const latest = useRef(write);
  latest.current = write;
  const writing = useRef(false);
  const { kind } = save;
  const rests = useRef(false);
  rests.current = sound && kind === 'waiting';
  // Left before it rested: sent on the way out. What the device keeps is put together with it when it is opened.
  useEffect(
    () => () => {
      if (rests.current && !writing.current) void latest.current();
    },
    [],
  );
  useEffect(() => {
    if (!sound || (kind !== 'waiting' && kind !== 'unreachable')) return;
    const timer = setTimeout(
      () => {
        if (writing.current) return;
        writing.current = true;
        void latest.current().finally(() => {
          writing.current = false;
        });
      },
      kind === 'waiting' ? SAVE_AFTER_MS : RETRY_AFTER_MS,
    );
    return () => {
      clearTimeout(timer);
    };
  }, [sound, kind, now, save]);
}
