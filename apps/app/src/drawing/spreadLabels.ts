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

/** Words set in lines of at most so many letters; a longer word has a line of its own. */
export function wrapWords(text: string, most: number): string[] {
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + 1 + word.length <= most)
      lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}
