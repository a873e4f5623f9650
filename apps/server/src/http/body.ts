import type { Validated } from '@nucleon/contract/validator';
import type { Request } from 'express';
import { faultyProblem, Problem } from './problem';

/** The request's body, checked; a Problem when it is not JSON or not of the shape. */
export function checkedBody<T>(request: Request, check: (data: unknown) => Validated<T>): T {
  if (!request.is('application/json')) {
    throw new Problem('wrong-media-type', 'Send the body as application/json.');
  }
  const checked = check(request.body);
  if (checked.kind === 'faulty') throw faultyProblem(checked.faults);
  return checked.value;
}

/** A path parameter as text, at most as long as an id. */
export function idParam(request: Request, name: string): string {
  const value = request.params[name];
  if (typeof value !== 'string' || value.length > 80 || value !== value.trim())
    throw new Problem('not-found', 'There is nothing at this address.');
  return value;
}
