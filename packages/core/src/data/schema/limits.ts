/** What a field may hold, shared by the schema, the server and the forms. Numbers are exclusive of 0 where `above`. */
export interface NumberLimit {
  readonly above?: number;
  readonly min?: number;
  readonly max: number;
  readonly unit: string;
}

/** What is thinner cannot be measured at a bench, let alone drilled, mm. */
const MIN_MM = 0.01;

export const LIMITS = {
  thicknessMm: { min: MIN_MM, max: 5000, unit: 'mm' },
  lengthMm: { min: MIN_MM, max: 100_000, unit: 'mm' },
  placeMm: { min: -100_000, max: 100_000, unit: 'mm' },
  /** A bit, a barrel or an extension: longer ones are made of several. */
  toolLengthMm: { min: MIN_MM, max: 2000, unit: 'mm' },
  diameterMm: { min: MIN_MM, max: 1000, unit: 'mm' },
  rimWidthMm: { min: MIN_MM, max: 500, unit: 'mm' },
  smallMm: { min: 0, max: 1000, unit: 'mm' },
  depthCutMm: { min: 0, max: 1e7, unit: 'mm' },
  share: { above: 0, max: 1, unit: 'as a share' },
  sharpness: { above: 0, max: 1, unit: 'from 0 bald to 1 new' },
  count: { min: 0, max: 1e6, unit: '' },
  /** Clamps of a workshop press no harder. */
  clampN: { above: 0, max: 5000, unit: 'N' },
  feedForceN: { above: 0, max: 5000, unit: 'N' },
  money: { min: 0, max: 1e9, unit: 'of money' },
  rpm: { min: 0, max: 100_000, unit: 'rpm' },
  powerW: { above: 0, max: 20_000, unit: 'W' },
  torqueNm: { above: 0, max: 2000, unit: 'N·m' },
  rimSpeedMPerS: { above: 0, max: 20, unit: 'm/s' },
  contactPressureMpa: { above: 0, max: 20, unit: 'MPa' },
  pictureSidePx: { above: 0, max: 8000, unit: 'picture points' },
  oneIn: { min: 1, max: 10_000, unit: 'as one in' },
} as const satisfies Record<string, NumberLimit>;

/** `a number of mm from 0.01, at most 5000` */
export function describeLimit(limit: NumberLimit): string {
  const unit = limit.unit ? ` ${limit.unit.includes(' ') ? limit.unit : `of ${limit.unit}`}` : '';
  const from = limit.above !== undefined ? `above ${limit.above}` : `from ${limit.min ?? 0}`;
  return `a number${unit} ${from}, at most ${limit.max}`;
}
