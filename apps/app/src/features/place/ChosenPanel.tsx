import type { Outline } from '@nucleon/core/documents/outline';
import { placeWords } from '@nucleon/core/words/screens/place';
import { commonWords } from '@nucleon/core/words/screens/common';
import { exitClearText, exitReason } from '@nucleon/core/words/layout/exitPlaceWords';
import { routes } from '../../routes';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import type { StoredHole } from '@nucleon/contract/wire';
import { roundLines } from '@nucleon/core/words/layout/roundLines';
import { spansToServices } from '@nucleon/core/layout/services';
import { clashText } from '@nucleon/core/words/layout/serviceWords';
import { isRound, roundSetting } from '@nucleon/core/layout/wrap';
import { useRouter } from 'expo-router';
import ArrowRight from 'lucide-react-native/icons/arrow-right';
import Trash from 'lucide-react-native/icons/trash';
import { v7 as newId } from 'uuid';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Column, Row } from '../../ui/layout';
import { Lines } from '../../ui/Lines';
import { LengthBox } from '../../ui/LengthBox';
import { Notice } from '../../ui/Notice';
import { Heading, Small } from '../../ui/text';
import { TextBox } from '../../ui/TextBox';
import { useUnits } from '../display/displayStore';
import { EdgeList } from '../hole/EdgeList';
import { HoleList } from './HoleList';
import { alignHoles, changeHole, mirrorHoles, spreadHoles } from './layoutEdits';
import type { PanelProps } from './panelProps';
import type { PlaceRoomState } from './usePlaceRoom';

/** What is chosen: one hole by number, several together, or the list to choose from. */
export function ChosenPanel({ room }: PanelProps) {
  const { state, act, lead } = room;
  return (
    <Column gap="$4">
      {state.selected.length > 1 ? (
        <ManyChosen room={room} />
      ) : lead ? (
        <OneChosen key={lead.hole.id} room={room} hole={lead.hole} />
      ) : (
        <Small>{placeWords.tapHoleToChoose}</Small>
      )}
      <Chips
        label={placeWords.draggedHolesRestOn}
        chips={[
          { value: 'on', label: placeWords.snap },
          { value: 'off', label: placeWords.free },
        ]}
        value={state.snaps ? 'on' : 'off'}
        onChange={(value) => {
          act({ type: 'set', change: { snaps: value === 'on' } });
        }}
        testID="place-snap"
      />
      <HoleList holes={room.holes} selected={state.selected} act={act} placement={room.placement} />
    </Column>
  );
}

function OneChosen({ room, hole }: { readonly room: PlaceRoomState; readonly hole: StoredHole }) {
  const { edit, lead, content, remove } = room;
  const units = useUnits();
  const router = useRouter();
  const { piece } = content;
  const onBase = hole.face === 'base';
  const clash = spansToServices(piece, hole).find(({ clearMm }) => clearMm < 0);
  const change = (part: Partial<StoredHole>, group: string): void => {
    edit(changeHole(hole.id, part), `${group} ${hole.id}`);
  };
  return (
    <Column gap="$3" testID="chosen">
      <Heading aria-level={2}>{hole.label || commonWords.hole}</Heading>
      {clash ? <Notice level="stop" text={clashText(clash, units)} testID="clash" /> : null}
      <PlaceBoxes hole={hole} outline={piece.outline} onChange={change} />
      <TextBox
        label={commonWords.name}
        value={hole.label ?? ''}
        onChangeText={(label) => {
          change({ label }, 'label');
        }}
        testID="place-label"
      />
      <EdgeList edges={lead?.judged ?? []} />
      {lead?.exit ? (
        <Small testID="exit-place">
          {exitReason(lead.exit, units).text} {exitClearText(lead.exit, units)}
        </Small>
      ) : null}
      {isRound(piece.outline) && !onBase ? (
        <Lines
          lines={roundLines(roundSetting(piece.outline, hole, hole.diameterMm), units)}
          testID="round-setting"
        />
      ) : null}
      <Row gap="$2" flexWrap="wrap">
        <Button
          label={placeWords.itsPlan}
          icon={ArrowRight}
          onPress={() => {
            router.navigate(routes.hole(piece.jobId, hole.id));
          }}
          testID="place-plan"
        />
        <Button
          label={placeWords.delete}
          icon={Trash}
          look="stop"
          onPress={() => {
            remove([hole.id]);
          }}
          testID="place-remove"
        />
      </Row>
    </Column>
  );
}

/** Its place by numbers, from the edges it is measured from, and its size. */
function PlaceBoxes({
  hole,
  outline,
  onChange: change,
}: {
  readonly hole: StoredHole;
  readonly outline: Outline;
  readonly onChange: (part: Partial<StoredHole>, group: string) => void;
}) {
  const onBase = hole.face === 'base';
  return (
    <Row gap="$3" flexWrap="wrap" alignItems="flex-start">
      <LengthBox
        inRow
        label={onBase ? placeWords.rightOfCentre : commonWords.fromLeft}
        valueMm={hole.xMm}
        anySign
        maxMm={LIMITS.placeMm.max}
        onChangeMm={(xMm) => {
          change({ xMm }, 'x');
        }}
        testID="place-x"
      />
      <LengthBox
        inRow
        label={
          onBase
            ? placeWords.aboveCentre
            : isRound(outline)
              ? placeWords.aboveBase
              : placeWords.fromBottom
        }
        valueMm={hole.yMm}
        anySign
        maxMm={LIMITS.placeMm.max}
        onChangeMm={(yMm) => {
          change({ yMm }, 'y');
        }}
        testID="place-y"
      />
      <LengthBox
        inRow
        label={commonWords.diameter}
        valueMm={hole.diameterMm}
        maxMm={LIMITS.diameterMm.max}
        onChangeMm={(diameterMm) => {
          change({ diameterMm }, 'diameter');
        }}
        testID="place-diameter"
      />
    </Row>
  );
}

function ManyChosen({ room }: { readonly room: PlaceRoomState }) {
  const { state, edit, remove } = room;
  const ids = state.selected;
  const doing = (label: string, run: () => void, testID: string) => (
    <Button label={label} onPress={run} testID={testID} />
  );
  return (
    <Column gap="$3" testID="chosen-many">
      <Heading aria-level={2}>{placeWords.holesChosen(ids.length)}</Heading>
      <Row gap="$2" flexWrap="wrap">
        {doing(
          placeWords.onOneLevel,
          () => {
            edit(alignHoles(ids, 'x'), 'align x');
          },
          'align-level',
        )}
        {doing(
          placeWords.oneAboveOther,
          () => {
            edit(alignHoles(ids, 'y'), 'align y');
          },
          'align-upright',
        )}
        {doing(
          placeWords.spreadEvenlyAcross,
          () => {
            edit(spreadHoles(ids, 'x'), 'spread x');
          },
          'spread-x',
        )}
        {doing(
          placeWords.spreadEvenlyUp,
          () => {
            edit(spreadHoles(ids, 'y'), 'spread y');
          },
          'spread-y',
        )}
        {doing(
          placeWords.mirrorLeftToRight,
          () => {
            edit(mirrorHoles(ids, 'upright', newId), 'mirror x');
          },
          'mirror-x',
        )}
        {doing(
          placeWords.mirrorTopToBottom,
          () => {
            edit(mirrorHoles(ids, 'level', newId), 'mirror y');
          },
          'mirror-y',
        )}
        <Button
          label={placeWords.deleteThem}
          icon={Trash}
          look="stop"
          onPress={() => {
            remove(ids);
          }}
        />
      </Row>
    </Column>
  );
}
