import { pressWords } from '@nucleon/core/words/screens/press';
import { isByHand } from '@nucleon/core/data/holds';
import { routes } from '../../routes';
import { aidText, armLines, forceLines, leverText } from '@nucleon/core/words/pressing';
import { scaleUnit } from '@nucleon/core/physics/effort/scaleReading';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Column, Panel, Row } from '../../ui/layout';
import { Lines } from '../../ui/Lines';
import { NumberBox } from '../../ui/NumberBox';
import { Loading } from '../../ui/StateView';
import { Heading, Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import { AID_CHIPS } from '@nucleon/core/words/screens/choiceChips';
import { HoleLoader, type LoadedHole } from '../hole/HoleLoader';
import { RoomPage } from '../hole/RoomPage';
import { useHoleRoom } from '../hole/useHoleRoom';
import { ScaleTrainer } from './ScaleTrainer';

const TARE_LIMIT = { min: 0, max: 200, unit: '' };

/** The plan's force on a scale, at the lever and in the arms. */
export function PressScreen() {
  return (
    <HoleLoader title={pressWords.feedForce}>
      {(loaded) => <PressRoom key={loaded.detail.hole.id} {...loaded} />}
    </HoleLoader>
  );
}

function PressRoom(loaded: LoadedHole) {
  const room = useHoleRoom(loaded);
  const units = useUnits();
  const router = useRouter();
  const [tare, setTare] = useState<number | undefined>(undefined);
  const { lastPlan: plan, workshop } = room;
  if (!plan)
    return (
      <RoomPage name="press" room={room}>
        {room.faults.length === 0 ? <Loading what={pressWords.theForce} /> : null}
      </RoomPage>
    );
  const machine = workshop.machines.find(({ id }) => id === plan.setup.machineId) ?? {};
  const { hold, feedAid: aid } = plan.setup;
  const byHand = isByHand(hold);
  const cuttingS = plan.stages.reduce((sum, { timeS }) => sum + (timeS ?? 0), 0);
  const pressed = {
    feedForceN: plan.feedForceN,
    cuttingS,
    hold,
    machine,
    aid,
  } as const;
  const lever = leverText(pressed, units);
  return (
    <RoomPage name="press" room={room}>
      <Column padding="$4" gap="$5">
        <Panel wet padding="$4" gap="$3" testID="force-lines">
          <Heading aria-level={2}>{pressWords.pressWith}</Heading>
          <Lines lines={forceLines(plan.feedForceN, tare ?? 0, units)} />
          <NumberBox
            label={pressWords.withDrillRestingOn(scaleUnit(units).unit)}
            value={tare}
            placeholder="0"
            limit={TARE_LIMIT}
            onChange={setTare}
            note={pressWords.theDrillsOwnWeight}
            testID="tare"
          />
        </Panel>
        <ScaleTrainer
          band={{
            minN: plan.forceWindowN.low,
            wantedN: plan.feedForceN,
            maxN: plan.forceWindowN.high,
          }}
          tare={tare ?? 0}
        />
        <Column gap="$3" testID="arms">
          <Heading aria-level={2}>{byHand ? pressWords.inArms : pressWords.atHandle}</Heading>
          {lever ? <Small>{lever}</Small> : null}
          {lever ? (
            <Row>
              <Button
                label={pressWords.measureItInKit}
                look="quiet"
                onPress={() => {
                  router.navigate(routes.kit({ shelf: 'machines' }));
                }}
              />
            </Row>
          ) : null}
          {byHand ? (
            <>
              <Chips
                label={pressWords.helpedBy}
                chips={AID_CHIPS}
                value={aid}
                onChange={(feedAid) => {
                  room.edit.changeSetup({ feedAid }, 'aid');
                }}
                testID="aid"
              />
              <Small>{aidText(aid)}</Small>
            </>
          ) : null}
          <Panel padding="$4">
            <Lines lines={armLines(pressed, units)} testID="arm-lines" />
          </Panel>
          <Small>{pressWords.howLongArmsHold}</Small>
        </Column>
      </Column>
    </RoomPage>
  );
}
