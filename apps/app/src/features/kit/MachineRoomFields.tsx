import { kitWords } from '@nucleon/core/words/screens/kit';
import { commonWords } from '@nucleon/core/words/screens/common';
import type { Machine } from '@nucleon/core/documents/kit';
import type { MachineKind } from '@nucleon/core/data/machines/machineKinds';
import { Chips } from '../../ui/Chips';
import { Column, Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { Small } from '../../ui/text';
import { HolderField } from './HolderField';

type Field =
  | 'holders'
  | 'power'
  | 'waterRated'
  | 'spindleWater'
  | 'travelMm'
  | 'chuckToTableMm'
  | 'throatMm'
  | 'leverArmMm'
  | 'pinionRadiusMm';

interface MachineRoomFieldsProps {
  readonly draft: Partial<Machine>;
  readonly kind: MachineKind;
  readonly onChange: (field: Field, value: Machine[Field] | undefined) => void;
}

const POWER_CHIPS = [
  { value: 'mains', label: kitWords.mains },
  { value: 'mains-protected', label: kitWords.mainsWithRcdPlug },
  { value: 'battery', label: kitWords.battery },
  { value: 'low-voltage', label: kitWords.lowVoltage },
] as const;
const yesNo = (yes: string, no: string) =>
  [
    { value: 'yes', label: yes },
    { value: 'no', label: no },
  ] as const;
const WET_CHIPS = yesNo(kitWords.madeForWater, kitWords.keepItDry);
const SPINDLE_CHIPS = yesNo(kitWords.throughItsSpindle, kitWords.noneOfItsOwn);

/** What its spindle takes, its power and water, and for a press the room it has. */
export function MachineRoomFields({ draft, kind, onChange }: MachineRoomFieldsProps) {
  const length = (field: Field & keyof Machine, label: string) => (
    <LengthBox
      inRow
      label={label}
      valueMm={(draft[field] as number | undefined) ?? null}
      placeholder={kitWords.notMeasured}
      maxMm={5000}
      onChangeMm={(mm) => {
        onChange(field, mm);
      }}
      onClear={() => {
        onChange(field, undefined);
      }}
      testID={`machine-${field}`}
    />
  );
  const said = (value: boolean): 'yes' | 'no' => (value ? 'yes' : 'no');
  return (
    <Column gap="$4">
      <HolderField
        label={kitWords.itsSpindleTakes}
        holder={draft.holders?.[0] ?? kind.holders[0]}
        onChange={(holder) => {
          onChange('holders', [holder]);
        }}
        testID="machine-holder"
      />
      <Chips
        label={kitWords.power}
        chips={POWER_CHIPS}
        value={draft.power ?? kind.power}
        onChange={(power) => {
          onChange('power', power);
        }}
      />
      <Row gap="$4" flexWrap="wrap" alignItems="flex-start">
        <Chips
          label={kitWords.inSpray}
          chips={WET_CHIPS}
          value={said(draft.waterRated ?? kind.waterRated)}
          onChange={(answer) => {
            onChange('waterRated', answer === 'yes');
          }}
        />
        <Chips
          label={commonWords.water}
          chips={SPINDLE_CHIPS}
          value={said(draft.spindleWater ?? kind.spindleWater)}
          onChange={(answer) => {
            onChange('spindleWater', answer === 'yes');
          }}
        />
      </Row>
      {kind.hold === 'press' ? (
        <Column gap="$2">
          <Row gap="$3" flexWrap="wrap" alignItems="flex-start">
            {length('travelMm', kitWords.quillComesDown)}
            {length('chuckToTableMm', kitWords.chuckToTableMax)}
            {length('throatMm', kitWords.spindleToColumn)}
          </Row>
          <Row gap="$3" flexWrap="wrap" alignItems="flex-start">
            {length('leverArmMm', kitWords.feedLeverLong)}
            {length('pinionRadiusMm', kitWords.pinionRadius)}
          </Row>
          <Small>{kitWords.thePinionsRadiusHow}</Small>
        </Column>
      ) : null}
    </Column>
  );
}
