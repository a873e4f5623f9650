import { throughWords } from '@nucleon/core/words/screens/through';
import { timelineDrawing } from '@nucleon/core/drawing/timelineDrawing';
import { WATER_OFF_BEFORE_MM } from '@nucleon/core/plan/planWater';
import { Measured } from '../../drawing/Measured';
import { LengthBox } from '../../ui/LengthBox';
import { Column, Panel, Row } from '../../ui/layout';
import { Loading } from '../../ui/StateView';
import { Body, Heading, Label, Small, Strong } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import { HoleLoader, type LoadedHole } from '../hole/HoleLoader';
import { RoomPage } from '../hole/RoomPage';
import { useHoleRoom, type HoleRoom } from '../hole/useHoleRoom';
import { DepthOverTime } from './DepthOverTime';

/** Depth plan: leaf by leaf, what happens at which depth and when. */
export function ThroughScreen() {
  return (
    <HoleLoader title={throughWords.depthPlan}>
      {(loaded) => <ThroughRoom key={loaded.detail.hole.id} {...loaded} />}
    </HoleLoader>
  );
}

function ThroughRoom(loaded: LoadedHole) {
  const room = useHoleRoom(loaded);
  const units = useUnits();
  const { plan, edit } = room;
  if (!plan)
    return (
      <RoomPage name="through" room={room}>
        {room.faults.length === 0 ? <Loading what={throughWords.theDepthPlan} /> : null}
      </RoomPage>
    );
  const timeline = timelineDrawing(plan, units);
  return (
    <RoomPage name="through" room={room} maxWidth={1000}>
      <Column padding="$4" gap="$4">
        {timeline ? (
          <Panel wet padding="$2">
            <Measured>
              {(width) => (
                <DepthOverTime
                  plan={plan}
                  timeline={timeline}
                  thicknessMm={edit.piece.thicknessMm}
                  width={width}
                />
              )}
            </Measured>
          </Panel>
        ) : (
          <Body>{throughWords.atThisPressureIt}</Body>
        )}
        {timeline ? (
          <Column gap="$2" testID="moments">
            <Heading aria-level={2}>{throughWords.inThisOrder}</Heading>
            {timeline.farMarks.length > 0 ? <Small>{throughWords.drawnFromNearFace}</Small> : null}
            {[...timeline.marks, ...timeline.farMarks].map(
              ({ kind, title, when, detail }, index) => (
                <Row
                  key={`${kind} ${index}`}
                  gap="$3"
                  alignItems="flex-start"
                  borderTopWidth={1}
                  borderColor="$line"
                  paddingVertical="$2"
                  testID={`moment-${kind}`}
                >
                  <Label width={24}>{index + 1}</Label>
                  <Column flex={1}>
                    <Strong>{title}</Strong>
                    <Small>{when}</Small>
                    {detail ? <Small>{detail}</Small> : null}
                  </Column>
                </Row>
              ),
            )}
          </Column>
        ) : null}
        <WaterOff room={room} />
      </Column>
    </RoomPage>
  );
}

/** Where running water is shut before a wall's far face. */
function WaterOff({ room }: { readonly room: HoleRoom }) {
  const { edit, plan } = room;
  const { piece, hole, changeSetup } = edit;
  const flows = plan !== null && plan.water.flowLPerMin !== null;
  if (piece.form !== 'wall' || hole.depth.kind !== 'through' || !flows) return null;
  const before = hole.setup?.water?.offBeforeFarFaceMm ?? WATER_OFF_BEFORE_MM;
  const kind = plan.setup.waterKind as NonNullable<NonNullable<typeof hole.setup>['water']>['kind'];
  return (
    <Column gap="$2">
      <LengthBox
        label={throughWords.shutWaterBeforeFar}
        valueMm={before}
        maxMm={piece.thicknessMm}
        anySign
        onChangeMm={(mm) => {
          changeSetup(
            { water: { ...hole.setup?.water, kind, offBeforeFarFaceMm: Math.max(0, mm) } },
            'water-off',
          );
        }}
        testID="water-off"
      />
      <Small>{throughWords.zeroLeavesItRunning}</Small>
    </Column>
  );
}
