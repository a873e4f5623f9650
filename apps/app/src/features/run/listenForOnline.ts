/** The browser’s own word that the network is back; elsewhere it is tried again by the clock alone. */
export function listenForOnline(how: 'add' | 'remove', back: () => void): void {
  if (typeof window === 'undefined' || typeof window.addEventListener !== 'function') return;
  if (how === 'add') window.addEventListener('online', back);
  else window.removeEventListener('online', back);
}
