import type { ProblemBody, ProblemCode } from '@nucleon/contract/wire';
import { MAX_FAULTS } from '@nucleon/contract/validator';
import type { Request } from 'express';
import type { Fault } from '@nucleon/core/documents/fault';

const STATUS = {
  'bad-json': [400, 'Not JSON'],
  busy: [503, 'Busy'],
  conflict: [409, 'Changed elsewhere'],
  'database-unavailable': [503, 'Database out of reach'],
  faulty: [422, 'Not accepted'],
  'foreign-page': [403, 'Not from here'],
  gone: [409, 'Deleted'],
  locked: [423, 'Locked'],
  'not-allowed': [403, 'Not allowed'],
  'not-found': [404, 'Not found'],
  'sign-in': [401, 'Sign in'],
  'storage-full': [507, 'No room to write'],
  'too-large': [413, 'Too large'],
  'too-many': [429, 'Too many tries'],
  unexpected: [500, 'Unexpected fault'],
  'wrong-host': [421, 'Wrong address'],
  'wrong-media-type': [415, 'Wrong media type'],
} as const satisfies Record<ProblemCode, readonly [number, string]>;

/** An answer other than what was asked for; becomes problem+json. */
export class Problem extends Error {
  constructor(
    readonly code: ProblemCode,
    readonly detail: string,
    readonly more: { readonly faults?: readonly Fault[]; readonly current?: unknown } = {},
  ) {
    super(detail);
  }

  body(): ProblemBody {
    const [status, title] = STATUS[this.code];
    return {
      type: `urn:nucleon:problem:${this.code}`,
      code: this.code,
      title,
      status,
      detail: this.detail,
      ...this.more,
    };
  }
}

export const faultyProblem = (faults: readonly Fault[]): Problem =>
  new Problem(
    'faulty',
    faults[0] ? `${faults[0].pointer || '/'}: ${faults[0].message}` : 'Not accepted.',
    { faults: faults.slice(0, MAX_FAULTS) },
  );

export const nothingAt = ({
  method,
  originalUrl,
}: Pick<Request, 'method' | 'originalUrl'>): Problem =>
  new Problem('not-found', `There is nothing at ${method} ${originalUrl.slice(0, 200)}.`);

export const notFound = (kind: string, id: string): Problem =>
  new Problem('not-found', `There is no ${kind} “${id.slice(0, 80)}”.`);
