import { useEffect, useRef } from 'react';

export interface KeyBinding {
  /** As KeyboardEvent.key; `ctrl+z` with the modifier before it. */
  readonly key: string;
  readonly does: string;
  readonly run: (event: KeyboardEvent) => void;
}

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.tagName === 'INPUT' || target.tagName === 'TEXTAREA' || target.isContentEditable);

/** Space and Enter press the button that has the focus. */
const isPressing = ({ key, target }: KeyboardEvent): boolean =>
  (key === ' ' || key === 'Enter') &&
  target instanceof HTMLElement &&
  target.closest('button, a, [role=radio], [role=checkbox], [role=link]') !== null;

/** Listens while the screen is up; plain letters are left to whoever is typing. */
export function useKeys(bindings: readonly KeyBinding[]): void {
  const latest = useRef(bindings);
  latest.current = bindings;
  useEffect(() => {
    if (typeof window === 'undefined' || typeof window.addEventListener !== 'function') return;
    const onKey = (event: KeyboardEvent): void => {
      const modified = event.ctrlKey || event.metaKey;
      const pressed = `${modified ? 'ctrl+' : ''}${modified && event.shiftKey ? 'shift+' : ''}${event.key.length === 1 ? event.key.toLowerCase() : event.key}`;
      const binding = latest.current.find((one) => one.key === pressed);
      if (!binding || isTyping(event.target) || isPressing(event)) return;
      event.preventDefault();
      binding.run(event);
    };
    window.addEventListener('keydown', onKey);
    return () => {
      window.removeEventListener('keydown', onKey);
    };
  }, []);
}
