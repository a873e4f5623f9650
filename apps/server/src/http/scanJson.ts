/** What a body may cost before a single value is made of it. */
export interface JsonBounds {
  /** Lists and objects inside each other; MariaDB keeps JSON at most 32 deep. */
  readonly depth: number;
  /** Entries of one list or object: no list of the contract takes more. */
  readonly entries: number;
  /** Values in all. */
  readonly values: number;
}

export type JsonScan =
  | { readonly kind: 'within' }
  | { readonly kind: 'beyond'; readonly what: keyof JsonBounds }
  /** Half of a character that takes two `\u` escapes: no database stores it. */
  | { readonly kind: 'half-character'; readonly escape: string };

const [QUOTE, BACKSLASH, COMMA] = [0x22, 0x5c, 0x2c];
const OPENING: ReadonlySet<number> = new Set([0x5b, 0x7b]);
const CLOSING: ReadonlySet<number> = new Set([0x5d, 0x7d]);

/** The four digits of a `\u` escape at this byte; NaN for any other escape. */
const escapeAt = (bytes: Buffer, at: number): number =>
  bytes[at] === BACKSLASH && bytes[at + 1] === 0x75
    ? Number.parseInt(bytes.toString('latin1', at + 2, at + 6), 16)
    : Number.NaN;
const isHigh = (code: number): boolean => code >= 0xd800 && code < 0xdc00;
const isLow = (code: number): boolean => code >= 0xdc00 && code < 0xe000;

/**
 * Counts what JSON text holds, byte by byte, without making anything of it: a few milliseconds a megabyte,
 * and no memory. Text that is no JSON passes here and fails where it is read.
 */
export function scanJson(bytes: Buffer, bounds: JsonBounds): JsonScan {
  const entries: number[] = [];
  let values = 0;
  let inText = false;
  for (let at = 0; at < bytes.length; at++) {
    const byte = bytes[at] ?? 0;
    if (inText) {
      if (byte === QUOTE) inText = false;
      else if (byte === BACKSLASH) {
        const code = escapeAt(bytes, at);
        const isPair = isHigh(code) && isLow(escapeAt(bytes, at + 6));
        if ((isHigh(code) && !isPair) || isLow(code))
          return { kind: 'half-character', escape: bytes.toString('latin1', at, at + 6) };
        at += isPair ? 11 : 1;
      }
      continue;
    }
    if (byte === QUOTE) inText = true;
    else if (OPENING.has(byte)) {
      entries.push(1);
      if (entries.length > bounds.depth) return { kind: 'beyond', what: 'depth' };
      if (++values > bounds.values) return { kind: 'beyond', what: 'values' };
    } else if (CLOSING.has(byte)) entries.pop();
    else if (byte === COMMA) {
      const inHere = (entries.at(-1) ?? 0) + 1;
      entries[entries.length - 1] = inHere;
      if (inHere > bounds.entries) return { kind: 'beyond', what: 'entries' };
      if (++values > bounds.values) return { kind: 'beyond', what: 'values' };
    }
  }
  return { kind: 'within' };
}
