import { kitWords } from '@nucleon/core/words/screens/kit';
import { commonWords } from '@nucleon/core/words/screens/common';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import type { StoredBit } from '@nucleon/contract/wire';
import { BIT_FAMILIES, BIT_FAMILY_IDS } from '@nucleon/core/data/bits/bitFamilies';
import { bitGeometry } from '@nucleon/core/physics/cutting/bitGeometry';
import { stateWords } from '@nucleon/core/words/bitWords';
import { usualPrice } from '@nucleon/core/setup/usualBit';
import { formatMoney } from '@nucleon/core/words/advice/outcomeWords';
import { BIT_STATES } from '@nucleon/core/data/choices';
import type { Bit } from '@nucleon/core/documents/kit';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import { deleteBit, putBit, restoreBit } from '../../api/kit';
import { Chips } from '../../ui/Chips';
import { Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { NumberBox } from '../../ui/NumberBox';
import { Small } from '../../ui/text';
import { TextBox } from '../../ui/TextBox';
import { useUnits } from '../display/displayStore';
import { KitFormShell } from './KitFormShell';
import { ShankField } from './ShankField';
import { useKitDraft } from './useKitDraft';

interface BitFormProps {
  readonly bit?: StoredBit;
  /** What is known of a new one already. */
  readonly start?: Partial<Draft>;
  readonly onDone: () => void;
}

type Draft = Omit<Bit, 'id'>;

const SLOT_CHIPS = [
  { value: 'yes', label: kitWords.slotted },
  { value: 'no', label: kitWords.closed },
] as const;

const NEW_BIT: Draft = { name: '', family: 'plated-cup-saw', diameterMm: 10 };

/** Family and size are enough; the rest comes from the family until it is measured. */
export function BitForm({ bit, start, onDone }: BitFormProps) {
  const units = useUnits();
  const kit = useKitDraft<Draft, StoredBit>({
    kind: 'bit',
    stored: bit ?? null,
    fresh: { ...NEW_BIT, ...start },
    put: putBit,
    restore: restoreBit,
    onDone,
  });
  const { value: draft, change } = kit;
  const usual = bitGeometry({ family: draft.family, diameterMm: draft.diameterMm });
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
      <Row gap="$3" alignItems="flex-start" flexWrap="wrap">
        <LengthBox
          inRow
          label={kitWords.outsideDiameter}
          valueMm={draft.diameterMm}
          mostMm={LIMITS.diameterMm.max}
          onChangeMm={(mm) => {
            change({ diameterMm: mm });
          }}
          testID="bit-diameter"
        />
        {family.solid ? null : (
          <LengthBox
            inRow
            label={kitWords.rimWidth}
            valueMm={draft.rimWidthMm ?? usual.rimWidthMm}
            mostMm={draft.diameterMm / 2}
            onChangeMm={(mm) => {
              change({ rimWidthMm: mm });
            }}
          />
        )}
      </Row>
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
      <Row gap="$3" alignItems="flex-start" flexWrap="wrap">
        <NumberBox
          inRow
          label={kitWords.depthCutSoFar}
          value={draft.depthCutMm}
          limit={LIMITS.depthCutMm}
          placeholder="0"
          onChange={(value) => {
            change({ depthCutMm: value });
          }}
        />
        <NumberBox
          inRow
          label={kitWords.holesCut}
          value={draft.holesCut}
          limit={LIMITS.count}
          placeholder="0"
          onChange={(value) => {
            change({ holesCut: value });
          }}
        />
      </Row>
      <Row gap="$3" alignItems="flex-start" flexWrap="wrap">
        <NumberBox
          inRow
          label={kitWords.sharpness0To1}
          value={draft.sharpness}
          limit={LIMITS.sharpness}
          placeholder={kitWords.fromWear}
          onChange={(value) => {
            change({ sharpness: value });
          }}
          testID="bit-sharpness"
        />
        <NumberBox
          inRow
          label={kitWords.mostRpm}
          value={draft.maxRpm}
          limit={{ above: 0, max: 100_000, unit: kitWords.rpm }}
          placeholder={kitWords.notGiven}
          onChange={(value) => {
            change({ maxRpm: value });
          }}
        />
      </Row>
      <LengthBox
        label={kitWords.usableDepth}
        valueMm={draft.usableDepthMm ?? usual.usableDepthMm}
        mostMm={LIMITS.thicknessMm.max}
        onChangeMm={(mm) => {
          change({ usableDepthMm: mm });
        }}
      />
      <Chips
        label={kitWords.state}
        chips={BIT_STATES.map((value) => ({ value, label: stateWords(value) }))}
        value={draft.state}
        onChange={(state) => {
          change({ state });
        }}
        testID="bit-state"
      />
      <ShankField
        label={kitWords.shank}
        shank={draft.shank}
        onChange={(shank) => {
          change({ shank });
        }}
      />
      {family.solid ? null : (
        <Row gap="$3" alignItems="flex-start" flexWrap="wrap">
          <LengthBox
            inRow
            label={kitWords.barrelIfNarrower}
            valueMm={draft.barrelDiameterMm ?? null}
            placeholder={kitWords.asRim}
            mostMm={draft.diameterMm}
            onChangeMm={(mm) => {
              change({ barrelDiameterMm: mm });
            }}
            onClear={() => {
              change({ barrelDiameterMm: undefined });
            }}
          />
          <Chips
            label={kitWords.slotsInBarrel}
            chips={SLOT_CHIPS}
            value={draft.slotted === undefined ? undefined : draft.slotted ? 'yes' : 'no'}
            onChange={(answer) => {
              change({ slotted: answer === 'yes' });
            }}
          />
        </Row>
      )}
      <Row gap="$3" alignItems="flex-start" flexWrap="wrap">
        <NumberBox
          inRow
          label={kitWords.price}
          value={draft.price}
          limit={LIMITS.money}
          placeholder={formatMoney(usualPrice(draft))}
          onChange={(value) => {
            change({ price: value });
          }}
          testID="bit-price"
        />
        <LengthBox
          inRow
          label={kitWords.runOut}
          valueMm={draft.runOutMm ?? null}
          placeholder={kitWords.notMeasured}
          mostMm={20}
          anySign
          onChangeMm={(mm) => {
            change({ runOutMm: Math.max(0, mm) });
          }}
          onClear={() => {
            change({ runOutMm: undefined });
          }}
        />
      </Row>
      <Row gap="$3" alignItems="flex-start" flexWrap="wrap">
        <TextBox
          inRow
          label={kitWords.supplier}
          value={draft.supplier ?? ''}
          onChangeText={(text) => {
            change({ supplier: text === '' ? undefined : text });
          }}
          testID="bit-supplier"
        />
        <TextBox
          inRow
          label={kitWords.batch}
          value={draft.batch ?? ''}
          onChangeText={(text) => {
            change({ batch: text === '' ? undefined : text });
          }}
        />
      </Row>
    </KitFormShell>
  );
}
