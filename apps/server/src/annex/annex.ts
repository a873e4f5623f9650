import { Problem } from '../http/problem';

/** The process beside the server that does what would hold up others. */
export interface Annex {
  /**
   * The socket it listens on, once it does.
   * @param isPatient nobody is waiting: however long that takes
   * @throws Problem where it does not come up soon enough for somebody who is
   */
  readonly socket: (isPatient?: boolean) => Promise<string>;
  readonly close: () => Promise<void>;
}

export const notThere = (): Problem =>
  new Problem(
    'busy',
    'The part of the server that does what takes long is just starting; nothing was changed. Try again in a few seconds.',
  );
