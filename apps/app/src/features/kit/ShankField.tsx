import { kitWords } from '@nucleon/core/words/screens/kit';
import { CONNECTION_IDS, CONNECTIONS } from '@nucleon/core/data/couplings/connections';
import type { Shank } from '@nucleon/core/data/couplings/shank';
import { Chips } from '../../ui/Chips';
import { Column } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { Small } from '../../ui/text';

const KIND_CHIPS = CONNECTION_IDS.map((value) => ({ value, label: CONNECTIONS[value].name }));

interface ShankFieldProps {
  readonly label: string;
  readonly shank: Shank | undefined;
  readonly onChange: (shank: Shank) => void;
  readonly testID?: string;
}

/** The end that goes into something: its kind, and its size where a chuck closes on it. */
export function ShankField({ label, shank, onChange, testID = 'shank' }: ShankFieldProps) {
  const kind = shank && CONNECTIONS[shank.kind];
  return (
    <Column gap="$2">
      <Chips
        label={label}
        chips={KIND_CHIPS}
        value={shank?.kind}
        onChange={(next) => {
          onChange(
            CONNECTIONS[next].sized && shank?.sizeMm !== undefined
              ? { kind: next, sizeMm: shank.sizeMm }
              : { kind: next },
          );
        }}
        testID={testID}
      />
      {kind?.sized ? (
        <LengthBox
          label={kitWords.acrossIt}
          valueMm={shank?.sizeMm ?? null}
          placeholder={kitWords.notKnown}
          maxMm={100}
          onChangeMm={(sizeMm) => {
            if (shank) onChange({ ...shank, sizeMm });
          }}
          testID={`${testID}-size`}
        />
      ) : null}
      {kind ? <Small>{kind.note}</Small> : null}
    </Column>
  );
}
