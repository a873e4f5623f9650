/** Of ln(found/planned): its mean, and sd such that mean ± 1.2816·sd holds eight in ten. e^mean is how many times as much. */
export interface LogRatio {
  readonly mean: number;
  readonly sd: number;
}

/** What a log tells of holes in one stone with one kind of bit, or with one bit as old as it is. */
export interface LoggedFactors {
  /** null for any the log does not hold. */
  readonly material: string | null;
  readonly family: string | null;
  /** null for one the log does not hold. */
  readonly bit: string | null;
  /** Believed holes of that stone with that kind of bit. */
  readonly holes: number;
  /** Of the time from first touch to through, pauses with it. */
  readonly time: LogRatio | null;
  readonly chip: LogRatio | null;
  /** Of −ln(1 − odds that it cracks). */
  readonly hazard: LogRatio | null;
}

/** All that a log tells of holes to come, by stone and bit. */
export interface Experience {
  /** Of the holes it was learned from: plans name it. */
  readonly hash: string;
  /** When the last of them was begun, ISO 8601. */
  readonly at: string;
  /** How many of them are believed. */
  readonly holes: number;
  readonly factors: readonly LoggedFactors[];
}

/** What the log tells of a hole in this stone with this bit: of the bit itself, else of its kind, else of any. */
export function factorsFor(
  { factors }: Experience,
  asked: { readonly material: string; readonly family: string; readonly bit: string },
): LoggedFactors | null {
  const fits = (one: LoggedFactors, key: 'material' | 'family' | 'bit'): 0 | 1 | null =>
    one[key] === null ? 0 : one[key] === asked[key] ? 1 : null;
  let best: LoggedFactors | null = null;
  let rank = -1;
  for (const one of factors) {
    const [bit, material, family] = [fits(one, 'bit'), fits(one, 'material'), fits(one, 'family')];
    if (bit === null || material === null || family === null) continue;
    const found = 4 * bit + 2 * material + family;
    if (found > rank) [best, rank] = [one, found];
  }
  return best;
}
