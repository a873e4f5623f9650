/** Halvings that bring any span of doubles below rounding. */
const MAX_HALVINGS = 200;

/**
 * The x in [low, high] at which a rising function passes through a value.
 * @param tolerance absolute, in x
 * @returns low or high when the value lies outside what the function reaches
 */
export function bisectRising(
  f: (x: number) => number,
  value: number,
  low: number,
  high: number,
  tolerance: number,
): number {
  let [from, to] = [low, high];
  for (let halving = 0; halving < MAX_HALVINGS && to - from > tolerance; halving++) {
    const middle = (from + to) / 2;
    if (f(middle) < value) from = middle;
    else to = middle;
  }
  return (from + to) / 2;
}
