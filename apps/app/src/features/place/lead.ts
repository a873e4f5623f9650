import type { StoredHole } from '@nucleon/contract/wire';
import type { JudgedRule } from '@nucleon/core/layout/edgeRules';
import type { ExitPlace } from '@nucleon/core/layout/exitPlace';

/** The first of what is chosen, where it stands now, with what it must keep clear of. */
export interface Lead {
  readonly hole: StoredHole;
  readonly judged: readonly JudgedRule[];
  /** A rule that counts is broken there, or a band is hit. */
  readonly broken: boolean;
  readonly exit: ExitPlace | null;
}
