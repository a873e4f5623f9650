/** Type files with Latin, Greek, Cyrillic, Hebrew, Arabic and more: read where a text needs them. */
export interface FontBytes {
  readonly plain: Uint8Array;
  readonly bold: Uint8Array;
}

/** Letters of the type that every reader of PDF has (Windows-1252, PDF 32000-1 annex D). */
const IN_EVERY_READER = /^[A-Za-zª-ÿŒœŠšŸŽžƒ]$/;
const LETTER = /[\p{L}\p{M}]/u;

/** Each letter of a text once. */
export const lettersOf = (text: string): readonly string[] =>
  [...new Set(text.normalize('NFC'))].filter((one) => LETTER.test(one));

/** Whether a text has letters that not every reader brings along: the type goes into the file. */
export const needsFont = (text: string): boolean =>
  lettersOf(text).some((letter) => !IN_EVERY_READER.test(letter));
