/** Has the browser keep the app itself, so that it opens in a cellar without a signal. */
export function keepForOffline(): void {
  if (typeof navigator === 'undefined' || !('serviceWorker' in navigator)) return;
  navigator.serviceWorker.register('/sw.js').catch(() => {
    // Not allowed here (a plain address other than this machine's): the app works on, online.
  });
}
