/** Which units a person reads and types in. Core itself computes in mm, N, MPa, s, K and W. */
export interface UnitSystem {
  readonly length: (typeof LENGTH_UNITS)[number];
  readonly force: (typeof FORCE_UNITS)[number];
  /** The finest mark on an inch tape, one in so many of an inch; sixteenths unless it says. */
  readonly tape?: (typeof TAPE_MARKS)[number];
  /** What money is counted in, by its three letters (ISO 4217); figures stand alone where nobody said. */
  readonly currency?: string;
}

const LENGTH_UNITS = ['mm', 'inch'] as const;
const FORCE_UNITS = ['N', 'kgf', 'lbf'] as const;
const TAPE_MARKS = [16, 32] as const;
const CURRENCY = /^[A-Z]{3}$/;

export const isCurrency = (text: string): boolean =>
  CURRENCY.test(text) && Intl.supportedValuesOf('currency').includes(text);

/** Whether something that was kept elsewhere is a system of units. */
export function isUnitSystem(kept: unknown): kept is UnitSystem {
  const { length, force, tape, currency } = (kept ?? {}) as Partial<UnitSystem>;
  return (
    LENGTH_UNITS.some((one) => one === length) &&
    FORCE_UNITS.some((one) => one === force) &&
    (tape === undefined || TAPE_MARKS.some((one) => one === tape)) &&
    (currency === undefined || (typeof currency === 'string' && isCurrency(currency)))
  );
}

export const METRIC: UnitSystem = { length: 'mm', force: 'N' };
export const INCH_POUND: UnitSystem = { length: 'inch', force: 'lbf' };
