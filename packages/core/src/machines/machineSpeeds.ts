export interface Gear {
  readonly minRpm: number;
  readonly maxRpm: number;
  readonly stallTorqueNm?: number;
}

/** What speeds a machine can hold. */
export type MachineSpeeds =
  | { readonly kind: 'range'; readonly minRpm: number; readonly maxRpm: number }
  | { readonly kind: 'steps'; readonly rpm: readonly number[] }
  | { readonly kind: 'gears'; readonly gears: readonly Gear[] };
