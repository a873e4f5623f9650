import type { OperationKindId } from '@nucleon/core/data/operations';
import { operationLine } from '@nucleon/core/words/plan/operationLine';
import { KIND_CHIPS, operationsWords, presetChips } from '@nucleon/core/words/screens/operations';
import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronUp from 'lucide-react-native/icons/chevron-up';
import GripVertical from 'lucide-react-native/icons/grip-vertical';
import Plus from 'lucide-react-native/icons/plus';
import RotateCcw from 'lucide-react-native/icons/rotate-ccw';
import Trash from 'lucide-react-native/icons/trash';
import { useState, type ReactNode } from 'react';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Icon } from '../../ui/Icon';
import { Column, Row } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Press } from '../../ui/Press';
import { Label, Small, Strong } from '../../ui/text';
import { useDragAndArrows } from '../../ui/useDragAndArrows';
import { useUnits } from '../display/displayStore';
import type { OperationList, OperationRow } from './useOperations';

/** A row is about this high: so far a drag moves it by one place, px. */
const ROW_PX = 76;

interface OperationRowsProps {
  readonly list: OperationList;
  /** The chosen one's choices, under its row where there is one column. */
  readonly form?: ReactNode;
}

/** The operations in order: chosen by a tap, moved by their handle or by buttons. */
export function OperationRows({ list, form }: OperationRowsProps) {
  const [adding, setAdding] = useState(false);
  return (
    <Column gap="$3">
      <Small>{list.suggested ? operationsWords.suggested : operationsWords.yourOwn}</Small>
      <Column render="ol" padding={0} margin={0} testID="operations">
        {list.rows.map((row, index) => (
          <OperationItem key={row.one.id} row={row} index={index} list={list} form={form} />
        ))}
      </Column>
      {adding ? (
        <Chips<OperationKindId | ''>
          label={operationsWords.add}
          chips={[...KIND_CHIPS, { value: '', label: operationsWords.cancel }]}
          value={undefined}
          onChange={(does) => {
            setAdding(false);
            if (does !== '') list.add(does);
          }}
          testID="operation-kinds"
        />
      ) : (
        <Row gap="$2" flexWrap="wrap">
          <Button
            label={operationsWords.add}
            icon={Plus}
            onPress={() => {
              setAdding(true);
            }}
            testID="operation-add"
          />
          {list.suggested ? null : (
            <Button
              label={operationsWords.backToSuggested}
              icon={RotateCcw}
              look="quiet"
              onPress={list.backToSuggested}
              testID="operations-suggested"
            />
          )}
        </Row>
      )}
      {/* Below the list: they are weighed by a worker, and what comes late must move no row from under a finger. */}
      {list.presets.length > 1 ? (
        <Chips
          label={operationsWords.startFrom}
          chips={presetChips(list.presets, list.purpose)}
          value={list.suggested ? list.presets.find(({ inUse }) => inUse)?.id : undefined}
          onChange={(id) => {
            const preset = list.presets.find((one) => one.id === id);
            if (preset) list.startFrom(preset);
          }}
          testID="operation-presets"
        />
      ) : null}
    </Column>
  );
}

interface OperationItemProps {
  readonly row: OperationRow;
  readonly index: number;
  readonly list: OperationList;
  readonly form: ReactNode;
}

function OperationItem({ row, index, list, form }: OperationItemProps) {
  const units = useUnits();
  const { one, planned, faults } = row;
  const { title, detail, time } = operationLine(one, planned, units);
  const on = list.chosenId === one.id;
  const [draggedPx, setDraggedPx] = useState(0);
  return (
    <Column
      render="li"
      borderTopWidth={1}
      borderColor="$line"
      borderLeftWidth={3}
      borderLeftColor={on ? '$water' : 'transparent'}
      backgroundColor={on ? '$waterWash' : 'transparent'}
      transform={[{ translateY: draggedPx }]}
      zIndex={draggedPx === 0 ? 0 : 1}
      testID={`operation-${one.id}`}
    >
      <Row alignItems="center">
        <Handle
          label={operationsWords.dragOf(title)}
          onMove={(places) => {
            list.move(one.id, places);
          }}
          onDragged={setDraggedPx}
        />
        <Press
          flex={1}
          gap="$3"
          paddingVertical="$2"
          alignItems="flex-start"
          aria-pressed={on}
          aria-label={operationsWords.numbered(index + 1, title, detail)}
          onPress={() => {
            list.choose(one.id);
          }}
          hoverStyle={{ backgroundColor: '$raised' }}
          testID={`operation-row-${one.id}`}
        >
          <Label width={22} textAlign="right" fontVariant={['tabular-nums']}>
            {index + 1}
          </Label>
          <Column flex={1} alignItems="flex-start">
            <Strong textAlign="left">{title}</Strong>
            {detail ? (
              <Small textAlign="left" numberOfLines={on ? undefined : 2}>
                {detail}
              </Small>
            ) : null}
          </Column>
          <Small paddingRight="$2">{time}</Small>
        </Press>
      </Row>
      {faults.map((message) => (
        <Column key={message} padding="$2">
          <Notice level="stop" text={message} />
        </Column>
      ))}
      {on ? (
        <Column gap="$4" padding="$3">
          <RowButtons title={title} id={one.id} index={index} list={list} />
          {form}
        </Column>
      ) : null}
    </Column>
  );
}

/** Without a drag: a step up or down, or away. */
function RowButtons({
  title,
  id,
  index,
  list,
}: {
  readonly title: string;
  readonly id: string;
  readonly index: number;
  readonly list: OperationList;
}) {
  return (
    <Row gap="$2" flexWrap="wrap">
      <Button
        label={operationsWords.moveUp}
        hint={operationsWords.moveUpOf(title)}
        icon={ChevronUp}
        disabled={index === 0}
        onPress={() => {
          list.move(id, -1);
        }}
        testID="operation-up"
      />
      <Button
        label={operationsWords.moveDown}
        hint={operationsWords.moveDownOf(title)}
        icon={ChevronDown}
        disabled={index === list.rows.length - 1}
        onPress={() => {
          list.move(id, 1);
        }}
        testID="operation-down"
      />
      <Button
        label={operationsWords.remove}
        hint={operationsWords.removeOf(title)}
        icon={Trash}
        look="quiet"
        onPress={() => {
          list.remove(id);
        }}
        testID="operation-remove"
      />
    </Row>
  );
}

interface HandleProps {
  readonly label: string;
  readonly onMove: (places: number) => void;
  readonly onDragged: (px: number) => void;
}

/** Where a row is taken hold of: by finger, mouse or arrow keys. */
function Handle({ label, onMove, onDragged }: HandleProps) {
  const ref = useDragAndArrows({
    onDrag: ({ movedDown, last }) => {
      onDragged(last ? 0 : movedDown);
      const places = Math.round(movedDown / ROW_PX);
      if (last && places !== 0) onMove(places);
    },
    onArrow: ({ up }) => {
      if (up !== 0) onMove(-up);
      return up !== 0;
    },
  });
  return (
    <Press
      ref={ref}
      width={44}
      alignSelf="stretch"
      justifyContent="center"
      cursor="grab"
      aria-label={label}
      style={{ touchAction: 'none' }}
    >
      <Icon of={GripVertical} tone="muted" />
    </Press>
  );
}
