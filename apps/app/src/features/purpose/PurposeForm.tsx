import { purposeWords } from '@nucleon/core/words/screens/purpose';
import { sizesSold } from '@nucleon/core/data/nominalSizes';
import { usualValue, type Field } from '@nucleon/core/layout/purposes/field';
import type { PurposeKind } from '@nucleon/core/layout/purposes/purposes';
import { flowByHour } from '@nucleon/core/words/units/formatQuantity';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Column, Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { NumberBox } from '../../ui/NumberBox';
import { Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import type { PurposeDraft } from './usePurpose';

interface PurposeFormProps {
  readonly kind: PurposeKind;
  readonly purpose: PurposeDraft;
  readonly thicknessMm: number;
  readonly onOther: () => void;
}

/** What must be known of the part, each with what is taken when nothing is said. */
export function PurposeForm({ kind, purpose, thicknessMm, onOther }: PurposeFormProps) {
  const { tool, given, change, outcome } = purpose;
  const faults = outcome.kind === 'faulty' ? outcome.faults : [];
  return (
    <Column gap="$4" testID={`purpose-${kind}`}>
      <Small>{tool.about}</Small>
      {Object.entries(tool.fields).map(([name, field]) => (
        <FieldBox
          key={name}
          name={name}
          field={field}
          value={given[name]}
          thicknessMm={thicknessMm}
          fault={faults.find((one) => one.pointer === `/${name}` && !one.missing)?.message}
          onChange={(value) => {
            change(name, value);
          }}
        />
      ))}
      <Row>
        <Button
          label={purposeWords.anotherPurpose}
          look="quiet"
          onPress={onOther}
          testID="other-purpose"
        />
      </Row>
    </Column>
  );
}

interface FieldBoxProps {
  readonly name: string;
  readonly field: Field;
  readonly value: unknown;
  readonly thicknessMm: number;
  readonly fault: string | undefined;
  readonly onChange: (value: number | string | undefined) => void;
}

function FieldBox({ name, field, value, thicknessMm, fault, onChange }: FieldBoxProps) {
  const units = useUnits();
  const usual = usualValue(field, thicknessMm);
  const testID = `field-${name}`;
  if (field.kind === 'choice') {
    return (
      <Chips
        label={field.label}
        chips={Object.entries(field.options).map(([id, label]) => ({ value: id, label }))}
        value={typeof value === 'string' ? value : field.usual}
        onChange={onChange}
        testID={testID}
      />
    );
  }
  const known = typeof value === 'number' ? value : null;
  if (field.kind === 'number') {
    const typed = field.unit === 'L/h' ? flowByHour(units) : { unit: field.unit, litres: 1 };
    return (
      <NumberBox
        label={typed.unit ? `${field.label}, ${typed.unit}` : field.label}
        value={known === null ? undefined : Number((known / typed.litres).toPrecision(6))}
        limit={{
          ...(field.above !== undefined ? { above: field.above } : { min: field.atLeast ?? 0 }),
          max: field.max / typed.litres,
          unit: typed.unit,
        }}
        placeholder={
          usual === undefined ? (field.optional ? purposeWords.none : '') : String(usual)
        }
        note={fault ?? field.note}
        onChange={(amount) => {
          onChange(amount === undefined ? undefined : amount * typed.litres);
        }}
        testID={testID}
      />
    );
  }
  const taken = typeof usual === 'number' ? formatLengthShort(usual, units) : undefined;
  return (
    <Column gap="$1">
      <LengthBox
        label={field.label}
        valueMm={known}
        placeholder={taken ?? (field.optional ? purposeWords.asUsual : purposeWords.needed)}
        maxMm={field.max}
        anySign={field.min === 0}
        onChangeMm={onChange}
        onClear={() => {
          onChange(undefined);
        }}
        fault={fault}
        testID={testID}
      />
      {field.sold ? (
        <Chips
          label={purposeWords.asSold(field.label)}
          hideLabel
          chips={sizesSold(field.sold, units).map(({ label, mm }) => ({ value: mm, label }))}
          value={known ?? undefined}
          onChange={onChange}
          testID={`sold-${name}`}
        />
      ) : null}
      {field.note ? <Small>{field.note}</Small> : null}
    </Column>
  );
}
