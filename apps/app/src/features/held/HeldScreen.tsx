import { heldWords } from '@nucleon/core/words/screens/held';
import type { PointMm } from '@nucleon/core/layout/outline';
import type { SupportSetup } from '@nucleon/core/documents/setup';
import type { SupportId } from '@nucleon/core/data/supports';
import { useMedia } from '@tamagui/core';
import { useState, type ReactNode } from 'react';
import { Measured } from '../../drawing/Measured';
import { Chips } from '../../ui/Chips';
import { Column, Row } from '../../ui/layout';
import { PartPanel } from '../../ui/PartPanel';
import { Loading } from '../../ui/StateView';
import { Heading } from '../../ui/text';
import { useTask } from '../../workers/useTask';
import { HoleLoader, type LoadedHole } from '../hole/HoleLoader';
import { RoomPage } from '../hole/RoomPage';
import { useHoleRoom, type HoleRoom } from '../hole/useHoleRoom';
import type { StressView } from '../../workers/stressView';
import { EdgeTruthPanel } from './EdgeTruthPanel';
import { HeldFigures, StressLegend } from './HeldFigures';
import { HeldMap } from './HeldMap';
import { OddsPanel } from './OddsPanel';
import { PadPanel } from './PadPanel';
import { SupportRows } from './SupportRows';
import { useOddsMap } from './useOddsMap';

const MAP_CHIPS = [
  { value: 'stress', label: heldWords.bending },
  { value: 'odds', label: heldWords.oddsElsewhere },
] as const;
/** The map is no taller than this, so that the figures stay in sight beside it, px. */
const TALLEST_PX = { wide: 430, phone: 460 };

/** How the piece is held and backed, and what that does to it. */
export function HeldScreen() {
  return (
    <HoleLoader title={heldWords.support}>
      {(loaded) => <HeldRoom key={loaded.detail.hole.id} {...loaded} />}
    </HoleLoader>
  );
}

function HeldRoom(loaded: LoadedHole) {
  const room = useHoleRoom(loaded);
  const { wide } = useMedia();
  const { edit, asked, lastPlan: plan } = room;
  const [chosen, setChosen] = useState<number | null>(null);
  const stressed = useTask('stress', asked);
  const stress = stressed.outcome?.kind === 'drawn' ? stressed.outcome.view : null;
  if (!stress || !plan)
    return (
      <RoomPage name="held" room={room}>
        {stressed.faults.length === 0 ? <Loading what={heldWords.theBending} /> : null}
      </RoomPage>
    );
  const support: SupportSetup = {
    ...edit.hole.setup?.support,
    kind: edit.hole.setup?.support?.kind ?? (plan.setup.supportKind as SupportId),
  };
  const { edgesHeld } = plan.setup;
  const drawsMap = stress.bending.kind !== 'declined';
  const map = drawsMap ? (
    <HeldMapBox
      room={room}
      support={support}
      edgesHeld={edgesHeld}
      stress={stress}
      chosen={chosen}
      onChoose={setChosen}
    />
  ) : null;
  const rest = (
    <HeldRest
      room={room}
      stress={stress}
      pads={
        drawsMap ? (
          <PadPanel
            edit={edit}
            support={support}
            edgesHeld={edgesHeld}
            chosen={chosen}
            onChoose={setChosen}
          />
        ) : null
      }
    />
  );
  return (
    <RoomPage name="held" room={room} maxWidth={1240}>
      <Column padding="$4" gap="$5">
        {wide ? (
          <Row gap="$6" alignItems="flex-start">
            <Column flex={1.25} gap="$4">
              <HeldFigures stress={stress} />
              {map}
            </Column>
            <Column flex={1} gap="$5">
              {rest}
            </Column>
          </Row>
        ) : (
          <>
            <HeldFigures stress={stress} />
            {map}
            {rest}
          </>
        )}
      </Column>
    </RoomPage>
  );
}

/** The piece with the bending over it, or with the odds of every other place. */
function HeldMapBox({
  room,
  support,
  edgesHeld,
  stress,
  chosen,
  onChoose,
}: {
  readonly room: HoleRoom;
  readonly support: SupportSetup;
  readonly edgesHeld: SupportSetup['edgesHeld'];
  readonly stress: StressView;
  readonly chosen: number | null;
  readonly onChoose: (index: number | null) => void;
}) {
  const { wide } = useMedia();
  const { piece, hole, changeSetup, changeHole } = room.edit;
  const [shown, setShown] = useState<'stress' | 'odds'>('stress');
  const [place, setPlace] = useState<PointMm | null>(null);
  const odds = useOddsMap(shown === 'odds' ? room.asked : null);
  return (
    <Column gap="$3">
      <Chips
        label={heldWords.shown}
        hideLabel
        chips={MAP_CHIPS}
        value={shown}
        onChange={setShown}
        testID="map-shows"
      />
      <Measured>
        {(width) => (
          <HeldMap
            piece={piece}
            hole={hole}
            support={{ ...support, edgesHeld }}
            stress={stress}
            showsOdds={shown === 'odds'}
            odds={odds.map}
            asked={place}
            width={width}
            tallest={wide ? TALLEST_PX.wide : TALLEST_PX.phone}
            chosen={chosen}
            onChoose={onChoose}
            onMove={(index, to) => {
              const pads = (support.pads ?? []).map((pad, i) =>
                i === index ? { ...pad, ...to } : pad,
              );
              changeSetup({ support: { ...support, pads } }, `pad-${index}`);
            }}
            onTap={setPlace}
          />
        )}
      </Measured>
      {shown === 'odds' ? (
        <OddsPanel
          state={odds}
          outline={piece.outline}
          place={place}
          trouble={stress.text}
          onMoveHere={({ xMm, yMm }) => {
            changeHole({ xMm: Math.round(xMm), yMm: Math.round(yMm) }, 'odds-place');
            setPlace(null);
          }}
        />
      ) : (
        <StressLegend stress={stress} />
      )}
    </Column>
  );
}

/** Below the map: its pads, what else could hold it, how to hold it, and the truth about its edge. */
function HeldRest({
  room,
  stress,
  pads,
}: {
  readonly room: HoleRoom;
  readonly stress: StressView;
  readonly pads: ReactNode;
}) {
  const supports = useTask('supports', room.asked);
  const { changeHole } = room.edit;
  return (
    <>
      {pads}
      {supports.outcome?.kind === 'ranked' ? (
        supports.outcome.ranked.length > 0 ? (
          <SupportRows
            ranked={supports.outcome.ranked}
            barred={supports.outcome.barred}
            onUse={({ setup }) => {
              changeHole({ setup }, 'support-choice');
            }}
          />
        ) : null
      ) : (
        <Loading what={heldWords.whatElseItCould} />
      )}
      <Column>
        <Heading aria-level={2}>{heldWords.howToHoldIt}</Heading>
        {stress.advice.map((part) => (
          <PartPanel key={part.id} {...part} testID={`hold-${part.id}`} />
        ))}
      </Column>
      {stress.bending.kind === 'bent' ? <EdgeTruthPanel room={room} /> : null}
    </>
  );
}
