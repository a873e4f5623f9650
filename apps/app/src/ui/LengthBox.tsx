import { LIMITS } from '@nucleon/core/data/schema/limits';
import { uiWords } from '@nucleon/core/words/screens/ui';
import {
  formatLengthExact,
  formatLengthShort,
  parseLength,
} from '@nucleon/core/words/units/length';
import { useState } from 'react';
import { useUnits } from '../features/display/displayStore';
import { TextBox } from './TextBox';

interface LengthBoxProps {
  readonly label: string;
  readonly inRow?: boolean;
  readonly hideLabel?: boolean;
  /** null while nothing is known yet. */
  readonly valueMm: number | null;
  readonly placeholder?: string;
  readonly onChangeMm: (mm: number) => void;
  /** Where the length may be left unknown: called when the box is emptied. */
  readonly onClear?: () => void;
  /** Told where what stands in the box is no length that will do. */
  readonly onFault?: () => void;
  /** Enter was pressed. */
  readonly onEnter?: () => void;
  readonly minMm?: number;
  readonly maxMm: number;
  /** Places may be zero or negative; sizes may not. */
  readonly anySign?: boolean;
  readonly testID?: string;
  readonly fault?: string;
}

/** Zero, with its unit or without. */
const NOTHING = /^\s*0+([.,]0*)?\s*(mm|cm|m|in|"|″)?\s*$/i;

/** A length in the person's own unit; takes `1/4"` or `6 mm` whichever that is. Follows as they type. */
export function LengthBox({
  label,
  inRow,
  hideLabel,
  valueMm,
  placeholder,
  onChangeMm,
  onClear,
  onFault,
  onEnter,
  minMm = LIMITS.lengthMm.min,
  maxMm,
  anySign = false,
  testID,
  fault,
}: LengthBoxProps) {
  const units = useUnits();
  const [typed, setTyped] = useState<string | null>(null);
  const emptied = onClear !== undefined && typed?.trim() === '';
  const read = typed === null || emptied ? null : readLength(typed, anySign, maxMm);

  const change = (text: string): void => {
    setTyped(text);
    if (onClear && text.trim() === '') {
      onClear();
      return;
    }
    const next = readLength(text, anySign, maxMm);
    if (next.kind === 'parsed') onChangeMm(next.mm);
    else onFault?.();
  };
  function readLength(text: string, signed: boolean, max: number) {
    const negative = signed && /^\s*[-−]/.test(text);
    const bare = negative ? text.replace(/[-−]/, '') : text;
    if (signed && NOTHING.test(bare)) return { kind: 'parsed', mm: 0 } as const;
    const parsed = parseLength(bare, units);
    if (parsed.kind === 'fault') return parsed;
    if (!signed && parsed.mm < minMm) {
      return {
        kind: 'fault',
        message: uiWords.isTooLittleAt(
          formatLengthExact(parsed.mm, units),
          formatLengthExact(minMm, units),
        ),
      } as const;
    }
    if (parsed.mm > max) {
      return {
        kind: 'fault',
        message: uiWords.isTooMuchAt(
          formatLengthShort(parsed.mm, units),
          formatLengthShort(max, units),
        ),
      } as const;
    }
    return { kind: 'parsed', mm: negative ? -parsed.mm : parsed.mm } as const;
  }

  return (
    <TextBox
      label={label}
      inRow={inRow}
      hideLabel={hideLabel}
      value={typed ?? (valueMm === null ? '' : formatLengthExact(valueMm, units))}
      inputMode={units.length === 'mm' ? 'decimal' : 'text'}
      figures
      placeholder={placeholder}
      onChangeText={change}
      onDone={() => {
        if (read?.kind !== 'fault') setTyped(null);
      }}
      onEnter={onEnter}
      fault={read?.kind === 'fault' ? read.message : fault}
      testID={testID}
    />
  );
}
