import type { UnitSystem } from '../../data/unitSystem';
import { formatLengthShort } from '../units/length';

/** Fields of the documents that two people may change at once. */
const FIELDS: Readonly<Record<string, string>> = {
  thicknessMm: 'Thickness',
  material: 'Material',
  glassTreatment: 'Treatment',
  outline: 'Outline',
  name: 'Name',
  form: 'Form',
  checks: 'Answers',
  diameterMm: 'Diameter',
  xMm: 'From the left',
  yMm: 'From the bottom',
  depth: 'Depth',
  label: 'Name',
  setup: 'Setup',
  face: 'Face',
  fall: 'Fall',
  purpose: 'Purpose',
  assembled: 'Built in',
  damage: 'Damage',
  layers: 'Leaves',
  thicknessReadingsMm: 'Readings',
  yearMade: 'Year',
  valueMoney: 'Value',
  spareAvailable: 'Spare',
  sheet: 'Sheet or batch',
  couldBe: 'It may be',
  knowing: 'Answers about the piece',
  keepOff: 'Marked places',
  services: 'Bands',
  mark: 'Mark',
  verdict: 'The hole is',
  crack: 'A crack',
  entryChipMm: 'Chip going in',
  exitChipMm: 'Chip coming out',
  force: 'Pressed',
  partFit: 'The part',
  bitState: 'The bit',
  note: 'Note',
};

/** `Hole 3: Setup, water`: what it belongs to, and where in it. */
export function fieldInWords(of: string, path: readonly string[]): string {
  const [field, ...deeper] = path;
  const name = field === undefined ? '' : [FIELDS[field] ?? field, ...deeper].join(', ');
  return [of, name].filter((text) => text !== '').join(': ') || 'All of it';
}

/** A stored value of any field as a person would read it. */
export function valueInWords(value: unknown, path: readonly string[], units: UnitSystem): string {
  if (path.length === 0) return value === undefined ? 'deleted' : 'changed';
  if (value === undefined || value === null || value === '') return '–';
  const key = path.at(-1) ?? '';
  if (typeof value === 'number')
    return key.endsWith('Mm') ? formatLengthShort(value, units) : String(value);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string') return value;
  return Object.entries(value)
    .filter(([, part]) => part !== undefined)
    .map(([name, part]) =>
      name === 'kind'
        ? String(part)
        : `${name.replace(/Mm$/, '')} ${typeof part === 'object' ? JSON.stringify(part) : String(part)}`,
    )
    .join(', ');
}
