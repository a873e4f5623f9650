import { heldWords } from '@nucleon/core/words/screens/held';
import { commonWords } from '@nucleon/core/words/screens/common';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import type { SupportPad } from '@nucleon/core/documents/setup';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';

interface PadFieldsProps {
  readonly pad: SupportPad;
  readonly onChange: (next: Partial<SupportPad>) => void;
  readonly onRemove: () => void;
}

/** Where one pad lies and how large it is, typed. */
export function PadFields({ pad, onChange, onRemove }: PadFieldsProps) {
  return (
    <Column gap="$3" testID="pad-fields">
      <Row gap="$3" flexWrap="wrap" alignItems="flex-start">
        <LengthBox
          inRow
          anySign
          label={commonWords.fromLeft}
          valueMm={pad.xMm}
          maxMm={LIMITS.lengthMm.max}
          onChangeMm={(xMm) => {
            onChange({ xMm });
          }}
          testID="pad-x"
        />
        <LengthBox
          inRow
          anySign
          label={heldWords.fromBelow}
          valueMm={pad.yMm}
          maxMm={LIMITS.lengthMm.max}
          onChangeMm={(yMm) => {
            onChange({ yMm });
          }}
          testID="pad-y"
        />
        <LengthBox
          inRow
          label={heldWords.wide}
          valueMm={pad.widthMm}
          maxMm={LIMITS.lengthMm.max}
          onChangeMm={(wide) => {
            onChange({ widthMm: wide });
          }}
          testID="pad-width"
        />
        <LengthBox
          inRow
          label={heldWords.high}
          valueMm={pad.heightMm}
          maxMm={LIMITS.lengthMm.max}
          onChangeMm={(high) => {
            onChange({ heightMm: high });
          }}
          testID="pad-height"
        />
      </Row>
      <Row>
        <Button
          label={heldWords.deleteThisPad}
          look="quiet"
          onPress={onRemove}
          testID="remove-pad"
        />
      </Row>
    </Column>
  );
}
