/** Whether every word searched for stands somewhere in what is said of a thing. */
export function matches(search: string, said: readonly (string | undefined)[]): boolean {
  const all = said.join(' ').toLowerCase();
  return search
    .toLowerCase()
    .split(/\s+/)
    .every((word) => all.includes(word));
}
