/**
 * Labels of one side moved just far enough apart to be read, in their order down the side.
 * @param minPx nothing is placed above this
 */
export function spreadLabels<T extends { readonly y: number; readonly heightPx: number }>(
  labels: readonly T[],
  minPx = -Infinity,
): (T & { readonly at: number })[] {
  const placed: (T & { at: number })[] = [];
  let freeFrom = minPx;
  for (const label of [...labels].sort((a, b) => a.y - b.y)) {
    const at = Math.max(label.y, freeFrom);
    placed.push({ ...label, at });
    freeFrom = at + label.heightPx;
  }
  return placed;
}

/** Words set in lines of at most so many letters; a longer word has a line of its own. */
export function wrapWords(text: string, max: number): string[] {
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + 1 + word.length <= max)
      lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}
