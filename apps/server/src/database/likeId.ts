import { faultyProblem } from '../http/problem';

/** What MariaDB compares of an id: letters without case or accents. Two ids with the same are one to it. */
export const likeId = (id: string): string =>
  id.normalize('NFKD').replaceAll(/\p{M}/gu, '').toLowerCase();

/** Nobody's row is written under a name that only looks like its own. */
export function refuseLikeId(stored: string, given: string): void {
  if (stored !== given)
    throw faultyProblem([
      {
        pointer: '/id',
        message: `The id “${given}” differs from “${stored}”, which is here already, only in case or accents; make a new id.`,
      },
    ]);
}
