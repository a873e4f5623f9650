/** Labels of one side moved just far enough apart to be read, in their order down the side. */
export function spreadLabels<T extends { readonly y: number }>(
  labels: readonly T[],
  leastGapPx: number,
): (T & { readonly at: number })[] {
  const placed: (T & { at: number })[] = [];
  for (const label of [...labels].sort((a, b) => a.y - b.y)) {
    const above = placed.at(-1);
    placed.push({ ...label, at: above ? Math.max(label.y, above.at + leastGapPx) : label.y });
  }
  return placed;
}
