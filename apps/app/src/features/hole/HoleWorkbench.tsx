import { tellingDepth } from '@nucleon/core/drawing/sectionOf';
import { findMaterial } from '@nucleon/core/data/materials/materials';
import type { UnitSystem } from '@nucleon/core/data/unitSystem';
import type { Plan } from '@nucleon/core/documents/plan';
import {
  tradeRulesInWords,
  type TradeRuleInWords,
} from '@nucleon/core/words/advice/tradeRulesInWords';
import { commonWords } from '@nucleon/core/words/screens/common';
import { holeWords } from '@nucleon/core/words/screens/hole';
import { routes } from '../../routes';
import { useMedia } from '@tamagui/core';
import { useRouter } from 'expo-router';
import Drill from 'lucide-react-native/icons/drill';
import type { JudgedRule } from '@nucleon/core/layout/edgeRules';
import { useState, type ReactNode } from 'react';
import { ScrollView } from 'react-native';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { useMayWork } from '../../ui/mayWork';
import { Page } from '../../ui/Page';
import { Small } from '../../ui/text';
import { Loading } from '../../ui/StateView';
import { UndoRedo } from '../../ui/UndoRedo';
import { useKeys } from '../../ui/useKeys';
import { useUnits } from '../display/displayStore';
import { JobTree } from '../job/JobTree';
import { useGateAnswers } from '../gates/useGateAnswers';
import { CloserRooms } from './CloserRooms';
import type { LoadedHole } from './HoleLoader';
import { HoleTrouble } from './HoleTrouble';
import { HoleMenu } from './HoleMenu';
import { LiveBar } from './LiveBar';
import { PlanBody, PlanTop } from './PlanView';
import { SaveMark } from '../draft/SaveMark';
import { useEdges } from './useEdges';
import { keepTopHeight, lastTopHeight } from './planTopHeight';
import { roomHref, type HoleRoomName } from './rooms';
import { useHoleRoom, type HoleRoom } from './useHoleRoom';
import { Walk } from './Walk';

const clock = (): Date => new Date();
const TREE_WIDTH = 250;
const WALK_WIDTH = 400;

/** The plan and what it is made from: one column on a phone, side by side on a wide screen. */
export function HoleWorkbench(loaded: LoadedHole) {
  const room = useHoleRoom(loaded);
  const { detail, workshop, handle, edit, plan } = room;
  const router = useRouter();
  const { wide } = useMedia();
  const { draft, dispatch } = handle;
  const edges = useEdges(detail, edit);
  useHoleKeys(dispatch, () => {
    router.navigate(routes.newHole({ jobId: detail.job.id }));
  });

  const openRoom = (name: HoleRoomName): void => {
    router.navigate(roomHref(detail, name));
  };
  const trouble = <HoleTrouble {...room} />;
  const walk = (
    <Walk
      edit={edit}
      plan={plan}
      workshop={workshop}
      custom={detail.job.customMaterials}
      edges={edges}
      opensWith={wide ? 'piece' : null}
      onOpen={openRoom}
    />
  );
  const view = (
    <HolePlan room={room} edges={edges} wide={wide} walk={wide ? null : walk} openRoom={openRoom} />
  );
  const drill = plan ? (
    <DrillButton
      onPress={() => {
        openRoom('ready');
      }}
    />
  ) : null;
  const actions = (
    <>
      <SaveMark save={draft.save} />
      <UndoRedo draft={draft} dispatch={dispatch} />
      {wide ? drill : null}
    </>
  );
  const head = {
    title: edit.hole.label?.trim() ? edit.hole.label : commonWords.hole,
    subtitle: `${edit.piece.name} · ${detail.job.name}`,
    back: { href: routes.job(detail.job.id), label: commonWords.theJob },
    actions,
  };
  const menu = <HoleMenu detail={detail} plan={plan} drillCase={room.asked.drillCase} />;

  if (wide) {
    return (
      <Page {...head} maxWidth={1440} fixed>
        <Row flex={1} alignItems="stretch" minHeight={0}>
          <ScrollView style={{ width: TREE_WIDTH, flexGrow: 0 }}>
            <JobTree
              jobId={detail.job.id}
              holeId={edit.hole.id}
              hrefOf={(holeId) => routes.hole(detail.job.id, holeId)}
            />
          </ScrollView>
          <ScrollView
            style={{ flex: 1, borderLeftWidth: 1, borderRightWidth: 1, borderColor: 'transparent' }}
          >
            {trouble}
            {view}
            {menu}
          </ScrollView>
          <ScrollView style={{ width: WALK_WIDTH, flexGrow: 0 }}>{walk}</ScrollView>
        </Row>
      </Page>
    );
  }
  return (
    <Page
      {...head}
      footer={
        plan ? (
          <>
            <LiveBar plan={plan} />
            {drill}
          </>
        ) : undefined
      }
    >
      {trouble}
      {view}
      {menu}
    </Page>
  );
}

function DrillButton({ onPress }: { readonly onPress: () => void }) {
  return useMayWork() ? (
    <Button
      label={holeWords.drill}
      icon={Drill}
      look="main"
      hint={holeWords.drillReadyCheckThen}
      onPress={onPress}
      testID="drill"
    />
  ) : null;
}

interface HolePlanProps {
  readonly room: HoleRoom;
  readonly edges: readonly JudgedRule[];
  readonly wide: boolean;
  /** Between drawing and numbers where there is one column. */
  readonly walk: ReactNode;
  readonly openRoom: (name: HoleRoomName) => void;
}

/** The plan, or where it will stand: the walk keeps its place, and what is typed in it, when the first one arrives. */
function HolePlan({ room, edges, wide, walk, openRoom }: HolePlanProps) {
  const { detail, edit, plan, faults } = room;
  const [shownDepthMm, setShownDepthMm] = useState<number | null>(null);
  const answers = useGateAnswers(edit, detail.job, clock);
  const units = useUnits();
  const drawingHeight = wide ? 340 : 260;
  const [topHeight, setTopHeight] = useState(() => lastTopHeight(drawingHeight));
  const onInstead = (): void => {
    openRoom('instead');
  };
  return (
    <Column>
      {plan ? (
        <Column
          onLayout={({ nativeEvent }) => {
            setTopHeight(nativeEvent.layout.height);
            keepTopHeight(nativeEvent.layout.height);
          }}
        >
          <PlanTop
            plan={plan}
            edit={edit}
            answers={answers}
            atDepthMm={shownDepthMm ?? tellingDepth(plan)}
            drawingHeight={drawingHeight}
            onKnow={() => {
              openRoom('know');
            }}
            onInstead={onInstead}
          />
        </Column>
      ) : (
        // As tall as the last plan was: what is typed or tapped below stays where it is.
        <Column minHeight={topHeight} justifyContent="center" testID="no-plan">
          {faults.length === 0 ? (
            <Loading what={commonWords.thePlan} />
          ) : (
            <Small padding="$4" textAlign="center">
              {holeWords.noPlanOfThese}
            </Small>
          )}
        </Column>
      )}
      {walk}
      {plan ? (
        <PlanBody
          plan={plan}
          edit={edit}
          experience={room.workshop.experience}
          answers={answers}
          edges={edges}
          tradeRules={tradeRules(plan, room, units)}
          onInstead={onInstead}
          onShowDepth={setShownDepthMm}
          columns={wide ? 3 : 2}
          closer={<CloserRooms hrefOf={(name) => roomHref(room.detail, name)} />}
        />
      ) : null}
    </Column>
  );
}

const tradeRules = (
  plan: Plan,
  { edit: { piece }, detail }: HoleRoom,
  units: UnitSystem,
): readonly TradeRuleInWords[] => {
  const material = findMaterial(piece.material, detail.job.customMaterials);
  return material
    ? tradeRulesInWords({ plan, form: piece.form, materialClass: material.class }, units)
    : [];
};

function useHoleKeys(dispatch: HoleRoom['handle']['dispatch'], onNew: () => void): void {
  useKeys([
    {
      key: 'ctrl+z',
      does: commonWords.undoKey,
      run: () => {
        dispatch({ type: 'undo' });
      },
    },
    {
      key: 'ctrl+shift+z',
      does: commonWords.redoKey,
      run: () => {
        dispatch({ type: 'redo' });
      },
    },
    {
      key: 'n',
      does: commonWords.newHole,
      run: () => {
        onNew();
      },
    },
  ]);
}
