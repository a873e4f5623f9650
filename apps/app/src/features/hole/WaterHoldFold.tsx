import { holeWords } from '@nucleon/core/words/screens/hole';
import { commonWords } from '@nucleon/core/words/screens/common';
import { isByHand } from '@nucleon/core/data/holds';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import { COOLANT_IDS, COOLANTS } from '@nucleon/core/data/coolants';
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

/** Water, what lies behind, and how the bit is steered. */
export function WaterHoldFold({
  edit,
  plan,
  onOpen,
}: {
  readonly edit: Editing;
  readonly plan: Plan;
  readonly onOpen: (room: 'held' | 'water') => void;
}) {
  const { hole, changeSetup } = edit;
  const { water, support } = hole.setup ?? {};
  const waterKind = water?.kind ?? (plan.setup.waterKind as (typeof COOLANT_IDS)[number]);
  const supportKind = support?.kind ?? (plan.setup.supportKind as (typeof SUPPORT_IDS)[number]);
  const standing = COOLANTS[waterKind].kind === 'standing';
  const changeWater = (change: object, group: string): void => {
    changeSetup({ water: { kind: waterKind, ...water, ...change } }, group);
  };
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
            changeWater({ extraction: dust === 'drawn' }, 'extraction');
          }}
          testID="extraction"
        />
      ) : null}
      {standing ? (
        <Row gap="$3" alignItems="flex-start" flexWrap="wrap">
          <LengthBox
            inRow
            label={holeWords.overFace}
            valueMm={water?.coverMm ?? COOLANTS[waterKind].coverMm}
            mostMm={500}
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
                mostMm={LIMITS.lengthMm.max}
                onChangeMm={(trayLengthMm) => {
                  changeWater({ trayLengthMm }, 'tray-length');
                }}
              />
              <LengthBox
                inRow
                label={holeWords.trayWidth}
                valueMm={water.trayWidthMm}
                mostMm={LIMITS.lengthMm.max}
                onChangeMm={(trayWidthMm) => {
                  changeWater({ trayWidthMm }, 'tray-width');
                }}
              />
            </>
          ) : null}
        </Row>
      ) : null}
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
