import { windowWords } from '@nucleon/core/words/screens/window';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import { AREA_WORDS } from '@nucleon/core/words/advice/windowWords';
import { pointInNumbers, pointInWords } from '@nucleon/core/words/advice/windowWords';
import { useMedia } from '@tamagui/core';
import { useMemo } from 'react';
import { Measured } from '../../drawing/Measured';
import { Button } from '../../ui/Button';
import { Column, Panel, Row } from '../../ui/layout';
import { ForceBox } from '../../ui/ForceBox';
import { NumberBox } from '../../ui/NumberBox';
import { Loading } from '../../ui/StateView';
import { Body, Small, Strong } from '../../ui/text';
import { useTask } from '../../workers/useTask';
import type { WindowView } from '../../workers/windowView';
import { useUnits } from '../display/displayStore';
import { HoleLoader, type LoadedHole } from '../hole/HoleLoader';
import { RoomPage } from '../hole/RoomPage';
import { useHoleRoom } from '../hole/useHoleRoom';
import { useWindowPoint } from './useWindowPoint';
import { withoutOwnPoint } from './windowPlace';
import { WindowMap } from './WindowMap';

const TALLEST_PX = 560;

/** Speed against force: what goes wrong where, and where the plan lies. */
export function WindowScreen() {
  return (
    <HoleLoader title={windowWords.workingWindow}>
      {(loaded) => <WindowRoom key={loaded.detail.hole.id} {...loaded} />}
    </HoleLoader>
  );
}

function WindowRoom(loaded: LoadedHole) {
  const room = useHoleRoom(loaded);
  const units = useUnits();
  const { wide } = useMedia();
  const { asked, lastPlan: plan } = room;
  // The map itself does not move while its point is dragged.
  const base = useMemo(() => withoutOwnPoint(asked), [asked]);
  const drawn = useTask('window', base);
  const placed = useTask('windowPoint', asked);
  const view = drawn.outcome?.kind === 'drawn' ? drawn.outcome.view : null;
  const point = placed.outcome?.kind === 'placed' ? placed.outcome.point : null;
  const { own, move, clear } = useWindowPoint(room.edit, view);
  if (!view || !point || !plan)
    return (
      <RoomPage name="window" room={room}>
        {drawn.faults.length === 0 ? <Loading what={windowWords.theWindow} /> : null}
      </RoomPage>
    );
  const map = (
    <Measured>
      {(width) => (
        <WindowMap
          view={view}
          point={point}
          width={width}
          height={Math.min(TALLEST_PX, width * 0.9)}
          onMove={move}
        />
      )}
    </Measured>
  );
  const stepped = view.machine.every(({ fromRpm, toRpm }) => fromRpm === toRpm);
  const beside = (
    <>
      <Panel wet padding="$4" gap="$2" testID="window-point" role="status" aria-live="polite">
        <Strong color={point.area === 'clean' ? '$fine' : '$caution'}>{pointInWords(point)}</Strong>
        <Body fontSize="$2">{pointInNumbers(point, view, units)}</Body>
        {stepped ? <Small>{windowWords.hasFixedSpeedsPoint(plan.setup.machineName)}</Small> : null}
      </Panel>
      <Row gap="$3" flexWrap="wrap" alignItems="flex-start">
        <NumberBox
          inRow
          label={windowWords.speedRpm}
          value={Math.round(point.rpm)}
          limit={LIMITS.rpm}
          onChange={(rpm) => {
            if (rpm) move({ rpm });
          }}
          testID="window-rpm"
        />
        <ForceBox
          inRow
          label={windowWords.force(units.force)}
          valueN={point.forceN}
          limit={LIMITS.feedForceN}
          onChangeN={(forceN) => {
            move({ forceN });
          }}
          testID="window-force"
        />
      </Row>
      {own ? (
        <Row>
          <Button label={windowWords.backToPacesOwn} onPress={clear} testID="window-clear" />
        </Row>
      ) : null}
      <Legend view={view} />
    </>
  );
  return (
    <RoomPage name="window" room={room} maxWidth={1200}>
      <Column padding="$4" gap="$4">
        <Small>
          {windowWords.forIn(plan.setup.bitName)}
          {plan.layers[0]?.name.toLowerCase()}
          {windowWords.byDragPointAnd(plan.water.name.toLowerCase())}
        </Small>
        {wide ? (
          <Row gap="$5" alignItems="flex-start">
            <Column flex={1.7}>{map}</Column>
            <Column flex={1} gap="$4">
              {beside}
            </Column>
          </Row>
        ) : (
          <>
            {map}
            {beside}
          </>
        )}
      </Column>
    </RoomPage>
  );
}

/** What each area on the map means. */
function Legend({ view }: { readonly view: WindowView }) {
  return (
    <Column gap="$1">
      {view.areas
        .filter(({ rings }) => rings.length > 0)
        .map(({ area }) => (
          <Small key={area}>
            {AREA_WORDS[area].name}: {AREA_WORDS[area].text}
          </Small>
        ))}
      <Small>{windowWords.bordersAreSoftBecause}</Small>
    </Column>
  );
}
