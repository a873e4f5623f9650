/** The ones people say: one in so many. */
const COUNTS: readonly number[] = [
  2, 3, 4, 5, 6, 7, 8, 9, 10, 12, 15, 20, 25, 30, 40, 50, 60, 80, 100, 120, 150, 200, 250, 300, 400,
  500, 600, 800, 1000,
];
const RAREST = 1000;

/**
 * A chance as it is said at the bench: `1 in 40`, `7 in 10`, `under 1 in 1000`, `nearly all`.
 * @param odds 0 to 1
 */
export function oddsInWords(odds: number): string {
  if (odds > 0.98) return 'nearly all';
  if (odds > 0.55) return `${Math.round(odds * 10)} in 10`;
  if (odds < 1 / (RAREST * 1.05)) return `under 1 in ${RAREST}`;
  const wanted = Math.log(1 / odds);
  const nearest = COUNTS.reduce((best, count) =>
    Math.abs(Math.log(count) - wanted) < Math.abs(Math.log(best) - wanted) ? count : best,
  );
  return `1 in ${nearest}`;
}
