import { commonWords } from '@nucleon/core/words/screens/common';
import { placeWords } from '@nucleon/core/words/screens/place';
import { routes } from '../../routes';
import type { PieceLayout, StoredMachine } from '@nucleon/contract/wire';
import { useMedia } from '@tamagui/core';
import { describeLayout } from '@nucleon/core/words/layout/describeLayout';
import { useDeferredValue, useState } from 'react';
import { ScrollView, View, type LayoutChangeEvent } from 'react-native';
import { Chips } from '../../ui/Chips';
import { Column, Row } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { UndoRedo } from '../../ui/UndoRedo';
import { useUnits } from '../display/displayStore';
import { SaveMark } from '../draft/SaveMark';
import { LayoutTrouble } from './LayoutTrouble';
import { PlacePanels } from './PlacePanels';
import { PlanCanvas } from './PlanCanvas';
import { TOOL_CHIPS } from './tools';
import { usePlaceKeys } from './usePlaceKeys';
import { usePlaceRoom, type PlaceRoomState } from './usePlaceRoom';

const PANEL_WIDTH = 420;
/** Share of a phone's height that the plan takes. */
const PHONE_SHARE = '44%';

interface PlaceRoomProps {
  readonly layout: PieceLayout;
  readonly machines: readonly StoredMachine[];
  readonly firstHole: string | null;
}

/** The plan of one piece: drawing and panels, one above the other on a phone, else side by side. */
export function PlaceRoom({ layout, machines, firstHole }: PlaceRoomProps) {
  const room = usePlaceRoom(layout, machines, firstHole);
  const { wide } = useMedia();
  usePlaceKeys(room);
  const tools = (
    <ScrollView
      horizontal
      showsHorizontalScrollIndicator={false}
      style={{ flexGrow: 0 }}
      contentContainerStyle={{ paddingHorizontal: 12, paddingVertical: 8 }}
    >
      <Chips
        label={placeWords.whatTouchingPlanDoes}
        hideLabel
        nowrap
        chips={TOOL_CHIPS}
        value={room.state.tool}
        onChange={(tool) => {
          room.act({ type: 'tool', tool });
        }}
        testID="place-tool"
      />
    </ScrollView>
  );
  const trouble = (
    <>
      <LayoutTrouble {...room.handle} />
      {room.placement.faults.slice(0, 3).map((fault) => (
        <Column key={fault.pointer + fault.message} padding="$3">
          <Notice
            level="stop"
            title={placeWords.notSavedYet}
            text={fault.message}
            testID="place-fault"
          />
        </Column>
      ))}
    </>
  );
  // During a drag the panels may follow a frame later: the drawing under the finger comes first.
  const later = useDeferredValue(room);
  const panels = <PlacePanels room={room.state.carried ? later : room} layout={layout} />;
  return (
    <Page
      title={room.content.piece.name}
      subtitle={placeWords.layOutName(layout.job.name)}
      back={{ href: routes.job(layout.job.id), label: commonWords.theJob }}
      maxWidth={1440}
      fixed
      actions={
        <>
          <SaveMark save={room.handle.draft.save} />
          <UndoRedo {...room.handle} />
        </>
      }
    >
      {wide ? (
        <Row flex={1} alignItems="stretch" minHeight={0}>
          <Column flex={1} minHeight={0}>
            <Stage room={room} />
            {tools}
          </Column>
          <ScrollView style={{ width: PANEL_WIDTH, flexGrow: 0 }}>
            {trouble}
            {panels}
          </ScrollView>
        </Row>
      ) : (
        <Column flex={1} minHeight={0}>
          <Column height={PHONE_SHARE}>
            <Stage room={room} />
          </Column>
          {tools}
          <ScrollView style={{ flex: 1 }}>
            {trouble}
            {panels}
          </ScrollView>
        </Column>
      )}
    </Page>
  );
}

/** The drawing, as large as it is given room. */
function Stage({ room }: { readonly room: PlaceRoomState }) {
  const units = useUnits();
  const [size, setSize] = useState({ width: 0, height: 0 });
  const measure = ({ nativeEvent }: LayoutChangeEvent): void => {
    const { width, height } = nativeEvent.layout;
    setSize({ width, height });
  };
  return (
    <View onLayout={measure} style={{ flex: 1, minHeight: 0, overflow: 'hidden' }}>
      {size.width > 0 && size.height > 0 ? (
        <PlanCanvas
          {...room}
          {...size}
          description={describeLayout(room.content.piece, room.holes, units)}
        />
      ) : null}
    </View>
  );
}
