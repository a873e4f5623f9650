/** A newer app has taken the place of the one that runs here. */
let outdated = false;

/**
 * Loads the newer app as one goes from page to page: parts of the old one, not fetched so far, are no longer there.
 * All that was typed is kept on the device.
 */
export function renewWhereOutdated(): void {
  if (outdated) location.reload();
}

/** Has the browser keep the app itself, so that it opens in a cellar without a signal. */
export function keepForOffline(): void {
  if (typeof navigator === 'undefined' || !('serviceWorker' in navigator)) return;
  const { serviceWorker } = navigator;
  // The first worker takes a page that came from the server as it is; any later one brings newer files.
  let controlled = serviceWorker.controller !== null;
  serviceWorker.addEventListener('controllerchange', () => {
    outdated = controlled;
    controlled = true;
  });
  const keep = (): void => {
    serviceWorker.register('/sw.js').catch(() => {
      // Not allowed here (a plain address other than this machine's): the app works on, online.
    });
  };
  // What the person came for goes first.
  if (document.readyState === 'complete') keep();
  else window.addEventListener('load', keep, { once: true });
}
