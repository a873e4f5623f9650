/**
 * A number as plain text with so many significant digits, without exponent and without
 * trailing zeros after the point; thousands are parted by a thin space from 10 000 up.
 */
export function formatSignificant(value: number, digits: number): string {
  if (!Number.isFinite(value)) return '–';
  if (value === 0) return '0';
  const magnitude = Math.floor(Math.log10(Math.abs(value)));
  const decimals = digits - 1 - magnitude;
  if (decimals >= 0) return groupThousands(trimZeros(value.toFixed(Math.min(decimals, 9))));
  const step = 10 ** -decimals;
  return groupThousands((Math.round(value / step) * step).toFixed(0));
}

/** A number with at most so many decimals, trailing zeros dropped. */
export function formatDecimals(value: number, decimals: number): string {
  if (!Number.isFinite(value)) return '–';
  return groupThousands(trimZeros(value.toFixed(decimals)));
}

function trimZeros(text: string): string {
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text;
}

function groupThousands(text: string): string {
  const [whole = '', fraction] = text.split('.');
  const grouped =
    whole.replace('-', '').length > 4 ? whole.replace(/\B(?=(\d{3})+$)/g, '\u2009') : whole;
  return fraction === undefined ? grouped : `${grouped}.${fraction}`;
}
