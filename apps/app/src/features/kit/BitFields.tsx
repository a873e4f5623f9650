import { kitWords } from '@nucleon/core/words/screens/kit';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import { bitGeometry } from '@nucleon/core/physics/cutting/bitGeometry';
import { stateWords } from '@nucleon/core/words/bitWords';
import { usualPrice } from '@nucleon/core/setup/usualBit';
import { formatMoney } from '@nucleon/core/words/units/money';
import { BIT_STATES } from '@nucleon/core/data/choices';
import type { Bit } from '@nucleon/core/documents/kit';
import { Chips } from '../../ui/Chips';
import { Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { NumberBox } from '../../ui/NumberBox';
import { TextBox } from '../../ui/TextBox';
import { ShankField } from './ShankField';
import { useUnits } from '../display/displayStore';

/** A bit as it is typed, before it has an id. */
export type BitDraft = Omit<Bit, 'id'>;

interface BitFieldsProps {
  readonly draft: BitDraft;
  readonly change: (parts: Partial<BitDraft>) => void;
}

const SLOT_CHIPS = [
  { value: 'yes', label: kitWords.slotted },
  { value: 'no', label: kitWords.closed },
] as const;

/** Outside and rim; a solid bit is all rim. */
export function BitSize({ draft, change }: BitFieldsProps) {
  const usual = bitGeometry({ family: draft.family, diameterMm: draft.diameterMm });
  return (
    <Row gap="$3" alignItems="flex-start" flexWrap="wrap">
      <LengthBox
        inRow
        label={kitWords.outsideDiameter}
        valueMm={draft.diameterMm}
        maxMm={LIMITS.diameterMm.max}
        onChangeMm={(mm) => {
          change({ diameterMm: mm });
        }}
        testID="bit-diameter"
      />
      {usual.solid ? null : (
        <LengthBox
          inRow
          label={kitWords.rimWidth}
          valueMm={draft.rimWidthMm ?? usual.rimWidthMm}
          maxMm={draft.diameterMm / 2}
          onChangeMm={(mm) => {
            change({ rimWidthMm: mm });
          }}
        />
      )}
    </Row>
  );
}

/** What it has cut, how sharp that leaves it, and how fast it may turn. */
export function BitWear({ draft, change }: BitFieldsProps) {
  return (
    <>
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
          label={kitWords.maxRpm}
          value={draft.maxRpm}
          limit={{ above: 0, max: 100_000, unit: kitWords.rpm }}
          placeholder={kitWords.notGiven}
          onChange={(value) => {
            change({ maxRpm: value });
          }}
        />
      </Row>
    </>
  );
}

/** How deep it goes, in what state, and how it is held. */
export function BitReach({ draft, change }: BitFieldsProps) {
  const usual = bitGeometry({ family: draft.family, diameterMm: draft.diameterMm });
  return (
    <>
      <LengthBox
        label={kitWords.usableDepth}
        valueMm={draft.usableDepthMm ?? usual.usableDepthMm}
        maxMm={LIMITS.toolLengthMm.max}
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
      <Row gap="$3" alignItems="flex-start" flexWrap="wrap">
        <LengthBox
          inRow
          label={kitWords.freeLength}
          valueMm={draft.freeLengthMm ?? null}
          placeholder={kitWords.notKnown}
          maxMm={LIMITS.toolLengthMm.max}
          onChangeMm={(mm) => {
            change({ freeLengthMm: mm });
          }}
          onClear={() => {
            change({ freeLengthMm: undefined });
          }}
          testID="bit-free-length"
        />
      </Row>
      {usual.solid ? null : (
        <Row gap="$3" alignItems="flex-start" flexWrap="wrap">
          <LengthBox
            inRow
            label={kitWords.boreDepth}
            valueMm={draft.boreDepthMm ?? null}
            placeholder={kitWords.asUsable}
            maxMm={LIMITS.toolLengthMm.max}
            onChangeMm={(mm) => {
              change({ boreDepthMm: mm });
            }}
            onClear={() => {
              change({ boreDepthMm: undefined });
            }}
            testID="bit-bore-depth"
          />
          <LengthBox
            inRow
            label={kitWords.barrelIfNarrower}
            valueMm={draft.barrelDiameterMm ?? null}
            placeholder={kitWords.asRim}
            maxMm={draft.diameterMm}
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
    </>
  );
}

/** What it cost, where it came from, and how true it runs. */
export function BitPurchase({ draft, change }: BitFieldsProps) {
  const units = useUnits();
  return (
    <>
      <Row gap="$3" alignItems="flex-start" flexWrap="wrap">
        <NumberBox
          inRow
          label={kitWords.price}
          value={draft.price}
          limit={LIMITS.money}
          placeholder={formatMoney(usualPrice(draft), units)}
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
          maxMm={20}
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
    </>
  );
}
