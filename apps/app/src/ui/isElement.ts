/** In the browser a native view is an element that listens; in tests it is not. */
export const isElement = (view: unknown): view is HTMLElement =>
  typeof (view as { addEventListener?: unknown } | null)?.addEventListener === 'function';
