import { commonWords } from '@nucleon/core/words/screens/common';
import { kitWords } from '@nucleon/core/words/screens/kit';
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
    otherwise: kitWords.itWasNotAdded,
    done: ({ name: added }) => {
      setSaid(kitWords.isInYourKit(added));
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
        label={kitWords.whatKind}
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
          label={kitWords.whatSize}
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
          (family ? BIT_FAMILIES[family].note : kitWords.everythingElseComesAs)}
      </Small>
      <Row gap="$2" flexWrap="wrap">
        <Button
          label={name ? kitWords.add(name) : kitWords.addIt}
          look="main"
          disabled={!name || add.busy}
          onPress={() => {
            if (family && diameterMm && name) add.run({ ...usualBit(family, diameterMm), name });
          }}
          testID="quick-add"
        />
        <Button
          label={kitWords.everyDetail}
          onPress={() => {
            setByHand(true);
          }}
          testID="every-detail"
        />
        <Button label={commonWords.close} look="quiet" onPress={onDone} />
      </Row>
    </Column>
  );
}
