/** A phrase as it begins a sentence. */
export const capitalised = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** `once`, `4 times`. */
export const timesWords = (count: number): string => (count === 1 ? 'once' : `${count} times`);

/** `1 hole`, `3 holes`, `2 entries`. */
export const counted = (count: number, one: string, many = `${one}s`): string =>
  `${count} ${count === 1 ? one : many}`;
