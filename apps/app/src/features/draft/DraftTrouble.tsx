import { formatLengthShort } from '@nucleon/core/words/units/length';
import type { UnitSystem } from '@nucleon/core/data/unitSystem';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Label, Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import type { Clash } from './merge';
import type { DraftHandle } from './useVersionedDraft';

interface DraftTroubleProps<T> extends DraftHandle<T> {
  /** What was done here and waits: “typed”, “moved”. */
  readonly done: string;
  /** A document by the name people know it under; empty where there is only one. */
  readonly nameOf?: (part: string) => string;
  /** Brings back what was deleted elsewhere, and saves this over it. */
  readonly bringBack?: () => Promise<void>;
}

/** What keeps an edit from being saved; where two changed the same, both versions side by side. */
export function DraftTrouble<T>({
  draft: { save },
  dispatch,
  done,
  nameOf = () => '',
  bringBack,
}: DraftTroubleProps<T>) {
  switch (save.kind) {
    case 'saved':
    case 'waiting':
    case 'saving':
      return null;
    case 'unreachable':
      return (
        <Notice
          level="caution"
          title="Not on the server yet"
          text={`${save.message} What you ${done} is kept on this device and sent when it is back.`}
          testID="unreachable"
          live
        />
      );
    case 'refused':
      return <Notice level="stop" title="Not saved" text={save.message} testID="refused" />;
    case 'gone':
      return <Gone message={save.message} bringBack={bringBack} />;
    case 'conflict':
      return (
        <Notice
          level="stop"
          title="Changed elsewhere"
          text="Someone changed the same after you opened this. Everything else of yours and theirs is kept. Choose one; Undo gives the other."
          testID="conflict"
        >
          <Clashes clashes={save.clashes} nameOf={nameOf} />
          <Row gap="$2" flexWrap="wrap">
            <Button
              label="Keep mine"
              look="main"
              onPress={() => {
                dispatch({ type: 'keep-mine' });
              }}
            />
            <Button
              label="Take theirs"
              onPress={() => {
                dispatch({ type: 'take-theirs' });
              }}
            />
          </Row>
        </Notice>
      );
  }
}

function Gone({
  message,
  bringBack,
}: {
  readonly message: string;
  readonly bringBack: (() => Promise<void>) | undefined;
}) {
  const [said, setSaid] = useState('');
  return (
    <Notice level="stop" title="Deleted elsewhere" text={said || message} testID="gone">
      {bringBack ? (
        <Button
          label="Bring it back"
          look="main"
          onPress={() => {
            bringBack().catch((error: unknown) => {
              setSaid(error instanceof Error ? error.message : 'It could not be brought back.');
            });
          }}
          testID="bring-back"
        />
      ) : null}
    </Notice>
  );
}

const WORDS: Readonly<Record<string, string>> = {
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
  couldBe: 'It may be',
  knowing: 'Answers about the piece',
  keepOff: 'Marked places',
  services: 'Bands',
  mark: 'Mark',
  verdict: 'The hole is',
  crack: 'A crack',
  entryChipMm: 'Chip going in',
  exitChipMm: 'Chip coming out',
  partFit: 'The part',
  bitState: 'The bit',
  note: 'Note',
};
const MAX_SHOWN = 8;

/** `Setup, water`: from the document down. */
function placeOf({ part, path }: Clash, nameOf: (part: string) => string): string {
  const [field, ...deeper] = path;
  const of = nameOf(part);
  const name = field === undefined ? '' : [WORDS[field] ?? field, ...deeper].join(', ');
  return [of, name].filter((text) => text !== '').join(': ') || 'All of it';
}

function Clashes({
  clashes,
  nameOf,
}: {
  readonly clashes: readonly Clash[];
  readonly nameOf: (part: string) => string;
}) {
  const units = useUnits();
  const more = clashes.length - MAX_SHOWN;
  return (
    <Column gap="$1">
      <Row>
        <Label flex={1}> </Label>
        <Label flex={1}>Yours</Label>
        <Label flex={1}>Theirs</Label>
      </Row>
      {clashes.slice(0, MAX_SHOWN).map((clash) => (
        <Row key={[clash.part, ...clash.path].join('/')} alignItems="flex-start">
          <Small flex={1}>{placeOf(clash, nameOf)}</Small>
          <Small flex={1} color="$ink">
            {shown(clash.mine, clash, units)}
          </Small>
          <Small flex={1} color="$ink">
            {shown(clash.theirs, clash, units)}
          </Small>
        </Row>
      ))}
      {more > 0 ? <Small>And {more} more.</Small> : null}
    </Column>
  );
}

function shown(value: unknown, { path }: Clash, units: UnitSystem): string {
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
