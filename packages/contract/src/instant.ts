/** Times are kept to the millisecond between these years: what a workshop's clock can show and MariaDB hold. */
const FIRST_MS = Date.UTC(1970, 0, 1);
const END_MS = Date.UTC(2200, 0, 1);
const FORM = /^(\d{4})-(\d{2})-(\d{2})T\d{2}:\d{2}(:\d{2}(\.\d{1,9})?)?(Z|[+-]\d{2}:\d{2})$/;

/** Whether a text is a moment there was or will be: no 31 February, no year 10000. */
export function isInstant(text: string): boolean {
  const [, year, month, day] = FORM.exec(text) ?? [];
  const ms = Date.parse(text);
  if (year === undefined || Number.isNaN(ms) || ms < FIRST_MS || ms >= END_MS) return false;
  // Date.parse takes 30 February for 1 or 2 March.
  return (
    new Date(Date.UTC(Number(year), Number(month) - 1, Number(day))).getUTCDate() === Number(day)
  );
}
