import {
  BIT_FAMILIES,
  BIT_FAMILY_IDS,
  type BitFamilyId,
} from '@nucleon/core/data/bits/bitFamilies';
import { usualBit, usualSizesMm } from '@nucleon/core/setup/usualBit';
import type { Bit } from '@nucleon/core/documents/kit';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { putBit } from '../../api/kit';
import { useWrite } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Column, Row } from '../../ui/layout';
import { Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import { BitForm } from './BitForm';

/** Three taps for a common bit: its family, its size, and in it goes; or every detail by hand. */
export function QuickBit({ onDone }: { readonly onDone: () => void }) {
  const units = useUnits();
  const [family, setFamily] = useState<BitFamilyId | undefined>();
  const [diameterMm, setDiameter] = useState<number | undefined>();
  const [byHand, setByHand] = useState(false);
  const [said, setSaid] = useState('');
  const add = useWrite((bit: Omit<Bit, 'id'>) => putBit(newId(), { ...bit, version: 0 }), {
    otherwise: 'It was not added.',
    done: ({ name: added }) => {
      setSaid(`“${added}” is in your kit. Another?`);
      setDiameter(undefined);
    },
  });
  const size = (mm: number): string => formatLengthShort(mm, units);
  if (byHand)
    return (
      <BitForm
        start={{ ...(family ? { family } : {}), ...(diameterMm ? { diameterMm } : {}) }}
        onDone={onDone}
      />
    );
  const name = family && diameterMm ? `${BIT_FAMILIES[family].name} ${size(diameterMm)}` : null;
  return (
    <Column padding="$4" gap="$4" backgroundColor="$ground" testID="quick-bit">
      <Chips
        label="1 · What kind?"
        chips={BIT_FAMILY_IDS.map((id) => ({ value: id, label: BIT_FAMILIES[id].name }))}
        value={family}
        onChange={(one) => {
          setFamily(one);
          setDiameter(undefined);
        }}
        testID="quick-family"
      />
      {family ? (
        <Chips
          label="2 · What size?"
          chips={usualSizesMm(family, units).map((mm) => ({
            value: mm,
            label: size(mm),
          }))}
          value={diameterMm}
          onChange={setDiameter}
          testID="quick-size"
        />
      ) : null}
      <Small role="status" aria-live="polite">
        {add.trouble ||
          said ||
          (family ? BIT_FAMILIES[family].note : 'Everything else comes as usual for its kind.')}
      </Small>
      <Row gap="$2" flexWrap="wrap">
        <Button
          label={name ? `Add ${name}` : 'Add it'}
          look="main"
          disabled={!name || add.busy}
          onPress={() => {
            if (family && diameterMm && name) add.run({ ...usualBit(family, diameterMm), name });
          }}
          testID="quick-add"
        />
        <Button
          label="Every detail"
          onPress={() => {
            setByHand(true);
          }}
          testID="every-detail"
        />
        <Button label="Close" look="quiet" onPress={onDone} />
      </Row>
    </Column>
  );
}
