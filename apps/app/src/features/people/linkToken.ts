const TOKEN = /^#([\w-]{43})$/;

/** The secret of the link this page was opened by: it stands after #, which no server and no log ever sees. */
export function linkToken(): string | null {
  return typeof location === 'undefined' ? null : (TOKEN.exec(location.hash)?.[1] ?? null);
}

/** A link that carries a secret, at the address this page is at. */
export const linkWith = (path: '/join' | '/shown', token: string, origin: string): string =>
  `${origin}${path}#${token}`;
