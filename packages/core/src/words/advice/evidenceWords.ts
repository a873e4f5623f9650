import { formatSignificant } from '../units/roundNumber';
import type { WeighedRow } from '../../advice/evidence/weighEvidence';

const short = (value: number): string => (value === 0 ? '0' : formatSignificant(value, 2));

/** `5.5–6.5–8.2 min`: tenth, middle and ninetieth of a hundred; one number where there is no spread. */
export function modelWords({ model, unit }: Pick<WeighedRow, 'model' | 'unit'>): string {
  if (model === null) return 'nothing';
  const said =
    typeof model === 'number'
      ? short(model)
      : [model.p10, model.p50, model.p90].map(short).join('–');
  return `${said} ${unit}`;
}

export const bandWords = ({ band, unit }: Pick<WeighedRow, 'band' | 'unit'>): string =>
  `${short(band[0])}–${short(band[1])} ${unit}`;

/** One row as text: where it stands, the job, the model beside the band, and why it misses. */
export function formatWeighed(row: WeighedRow): string {
  const { ok, id, job, figure, misses } = row;
  const head = `${ok ? 'lands ' : 'misses'}  ${id}: ${job}`;
  const figures = `        ${figure}: model ${modelWords(row)}, bench ${bandWords(row)}`;
  return [head, figures, ...(misses ? [`        ${misses}`] : [])].join('\n');
}
