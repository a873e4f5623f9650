import { uiWords } from '@nucleon/core/words/screens/ui';
import { describeLimit, type NumberLimit } from '@nucleon/core/data/schema/limits';
import { useState } from 'react';
import { TextBox } from './TextBox';

interface NumberBoxProps {
  readonly label: string;
  readonly inRow?: boolean;
  readonly value: number | undefined;
  readonly onChange: (value: number | undefined) => void;
  readonly onEnter?: () => void;
  readonly limit: NumberLimit;
  readonly placeholder?: string;
  readonly note?: string;
  readonly testID?: string;
}

/** A plain number within its limits; empty means not known. */
export function NumberBox({
  label,
  inRow,
  value,
  onChange,
  onEnter,
  limit,
  placeholder,
  note,
  testID,
}: NumberBoxProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const fault = typed === null ? undefined : faultOf(typed, limit);
  return (
    <TextBox
      label={label}
      inRow={inRow}
      value={typed ?? (value === undefined ? '' : String(value))}
      onChangeText={(text) => {
        setTyped(text);
        if (faultOf(text, limit) === undefined)
          onChange(text.trim() === '' ? undefined : Number(text.replace(',', '.')));
      }}
      onDone={() => {
        if (fault === undefined) setTyped(null);
      }}
      onEnter={onEnter}
      inputMode="decimal"
      figures
      placeholder={placeholder}
      note={note}
      fault={fault}
      testID={testID}
    />
  );
}

function faultOf(text: string, limit: NumberLimit): string | undefined {
  if (text.trim() === '') return undefined;
  const value = Number(text.replace(',', '.'));
  const min = limit.above ?? limit.min ?? 0;
  const tooLow = limit.above === undefined ? value < min : value <= min;
  return Number.isFinite(value) && !tooLow && value <= limit.max
    ? undefined
    : uiWords.willNotDo(text.trim(), describeLimit(limit));
}
