/** Which units a person reads and types in. Core itself computes in mm, N, MPa, s, K and W. */
export interface UnitSystem {
  readonly length: 'mm' | 'inch';
  readonly force: 'N' | 'kgf' | 'lbf';
}

export const METRIC: UnitSystem = { length: 'mm', force: 'N' };
export const INCH_POUND: UnitSystem = { length: 'inch', force: 'lbf' };
