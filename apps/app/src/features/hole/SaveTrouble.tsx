import type { StoredHole, StoredPiece } from '@nucleon/contract/wire';
import type { UnitSystem } from '@nucleon/core/units/unitSystem';
import { formatLengthShort } from '@nucleon/core/units/length';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Label, Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import type { Content, HoleDraft } from './holeDraft';
import type { HoleDraftHandle } from './useHoleDraft';

/** What keeps an edit from being saved, with both versions side by side when two people edited. */
export function SaveTrouble({ draft, dispatch }: HoleDraftHandle) {
  const { save } = draft;
  if (save.kind === 'unreachable') {
    return (
      <Notice
        level="caution"
        title="Not on the server yet"
        text={`${save.message} What you typed is kept on this device and sent when it is back.`}
        testID="unreachable"
        live
      />
    );
  }
  if (save.kind === 'refused')
    return <Notice level="stop" title="Not saved" text={save.message} testID="refused" />;
  if (save.kind !== 'conflict') return null;
  return (
    <Notice
      level="stop"
      title="Changed elsewhere"
      text="Someone changed this after you opened it. Choose which to keep; the other can be had back with Undo."
      testID="conflict"
    >
      <Differences draft={draft} part={save.part} current={save.current} />
      <Row gap="$2" flexWrap="wrap">
        <Button
          label="Keep mine"
          look="main"
          onPress={() => {
            dispatch({ type: 'keep-mine' });
          }}
          disabled={!save.current}
        />
        <Button
          label="Take theirs"
          onPress={() => {
            dispatch({ type: 'take-theirs' });
          }}
          disabled={!save.current}
        />
      </Row>
    </Notice>
  );
}

const WORDS: Record<string, string> = {
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
};
const QUIET = new Set(['version', 'updatedAt']);

function Differences({
  draft,
  part,
  current,
}: {
  readonly draft: HoleDraft;
  readonly part: keyof Content;
  readonly current: StoredPiece | StoredHole | null;
}) {
  const units = useUnits();
  if (!current) return <Small>It was deleted.</Small>;
  const mine = draft.now[part] as unknown as Record<string, unknown>;
  const theirs = current as unknown as Record<string, unknown>;
  const keys = [...new Set([...Object.keys(mine), ...Object.keys(theirs)])].filter(
    (key) => !QUIET.has(key) && JSON.stringify(mine[key]) !== JSON.stringify(theirs[key]),
  );
  return (
    <Column gap="$1">
      <Row>
        <Label flex={1}> </Label>
        <Label flex={1}>Yours</Label>
        <Label flex={1}>Theirs</Label>
      </Row>
      {keys.map((key) => (
        <Row key={key} alignItems="flex-start">
          <Small flex={1}>{WORDS[key] ?? key}</Small>
          <Small flex={1} color="$ink">
            {shown(mine[key], key, units)}
          </Small>
          <Small flex={1} color="$ink">
            {shown(theirs[key], key, units)}
          </Small>
        </Row>
      ))}
    </Column>
  );
}

function shown(value: unknown, key: string, units: UnitSystem): string {
  if (value === undefined || value === null || value === '') return '–';
  if (typeof value === 'number')
    return key.endsWith('Mm') ? formatLengthShort(value, units) : String(value);
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
