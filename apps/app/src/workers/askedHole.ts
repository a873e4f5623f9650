import type { JobFile } from '@nucleon/core/documents/jobFile';
import type { UnitSystem } from '@nucleon/core/units/unitSystem';

/** The hole that is asked about, as it stands on the screen. */
export interface AskedHole {
  readonly file: JobFile;
  readonly holeId: string;
  readonly units: UnitSystem;
}
