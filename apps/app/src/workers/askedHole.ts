import type { DrillCase } from '@nucleon/core/setup/drillCase';
import type { UnitSystem } from '@nucleon/core/data/unitSystem';

/** The hole that is asked about, as it stands on the screen, with all it depends on. */
export interface AskedHole {
  readonly drillCase: DrillCase;
  readonly units: UnitSystem;
}
