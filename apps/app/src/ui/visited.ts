/** How long after going back a page may still be arriving, ms. */
const ARRIVING_MS = 3000;

/** Where each address was last scrolled to, px. */
const scrolled = new Map<string, number>();
let wentBackAt = -Infinity;
let opened = 0;

if (typeof window !== 'undefined')
  window.addEventListener('popstate', () => {
    wentBackAt = performance.now();
  });

const address = (): string => location.pathname + location.search;

/** Whether the page that opens now is one that was gone back to. */
const isBack = (): boolean => performance.now() - wentBackAt < ARRIVING_MS;

/** Counts the pages opened since the app was: the first is not moved to, it is where one is. */
export function isFirstPage(): boolean {
  opened += 1;
  return opened === 1;
}

/**
 * Keeps how far a page is scrolled, by its address, and puts it there again where it is gone back to: as soon as
 * what it shows is long enough.
 * @returns stops it
 */
export function keepScroll(view: HTMLElement): () => void {
  let target = 0;
  const reach = (): void => {
    if (target > 0 && view.scrollHeight - view.clientHeight >= target) {
      view.scrollTop = target;
      target = 0;
    }
  };
  const arrive = (): void => {
    target = scrolled.get(address()) ?? 0;
    reach();
  };
  const grown = new ResizeObserver(reach);
  for (const child of view.children) grown.observe(child);
  if (isBack()) arrive();
  // A page that goes back by its own button opens before the address changes.
  window.addEventListener('popstate', arrive);
  const given = setTimeout(() => {
    target = 0;
    window.removeEventListener('popstate', arrive);
  }, ARRIVING_MS);
  const note = (): void => {
    // A page that is not there yet is shorter: its place is not lost to that.
    if (target === 0) scrolled.set(address(), view.scrollTop);
  };
  view.addEventListener('scroll', note, { passive: true });
  return () => {
    clearTimeout(given);
    grown.disconnect();
    window.removeEventListener('popstate', arrive);
    view.removeEventListener('scroll', note);
  };
}
