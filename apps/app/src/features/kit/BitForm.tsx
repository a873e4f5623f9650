import { BitPurchase, BitReach, BitSize, BitWear, type BitDraft } from './BitFields';
import { kitWords } from '@nucleon/core/words/screens/kit';
import { commonWords } from '@nucleon/core/words/screens/common';
import type { StoredBit } from '@nucleon/contract/wire';
import { BIT_FAMILIES, BIT_FAMILY_IDS } from '@nucleon/core/data/bits/bitFamilies';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import { deleteBit, putBit, restoreBit, showNewBit } from '../../api/kit';
import { Chips } from '../../ui/Chips';
import { Small } from '../../ui/text';
import { TextBox } from '../../ui/TextBox';
import { useUnits } from '../display/displayStore';
import { KitFormShell } from './KitFormShell';
import { useKitDraft } from './useKitDraft';

interface BitFormProps {
  readonly bit?: StoredBit;
  /** What is known of a new one already. */
  readonly start?: Partial<BitDraft>;
  readonly onDone: () => void;
}

const NEW_BIT: BitDraft = { name: '', family: 'plated-cup-saw', diameterMm: 10 };

/** Family and size are enough; the rest comes from the family until it is measured. */
export function BitForm({ bit, start, onDone }: BitFormProps) {
  const units = useUnits();
  const kit = useKitDraft<BitDraft, StoredBit>({
    kind: 'bit',
    stored: bit ?? null,
    fresh: { ...NEW_BIT, ...start },
    put: putBit,
    restore: restoreBit,
    path: (id) => `/bits/${id}`,
    showNew: showNewBit,
    onDone,
  });
  const { value: draft, change } = kit;
  const family = BIT_FAMILIES[draft.family];
  const name = draft.name.trim() || `${family.name} ${formatLengthShort(draft.diameterMm, units)}`;
  return (
    <KitFormShell
      draft={kit}
      canSave={kit.nameFault === undefined}
      save={() => kit.save({ name })}
      onDone={onDone}
      deletion={
        bit && {
          name: bit.name,
          remove: () => deleteBit(bit.id),
          restore: () => restoreBit(bit.id),
        }
      }
    >
      <Chips
        label={kitWords.family}
        chips={BIT_FAMILY_IDS.map((id) => ({ value: id, label: BIT_FAMILIES[id].name }))}
        value={draft.family}
        onChange={(one) => {
          change({ family: one });
        }}
        testID="bit-family"
      />
      <Small>{family.note}</Small>
      <BitSize draft={draft} change={change} />
      <TextBox
        label={commonWords.name}
        value={draft.name}
        placeholder={name}
        onChangeText={(text) => {
          change({ name: text });
        }}
        fault={kit.nameFault}
        testID="bit-name"
      />
      <BitWear draft={draft} change={change} />
      <BitReach draft={draft} change={change} />
      <BitPurchase draft={draft} change={change} />
    </KitFormShell>
  );
}
