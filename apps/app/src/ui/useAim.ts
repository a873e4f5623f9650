import { useEffect, useRef } from 'react';

/**
 * Presses of a key come quicker than what they move follows: each goes on from where the last one aimed, until they
 * rest.
 * @param rested once no press has come for `restMs`
 */
export function useAim<T>(
  restMs: number,
  rested: (aim: T) => void = () => undefined,
): { readonly from: (now: T) => T; readonly to: (aim: T) => void } {
  const aim = useRef<{ readonly at: T } | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const latest = useRef(rested);
  latest.current = rested;
  useEffect(
    () => () => {
      clearTimeout(timer.current);
    },
    [],
  );
  return {
    from: (now) => aim.current?.at ?? now,
    to: (next) => {
      aim.current = { at: next };
      clearTimeout(timer.current);
      timer.current = setTimeout(() => {
        aim.current = null;
        latest.current(next);
      }, restMs);
    },
  };
}
