import { operationsWords } from '@nucleon/core/words/screens/operations';
import { useMedia } from '@tamagui/core';
import { Column, Row } from '../../ui/layout';
import { Loading } from '../../ui/StateView';
import { HoleLoader, type LoadedHole } from '../hole/HoleLoader';
import { RoomPage } from '../hole/RoomPage';
import { useHoleRoom } from '../hole/useHoleRoom';
import { OperationFigures } from './OperationFigures';
import { OperationForm } from './OperationForm';
import { OperationRows } from './OperationRows';
import { OperationTotals } from './OperationTotals';
import { useOperations } from './useOperations';

/** Operations: every tool and every face of a hole, one after the other. */
export function OperationsScreen() {
  return (
    <HoleLoader title={operationsWords.operations}>
      {(loaded) => <OperationsRoom key={loaded.detail.hole.id} {...loaded} />}
    </HoleLoader>
  );
}

function OperationsRoom(loaded: LoadedHole) {
  const room = useHoleRoom(loaded);
  const list = useOperations(room);
  const { wide } = useMedia();
  const { lastPlan: plan, edit, workshop } = room;
  const chosen = list.rows.find(({ one }) => one.id === list.chosenId);
  // A list that clashes stays in reach: here is where it is mended.
  if (!plan && room.faults.length === 0)
    return (
      <RoomPage name="operations" room={room}>
        <Loading what={operationsWords.theOperations} />
      </RoomPage>
    );
  const form = chosen ? (
    <OperationForm
      row={chosen}
      hole={edit.hole}
      piece={edit.piece}
      custom={loaded.detail.job.customMaterials}
      workshop={workshop}
      onChange={(change) => {
        list.change(chosen.one.id, change);
      }}
    />
  ) : null;
  const totals = plan ? <OperationTotals plan={plan} /> : null;
  const figures =
    plan && chosen?.planned ? (
      <OperationFigures plan={plan} one={chosen.planned} thicknessMm={edit.piece.thicknessMm} />
    ) : null;
  if (wide)
    return (
      <RoomPage name="operations" room={room} maxWidth={1440}>
        {totals}
        <Row alignItems="flex-start" gap="$4" padding="$4">
          <Column flex={4}>
            <OperationRows list={list} />
          </Column>
          <Column flex={4}>{figures}</Column>
          <Column flex={3}>{form}</Column>
        </Row>
      </RoomPage>
    );
  return (
    <RoomPage name="operations" room={room}>
      {totals}
      {figures}
      <Column padding="$4">
        <OperationRows list={list} form={form} />
      </Column>
    </RoomPage>
  );
}
