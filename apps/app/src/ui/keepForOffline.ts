/** Has the browser keep the app itself, so that it opens in a cellar without a signal. */
export function keepForOffline(): void {
  if (typeof navigator === 'undefined' || !('serviceWorker' in navigator)) return;
  const keep = (): void => {
    navigator.serviceWorker.register('/sw.js').catch(() => {
      // Not allowed here (a plain address other than this machine's): the app works on, online.
    });
  };
  // What the person came for goes first.
  if (document.readyState === 'complete') keep();
  else window.addEventListener('load', keep, { once: true });
}
