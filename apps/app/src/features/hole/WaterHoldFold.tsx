import { holeWords } from '@nucleon/core/words/screens/hole';
import { commonWords } from '@nucleon/core/words/screens/common';
import { isByHand } from '@nucleon/core/data/holds';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import { COOLANT_IDS, COOLANTS, type CoolantId } from '@nucleon/core/data/coolants';
import { FEED_AIDS } from '@nucleon/core/data/machines/feedAids';
import type { Plan } from '@nucleon/core/documents/plan';
import { SUPPORT_IDS, SUPPORTS } from '@nucleon/core/data/supports';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { LengthBox } from '../../ui/LengthBox';
import { Row } from '../../ui/layout';
import { Small } from '../../ui/text';
import {
  AID_CHIPS,
  EXTRACTION_CHIPS,
  HOLD_CHIPS,
  STAND_CHIPS,
} from '@nucleon/core/words/screens/choiceChips';
import type { Editing } from './editing';

const WATER_CHIPS = COOLANT_IDS.map((id) => ({ value: id, label: COOLANTS[id].name }));
const SUPPORT_CHIPS = SUPPORT_IDS.map((id) => ({ value: id, label: SUPPORTS[id].name }));

interface WaterHoldProps {
  readonly edit: Editing;
  readonly plan: Plan;
  readonly onOpen: (room: 'held' | 'water') => void;
}

/** Water, what lies behind, and how the bit is steered. */
export const WaterHoldFold = (props: WaterHoldProps) => (
  <>
    <WaterPart {...props} />
    <SupportPart {...props} />
    <HoldPart {...props} />
  </>
);

function WaterPart({ edit, plan, onOpen }: WaterHoldProps) {
  const { hole, changeSetup } = edit;
  const water = hole.setup?.water;
  const waterKind = water?.kind ?? (plan.setup.waterKind as CoolantId);
  return (
    <>
      <Chips
        label={commonWords.water}
        chips={WATER_CHIPS}
        value={waterKind}
        onChange={(kind) => {
          changeSetup({ water: { ...water, kind, coverMm: undefined } }, 'water');
        }}
        testID="water"
      />
      <Small>{COOLANTS[waterKind].note}</Small>
      <Row>
        <Button
          label={holeWords.planWater}
          onPress={() => {
            onOpen('water');
          }}
          testID="open-water"
        />
      </Row>
      {waterKind === 'none' ? (
        <Chips
          label={holeWords.dust}
          chips={EXTRACTION_CHIPS}
          value={water?.extraction ? 'drawn' : 'free'}
          onChange={(dust) => {
            changeSetup(
              { water: { kind: waterKind, ...water, extraction: dust === 'drawn' } },
              'extraction',
            );
          }}
          testID="extraction"
        />
      ) : null}
      {COOLANTS[waterKind].kind === 'standing' ? (
        <BathPart edit={edit} waterKind={waterKind} />
      ) : null}
    </>
  );
}

/** How deep water stands over the face, and the tray it stands in where that is measured. */
function BathPart({
  edit: { hole, changeSetup },
  waterKind,
}: {
  readonly edit: Editing;
  readonly waterKind: CoolantId;
}) {
  const water = hole.setup?.water;
  const changeWater = (change: object, group: string): void => {
    changeSetup({ water: { kind: waterKind, ...water, ...change } }, group);
  };
  return (
    <Row gap="$3" alignItems="flex-start" flexWrap="wrap">
      <LengthBox
        inRow
        label={holeWords.overFace}
        valueMm={water?.coverMm ?? COOLANTS[waterKind].coverMm}
        maxMm={500}
        onChangeMm={(coverMm) => {
          changeWater({ coverMm }, 'cover');
        }}
        testID="cover"
      />
      {waterKind !== 'pool' && water?.trayLengthMm && water.trayWidthMm ? (
        <>
          <LengthBox
            inRow
            label={holeWords.trayLength}
            valueMm={water.trayLengthMm}
            maxMm={LIMITS.lengthMm.max}
            onChangeMm={(trayLengthMm) => {
              changeWater({ trayLengthMm }, 'tray-length');
            }}
          />
          <LengthBox
            inRow
            label={holeWords.trayWidth}
            valueMm={water.trayWidthMm}
            maxMm={LIMITS.lengthMm.max}
            onChangeMm={(trayWidthMm) => {
              changeWater({ trayWidthMm }, 'tray-width');
            }}
          />
        </>
      ) : null}
    </Row>
  );
}

function SupportPart({ edit, plan, onOpen }: WaterHoldProps) {
  const { hole, changeSetup } = edit;
  const support = hole.setup?.support;
  const supportKind = support?.kind ?? (plan.setup.supportKind as (typeof SUPPORT_IDS)[number]);
  return (
    <>
      <Chips
        label={holeWords.behindIt}
        chips={SUPPORT_CHIPS}
        value={supportKind}
        onChange={(kind) => {
          changeSetup({ support: { ...support, kind, thicknessMm: undefined } }, 'support');
        }}
        testID="support"
      />
      <Small>{SUPPORTS[supportKind].note}</Small>
      <Row>
        <Button
          label={holeWords.seeWhatBends}
          onPress={() => {
            onOpen('held');
          }}
          testID="open-held"
        />
      </Row>
    </>
  );
}

function HoldPart({ edit, plan }: WaterHoldProps) {
  const { hole, changeSetup } = edit;
  return (
    <>
      <Chips
        label={holeWords.hold}
        chips={HOLD_CHIPS}
        value={plan.setup.hold}
        onChange={(hold) => {
          changeSetup({ hold }, 'hold');
        }}
        testID="hold"
      />
      {isByHand(plan.setup.hold) ? (
        <>
          <Chips
            label={holeWords.helpedBy}
            chips={AID_CHIPS}
            value={plan.setup.feedAid}
            onChange={(feedAid) => {
              changeSetup({ feedAid }, 'aid');
            }}
            testID="feed-aid"
          />
          <Small>{FEED_AIDS[plan.setup.feedAid].how}</Small>
        </>
      ) : null}
      {plan.setup.hold === 'rig' ? (
        <Chips
          label={holeWords.whatHoldsStand}
          chips={STAND_CHIPS}
          value={hole.setup?.standFixing}
          onChange={(standFixing) => {
            changeSetup({ standFixing }, 'stand');
          }}
          testID="stand"
        />
      ) : null}
    </>
  );
}
