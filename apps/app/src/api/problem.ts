import type { ProblemBody } from '@nucleon/contract/wire';

/** The server answered, but not with what was asked for. */
export class ApiProblem extends Error {
  constructor(readonly body: ProblemBody) {
    super(body.detail);
  }
}

/** The server, or its database, cannot be reached: worth trying again. */
export class Unreachable extends Error {
  constructor(readonly what: 'server' | 'database') {
    super(
      what === 'server' ? 'The server cannot be reached.' : 'The server cannot reach its database.',
    );
  }
}
