/** A name as a file may have it: letters, digits and dashes. */
export const fileName = (name: string, fallback: string): string =>
  name
    .replace(/[^\p{L}\p{N} -]/gu, '')
    .trim()
    .replace(/ +/g, '-')
    .toLowerCase() || fallback;

/** Hands a file to the browser to be saved. */
export function saveFile(name: string, blob: Blob): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}
