import { useEffect, useState } from 'react';

/** A second tap within this is the end of a double tap, ms. */
const DOUBLE_TAP_MS = 300;

/** Whether taps count yet: a question answers none that was meant for the one before it. */
export function useArmed(): boolean {
  const [armed, setArmed] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => {
      setArmed(true);
    }, DOUBLE_TAP_MS);
    return () => {
      clearTimeout(timer);
    };
  }, []);
  return armed;
}
