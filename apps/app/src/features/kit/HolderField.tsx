import { kitWords } from '@nucleon/core/words/screens/kit';
import { CONNECTION_IDS, CONNECTIONS } from '@nucleon/core/data/couplings/connections';
import type { Holder } from '@nucleon/core/data/couplings/shank';
import { Chips } from '../../ui/Chips';
import { Column, Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';

const KIND_CHIPS = CONNECTION_IDS.map((value) => ({
  value,
  label: value === 'round' ? kitWords.chuckOrCollet : CONNECTIONS[value].name,
}));

interface HolderFieldProps {
  readonly label: string;
  readonly holder: Holder | undefined;
  readonly onChange: (holder: Holder) => void;
  readonly testID?: string;
}

/** The end that takes something: a thread, or a chuck with what it closes on. */
export function HolderField({ label, holder, onChange, testID = 'holder' }: HolderFieldProps) {
  const size = (field: 'leastMm' | 'mostMm', text: string) => (
    <LengthBox
      inRow
      label={text}
      valueMm={holder?.[field] ?? null}
      placeholder={kitWords.notKnown}
      maxMm={100}
      onChangeMm={(mm) => {
        if (holder) onChange({ ...holder, [field]: mm });
      }}
      testID={`${testID}-${field}`}
    />
  );
  return (
    <Column gap="$2">
      <Chips
        label={label}
        chips={KIND_CHIPS}
        value={holder?.kind}
        onChange={(kind) => {
          onChange({ kind });
        }}
        testID={testID}
      />
      {holder && CONNECTIONS[holder.kind].sized ? (
        <Row gap="$3" alignItems="flex-start">
          {size('leastMm', kitWords.closesOnFrom)}
          {size('mostMm', 'to')}
        </Row>
      ) : null}
    </Column>
  );
}
