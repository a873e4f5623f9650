import { apiWords } from '@nucleon/core/words/screens/api';
import type { ProblemBody, ProblemCode } from '@nucleon/contract/wire';

/** The server answered, but not with what was asked for. */
export class ApiProblem extends Error {
  constructor(readonly body: ProblemBody) {
    super(body.detail);
  }
}

const WORDS = {
  server: apiWords.theServerCannotBe,
  database: apiWords.theServerCannotReach,
  busy: apiWords.theServerIsBusy,
  disk: apiWords.theServersDiskIsFull,
  signIn: apiWords.signInFirst,
} as const;
export type Away = keyof typeof WORDS;

/** The server, its database or its disk is not there for now: worth trying again. */
export class Unreachable extends Error {
  constructor(readonly what: Away) {
    super(WORDS[what]);
  }
}

const PASSING: Partial<Record<ProblemCode, Away>> = {
  'database-unavailable': 'database',
  busy: 'busy',
  'storage-full': 'disk',
  // Whoever signs in, or gives the PIN, sends it then.
  'sign-in': 'signIn',
  locked: 'signIn',
  // What nobody foresaw may pass, and must never make a record look refused.
  unexpected: 'server',
};

const isProblem = (data: unknown): data is ProblemBody =>
  typeof data === 'object' && data !== null && 'code' in data && 'detail' in data;

/** An answer other than what was asked for: a refusal, or something that passes. */
export function problemOf(data: unknown): ApiProblem | Unreachable {
  if (!isProblem(data)) return new Unreachable('server');
  const away = PASSING[data.code];
  return away ? new Unreachable(away) : new ApiProblem(data);
}

/** What to say of what went wrong: the first fault where it names one. */
export const sentenceOf = (error: Error): string =>
  error instanceof ApiProblem
    ? (error.body.faults?.[0]?.message ?? error.body.detail)
    : error.message;
