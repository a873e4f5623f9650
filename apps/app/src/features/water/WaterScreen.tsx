import { waterWords } from '@nucleon/core/words/screens/water';
import { commonWords } from '@nucleon/core/words/screens/common';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import { oddsInWords } from '@nucleon/core/words/odds';
import { COOLANTS, type CoolantId } from '@nucleon/core/data/coolants';
import type { DescribedWater } from '@nucleon/core/words/advice/waterInWords';
import { formatDuration, formatTempRise } from '@nucleon/core/words/units/formatQuantity';
import { WET_GATES } from '@nucleon/core/setup/hazards/wetGates';
import { Suspense, useMemo, useState } from 'react';
import { Measured } from '../../drawing/Measured';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Beside, Column, Half, Panel, Row, WIDE_PX } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { PartPanel } from '../../ui/PartPanel';
import { Loading } from '../../ui/StateView';
import { Heading, Label, Small, Strong } from '../../ui/text';
import { useTask } from '../../workers/useTask';
import { useUnits } from '../display/displayStore';
import { CheckList } from '../gates/CheckList';
import { useGateAnswers } from '../gates/useGateAnswers';
import type { Editing } from '../hole/editing';
import { HoleLoader, type LoadedHole } from '../hole/HoleLoader';
import { RoomPage } from '../hole/RoomPage';
import { useHoleRoom, type HoleRoom } from '../hole/useHoleRoom';
import type { WaterView } from '../../workers/waterView';
import { ClearnessGauge } from './ClearnessGauge';
import RimChart from './RimChart';

const clock = (): Date => new Date();
const DRY_CHIPS = [2, 5, 10, 20].map((seconds) => ({
  value: seconds,
  label: waterWords.sDry(seconds),
}));

/** How much water, when to change it, how hot the ring runs, and what water and power ask for. */
export function WaterScreen() {
  return (
    <HoleLoader title={commonWords.water}>
      {(loaded) => <WaterRoom key={loaded.detail.hole.id} {...loaded} />}
    </HoleLoader>
  );
}

function WaterRoom(loaded: LoadedHole) {
  const room = useHoleRoom(loaded);
  const { asked, lastPlan: plan, edit, detail } = room;
  const [dryForS, setDryForS] = useState(5);
  const answers = useGateAnswers(edit, detail.job, clock);
  const watered = useTask(
    'water',
    useMemo(() => ({ ...asked, dryForS }), [asked, dryForS]),
  );
  const view = watered.outcome?.kind === 'worked-out' ? watered.outcome.view : null;
  if (!view || !plan)
    return (
      <RoomPage name="water" room={room}>
        {watered.faults.length === 0 ? <Loading what={waterWords.theWater} /> : null}
      </RoomPage>
    );
  const gates = plan.gates.filter(({ code }) => WET_GATES.has(code));
  const settledGates = plan.settledGates.filter(({ code }) => WET_GATES.has(code));
  return (
    <RoomPage name="water" room={room} maxWidth={WIDE_PX}>
      <Beside padding="$4" testID="water-room">
        <Half>
          <Panel wet padding="$4" gap="$2">
            <Label>{plan.water.name}</Label>
            {view.advice.map((part) => (
              <PartPanel key={part.id} {...part} testID={`water-${part.id}`} />
            ))}
            <Tray edit={edit} kind={plan.setup.waterKind as CoolantId} />
          </Panel>
          {view.clouding.length > 0 ? (
            <Column gap="$3">
              <Heading aria-level={2}>{waterWords.howClearItStays}</Heading>
              <ClearnessGauge clouding={view.clouding} finesColour={view.finesColour} />
            </Column>
          ) : null}
          {gates
            .filter(({ level }) => level === 'stop')
            .map(({ code, message }) => (
              <Small key={code} role="alert" color="$stop">
                {waterWords.stop(message)}
              </Small>
            ))}
          <CheckList
            plan={{ gates, settledGates }}
            answers={answers}
            title={waterWords.waterAndPower}
            flush
          />
        </Half>
        <Half>
          <RimStory view={view} dryForS={dryForS} onDryFor={setDryForS} />
          <Waters room={room} />
        </Half>
      </Beside>
    </RoomPage>
  );
}

/** How hot the ring runs from the first stroke to the last, and where the water fails half-way. */
function RimStory({
  view,
  dryForS,
  onDryFor,
}: {
  readonly view: WaterView;
  readonly dryForS: number;
  readonly onDryFor: (seconds: number) => void;
}) {
  return (
    <Column gap="$3">
      <Heading aria-level={2}>{waterWords.howHotRingRuns}</Heading>
      <Small role="status" color="$ink" testID="rim-text">
        {view.storyText}
      </Small>
      <Chips
        label={waterWords.ifWaterFailsHalf}
        chips={DRY_CHIPS}
        value={dryForS}
        onChange={onDryFor}
        testID="dry-spell"
      />
      <Suspense fallback={<Loading what={waterWords.theChart} />}>
        <Measured>{(width) => <RimChart story={view.story} width={width} />}</Measured>
      </Suspense>
      <Small>{waterWords.liftsShowAsDips}</Small>
    </Column>
  );
}

/** Every way to bring water, the best first, and what is barred here. */
function Waters({ room }: { readonly room: HoleRoom }) {
  const ranked = useTask('waters', room.asked);
  return (
    <Column gap="$1" testID="waters">
      <Heading aria-level={2}>{waterWords.waterMethod}</Heading>
      {ranked.outcome?.kind === 'ranked' ? (
        <>
          {ranked.outcome.ranked.map((one, index) => (
            <MeansRow
              key={one.kind}
              place={index + 1}
              one={one}
              onUse={() => {
                room.edit.changeHole({ setup: one.setup }, 'water-choice');
              }}
            />
          ))}
          {ranked.outcome.barred.map(({ kind, name, why }) => (
            <Small key={kind} paddingVertical="$1">
              {name}: {why}
            </Small>
          ))}
        </>
      ) : (
        <Loading what={waterWords.theMeans} />
      )}
    </Column>
  );
}

/** Cover and tray, where water stands. */
function Tray({ edit, kind }: { readonly edit: Editing; readonly kind: CoolantId }) {
  if (COOLANTS[kind].kind !== 'standing') return null;
  const { water } = edit.hole.setup ?? {};
  const change = (next: object, group: string): void => {
    edit.changeSetup({ water: { ...water, kind, ...next } }, group);
  };
  return (
    <Row gap="$3" flexWrap="wrap" alignItems="flex-start">
      <LengthBox
        inRow
        label={waterWords.overFace}
        valueMm={water?.coverMm ?? COOLANTS[kind].coverMm}
        maxMm={500}
        onChangeMm={(coverMm) => {
          change({ coverMm }, 'cover');
        }}
        testID="water-cover"
      />
      {kind === 'pool' ? null : (
        <>
          <LengthBox
            inRow
            label={waterWords.trayLong}
            valueMm={water?.trayLengthMm ?? null}
            placeholder={waterWords.notMeasured}
            maxMm={LIMITS.lengthMm.max}
            onChangeMm={(trayLengthMm) => {
              change({ trayLengthMm }, 'tray-length');
            }}
            testID="tray-length"
          />
          <LengthBox
            inRow
            label={waterWords.trayWide}
            valueMm={water?.trayWidthMm ?? null}
            placeholder={waterWords.notMeasured}
            maxMm={LIMITS.lengthMm.max}
            onChangeMm={(trayWidthMm) => {
              change({ trayWidthMm }, 'tray-width');
            }}
            testID="tray-width"
          />
        </>
      )}
    </Row>
  );
}

function MeansRow({
  place,
  one,
  onUse,
}: {
  readonly place: number;
  readonly one: DescribedWater;
  readonly onUse: () => void;
}) {
  const units = useUnits();
  const { outcome } = one;
  return (
    <Column
      gap="$1"
      paddingVertical="$3"
      borderTopWidth={1}
      borderColor="$line"
      testID={`means-${one.kind}`}
    >
      <Row justifyContent="space-between" gap="$3" alignItems="flex-start">
        <Column flex={1}>
          <Strong>
            {place}. {one.name}
            {one.have ? ` · ${one.have}` : ''}
          </Strong>
          <Small>{one.why}</Small>
        </Column>
        {one.current ? (
          <Strong color="$fine">{commonWords.inPlan}</Strong>
        ) : (
          <Button
            label={waterWords.use}
            hint={waterWords.useOne(one.name.toLowerCase())}
            onPress={onUse}
            testID={`use-means-${one.kind}`}
          />
        )}
      </Row>
      <Small color="$ink">
        {waterWords.outcome(
          formatTempRise(one.tempRiseK, units),
          oddsInWords(outcome.crackProbability),
          outcome.timeS && formatDuration(outcome.timeS.p50),
        )}
      </Small>
    </Column>
  );
}
