/** What opens in a DXF and must be closed again, and by what. */
const CLOSED_BY: Readonly<Record<string, string>> = {
  SECTION: 'ENDSEC',
  TABLE: 'ENDTAB',
  BLOCK: 'ENDBLK',
  POLYLINE: 'SEQEND',
};
/** Between a polyline and its end stand its points alone. */
const IN_POLYLINE: ReadonlySet<string> = new Set(['VERTEX', 'SEQEND']);
const NAMES: Readonly<Record<string, string>> = {
  SECTION: 'section',
  TABLE: 'table',
  BLOCK: 'block',
  POLYLINE: 'polyline',
};
/** Group codes: an entity's name, a point's x, the points a light polyline says it has. */
const [NAME, X, CLAIMED] = ['0', '10', '90'];

const neverClosed = (name: string): string =>
  `This DXF is broken: a ${NAMES[name]} is never closed (${CLOSED_BY[name]} is missing). Save it again.`;

/**
 * What would keep a reader going for ever or fill its memory, looked for before it begins: a file is pairs of
 * lines, a code and its value. null where there is nothing of the kind.
 */
export function dxfFault(text: string): string | null {
  const lines = text.split(/\r\n|\r|\n/);
  const open: string[] = [];
  let claimed: number | null = null;
  let found = 0;
  for (let at = 0; at + 1 < lines.length; at += 2) {
    const [code, value = ''] = [lines[at]?.trim(), lines[at + 1]?.trim()];
    if (code === X) found++;
    else if (code === CLAIMED && claimed === null) claimed = Number(value);
    if (code !== NAME) continue;
    if (claimed !== null && claimed > found && claimed > 1000)
      return `This DXF is broken: a polyline says it has ${claimed} points and has ${found}. Save it again.`;
    claimed = value === 'LWPOLYLINE' ? null : Number.NaN;
    found = 0;
    const last = open.at(-1);
    if (last === 'POLYLINE' && !IN_POLYLINE.has(value)) return neverClosed(last);
    if (last !== undefined && value === CLOSED_BY[last]) open.pop();
    // A table's own entries may be of any name; those that close something else show it was left open.
    else if (last !== undefined && (value === 'ENDSEC' || value === 'EOF'))
      return neverClosed(last);
    else if (value in CLOSED_BY && !(value === 'TABLE' && last === 'TABLE')) open.push(value);
    else if (value === 'TABLE') return neverClosed('TABLE');
  }
  return null;
}
