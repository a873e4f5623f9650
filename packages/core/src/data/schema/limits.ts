/** What a field may hold, shared by the schema, the server and the forms. Numbers are exclusive of 0 where `above`. */
export interface NumberLimit {
  readonly above?: number;
  readonly least?: number;
  readonly most: number;
  readonly unit: string;
}

/** What is thinner cannot be measured at a bench, let alone drilled, mm. */
const LEAST_MM = 0.01;

export const LIMITS = {
  thicknessMm: { least: LEAST_MM, most: 5000, unit: 'mm' },
  lengthMm: { least: LEAST_MM, most: 100_000, unit: 'mm' },
  placeMm: { least: -100_000, most: 100_000, unit: 'mm' },
  diameterMm: { least: LEAST_MM, most: 1000, unit: 'mm' },
  rimWidthMm: { least: LEAST_MM, most: 500, unit: 'mm' },
  smallMm: { least: 0, most: 1000, unit: 'mm' },
  depthCutMm: { least: 0, most: 1e7, unit: 'mm' },
  share: { above: 0, most: 1, unit: 'as a share' },
  sharpness: { above: 0, most: 1, unit: 'from 0 bald to 1 new' },
  count: { least: 0, most: 1e6, unit: '' },
  money: { least: 0, most: 1e9, unit: 'of money' },
  rpm: { least: 0, most: 100_000, unit: 'rpm' },
  powerW: { above: 0, most: 20_000, unit: 'W' },
  torqueNm: { above: 0, most: 2000, unit: 'N·m' },
  rimSpeedMPerS: { above: 0, most: 20, unit: 'm/s' },
  contactPressureMpa: { above: 0, most: 20, unit: 'MPa' },
  pictureSidePx: { above: 0, most: 8000, unit: 'picture points' },
  oneIn: { least: 1, most: 10_000, unit: 'as one in' },
} as const satisfies Record<string, NumberLimit>;

/** `a number of mm from 0.01, at most 5000` */
export function describeLimit(limit: NumberLimit): string {
  const unit = limit.unit ? ` ${limit.unit.includes(' ') ? limit.unit : `of ${limit.unit}`}` : '';
  const from = limit.above !== undefined ? `above ${limit.above}` : `from ${limit.least ?? 0}`;
  return `a number${unit} ${from}, at most ${limit.most}`;
}
