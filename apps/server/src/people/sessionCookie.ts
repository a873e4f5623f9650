import { parseCookie } from 'cookie';
import type { CookieOptions, Request, Response } from 'express';

/** `__Host-`: browsers take it over TLS alone, for this very name, from nowhere else (RFC 6265bis, 4.1.3.2). */
const NAME = '__Host-nucleon';
const OPTIONS: CookieOptions = { httpOnly: true, secure: true, sameSite: 'strict', path: '/' };
/** Browsers keep none longer; each answer to `GET /session` begins it anew. */
const MAX_AGE_MS = 400 * 24 * 3600 * 1000;

export const sessionTokenOf = (request: Request): string | undefined =>
  parseCookie(request.headers.cookie ?? '')[NAME];

export const giveSession = (response: Response, token: string): void => {
  response.cookie(NAME, token, { ...OPTIONS, maxAge: MAX_AGE_MS });
};

export const takeSession = (response: Response): void => {
  response.clearCookie(NAME, OPTIONS);
};
