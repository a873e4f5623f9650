/** Which units a person reads and types in. Core itself computes in mm, N, MPa, s, K and W. */
export interface UnitSystem {
  readonly length: (typeof LENGTH_UNITS)[number];
  readonly force: (typeof FORCE_UNITS)[number];
}

const LENGTH_UNITS = ['mm', 'inch'] as const;
const FORCE_UNITS = ['N', 'kgf', 'lbf'] as const;

/** Whether something that was kept elsewhere is a system of units. */
export function isUnitSystem(kept: unknown): kept is UnitSystem {
  const { length, force } = (kept ?? {}) as Partial<UnitSystem>;
  return LENGTH_UNITS.some((one) => one === length) && FORCE_UNITS.some((one) => one === force);
}

export const METRIC: UnitSystem = { length: 'mm', force: 'N' };
export const INCH_POUND: UnitSystem = { length: 'inch', force: 'lbf' };
