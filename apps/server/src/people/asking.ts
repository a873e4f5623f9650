import { AsyncLocalStorage } from 'node:async_hooks';
import type { AuditAct, Role } from '@nucleon/core/data/people';
import { Problem } from '../http/problem';

/** Who asks: the person at the workshop's own computer, one who has signed in, or whoever holds a link to a job. */
export type Asker =
  | { readonly kind: 'local' }
  | {
      readonly kind: 'person';
      readonly workshopId: string;
      readonly personId: string;
      readonly deviceId: string;
      readonly name: string;
      readonly role: Role;
      readonly bench: boolean;
      readonly locked: boolean;
    }
  | {
      readonly kind: 'share';
      readonly workshopId: string;
      readonly deviceId: string;
      readonly jobId: string;
      readonly until: Date;
    };
type PersonAsking = Extract<Asker, { kind: 'person' }>;

/** The request at hand: who asks, from where, and what is written down of it once it is done. */
export interface Asking {
  readonly asker: Asker | null;
  readonly workshopId: string;
  readonly at: Date;
  readonly address: string;
  readonly act: AuditAct | null;
  readonly subject: string;
  /** Whether it is written down already: a request that is stored in two steps was one deed. */
  noted: boolean;
}

const asked = new AsyncLocalStorage<Asking>();

/** null outside of requests: at the start, in tests of what lies below them. */
export const askingNow = (): Asking | null => asked.getStore() ?? null;

export const whileAsking = <T>(asking: Asking, work: () => T): T => asked.run(asking, work);

/** Work that nobody waits for, on one workshop's things. */
export const inWorkshop = <T>(workshopId: string, at: Date, work: () => T): T =>
  whileAsking(
    { asker: { kind: 'local' }, workshopId, at, address: '', act: null, subject: '', noted: false },
    work,
  );

/** Whoever has signed in as a person. @throws Problem where it is another */
export function personAsking(): PersonAsking {
  const asker = askingNow()?.asker;
  if (asker?.kind === 'person') return asker;
  throw new Problem('not-found', 'Nobody signs in on this computer; there is nothing to change.');
}
