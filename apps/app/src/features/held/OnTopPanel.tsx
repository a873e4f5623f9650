import { heldWords } from '@nucleon/core/words/screens/held';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import { boardOver, nextClamp } from '@nucleon/core/layout/supportPlaces';
import type { BoardSetup, ClampSetup, SupportSetup } from '@nucleon/core/documents/setup';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import Plus from 'lucide-react-native/icons/plus';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { ForceBox } from '../../ui/ForceBox';
import { Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import type { Editing } from '../hole/editing';

interface OnTopPanelProps {
  readonly edit: Editing;
  readonly support: SupportSetup;
  readonly onChange: (next: Partial<SupportSetup>, group: string) => void;
}

/** Clamps and boards on the piece. */
export function OnTopPanel({ edit, support, onChange }: OnTopPanelProps) {
  const { piece, hole } = edit;
  const { clamps = [], boards = [] } = support;
  const setClamps = (next: readonly ClampSetup[], group = 'clamps'): void => {
    onChange({ clamps: next }, group);
  };
  const setBoards = (next: readonly BoardSetup[]): void => {
    onChange({ boards: next }, 'boards');
  };
  return (
    <Column gap="$4">
      <Row gap="$2" flexWrap="wrap">
        <Button
          label={heldWords.addClamp}
          icon={Plus}
          onPress={() => {
            setClamps([...clamps, nextClamp(piece.outline, clamps.length)]);
          }}
          testID="add-clamp"
        />
        <Button
          label={heldWords.layBoardOverHole}
          icon={Plus}
          onPress={() => {
            setBoards([...boards, boardOver(piece.outline, hole)]);
          }}
          testID="add-board"
        />
      </Row>
      {clamps.map((clamp, index) => (
        <ClampRow
          key={index}
          clamp={clamp}
          count={index + 1}
          onChange={(next, group) => {
            setClamps(clamps.with(index, { ...clamp, ...next }), group);
          }}
          onDelete={() => {
            setClamps(clamps.toSpliced(index, 1));
          }}
        />
      ))}
      {boards.map((board, index) => (
        <BoardRow
          key={index}
          board={board}
          count={index + 1}
          onDelete={() => {
            setBoards(boards.toSpliced(index, 1));
          }}
        />
      ))}
    </Column>
  );
}

function ClampRow({
  clamp,
  count,
  onChange,
  onDelete,
}: {
  readonly clamp: ClampSetup;
  readonly count: number;
  readonly onChange: (next: Partial<ClampSetup>, group: string) => void;
  readonly onDelete: () => void;
}) {
  const units = useUnits();
  return (
    <Row gap="$3" alignItems="flex-end" flexWrap="wrap" testID={`clamp-${count - 1}`}>
      <ForceBox
        inRow
        label={heldWords.clamp(count, units.force)}
        valueN={clamp.forceN}
        limit={LIMITS.clampN}
        onChangeN={(forceN) => {
          onChange({ forceN }, 'clamp-force');
        }}
      />
      <LengthBox
        inRow
        label={heldWords.pad}
        valueMm={clamp.padDiameterMm}
        maxMm={LIMITS.smallMm.max}
        onChangeMm={(padDiameterMm) => {
          onChange({ padDiameterMm }, 'clamp-pad');
        }}
      />
      <Button label={heldWords.delete} look="quiet" onPress={onDelete} />
    </Row>
  );
}

function BoardRow({
  board,
  count,
  onDelete,
}: {
  readonly board: BoardSetup;
  readonly count: number;
  readonly onDelete: () => void;
}) {
  const units = useUnits();
  return (
    <Row gap="$3" justifyContent="space-between" testID={`board-${count - 1}`}>
      <Small flex={1}>
        {heldWords.boardThick(
          formatLengthShort(board.widthMm, units),
          formatLengthShort(board.heightMm, units),
          formatLengthShort(board.thicknessMm, units),
        )}
      </Small>
      <Button
        label={heldWords.delete}
        look="quiet"
        hint={heldWords.deleteBoard(count)}
        onPress={onDelete}
      />
    </Row>
  );
}
