import { heldWords } from '@nucleon/core/words/screens/held';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import { boundingBox } from '@nucleon/core/layout/outline';
import type { SupportSetup } from '@nucleon/core/documents/setup';
import { newtonPerForce } from '@nucleon/core/words/units/formatQuantity';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import Plus from 'lucide-react-native/icons/plus';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { NumberBox } from '../../ui/NumberBox';
import { Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import type { Editing } from '../hole/editing';

/** A new board is this share of the shorter span. */
const BOARD_SHARE = 0.5;
const USUAL_BOARD_MM = 18;
const USUAL_CLAMP = { padDiameterMm: 20, forceN: 50 } as const;
/** Clamps of a workshop press no harder, N. */
const MAX_CLAMP_N = 5000;
/** A new clamp stands this far in from the left or right, of the shorter span. */
const CLAMP_SHARE = 0.1;

interface OnTopPanelProps {
  readonly edit: Editing;
  readonly support: SupportSetup;
  readonly onChange: (next: Partial<SupportSetup>, group: string) => void;
}

/** Clamps and boards on the piece. */
export function OnTopPanel({ edit, support, onChange }: OnTopPanelProps) {
  const units = useUnits();
  const { piece, hole } = edit;
  const { widthMm, heightMm } = boundingBox(piece.outline);
  const { clamps = [], boards = [] } = support;
  const perUnit = newtonPerForce(units);
  const inwards = Math.round(CLAMP_SHARE * Math.min(widthMm, heightMm));
  return (
    <Column gap="$4">
      <Row gap="$2" flexWrap="wrap">
        <Button
          label={heldWords.addClamp}
          icon={Plus}
          onPress={() => {
            const xMm = clamps.length % 2 === 0 ? inwards : widthMm - inwards;
            onChange(
              {
                clamps: [
                  ...clamps,
                  { ...USUAL_CLAMP, xMm: Math.round(xMm), yMm: Math.round(heightMm / 2) },
                ],
              },
              'clamps',
            );
          }}
          testID="add-clamp"
        />
        <Button
          label={heldWords.layBoardOverHole}
          icon={Plus}
          onPress={() => {
            const wide = Math.round(BOARD_SHARE * Math.min(widthMm, heightMm));
            onChange(
              {
                boards: [
                  ...boards,
                  {
                    xMm: Math.round(hole.xMm - wide / 2),
                    yMm: Math.round(hole.yMm - wide / 2),
                    widthMm: wide,
                    heightMm: wide,
                    thicknessMm: USUAL_BOARD_MM,
                  },
                ],
              },
              'boards',
            );
          }}
          testID="add-board"
        />
      </Row>
      {clamps.map((clamp, index) => (
        <Row key={index} gap="$3" alignItems="flex-end" flexWrap="wrap" testID={`clamp-${index}`}>
          <NumberBox
            inRow
            label={heldWords.clamp(index + 1, units.force)}
            value={Number((clamp.forceN / perUnit).toPrecision(3))}
            limit={{ above: 0, max: MAX_CLAMP_N / perUnit, unit: units.force }}
            onChange={(force) => {
              if (force !== undefined)
                onChange(
                  {
                    clamps: clamps.map((one, i) =>
                      i === index ? { ...one, forceN: force * perUnit } : one,
                    ),
                  },
                  'clamp-force',
                );
            }}
          />
          <LengthBox
            inRow
            label={heldWords.pad}
            valueMm={clamp.padDiameterMm}
            mostMm={LIMITS.smallMm.max}
            onChangeMm={(padDiameterMm) => {
              onChange(
                {
                  clamps: clamps.map((one, i) => (i === index ? { ...one, padDiameterMm } : one)),
                },
                'clamp-pad',
              );
            }}
          />
          <Button
            label={heldWords.delete}
            look="quiet"
            onPress={() => {
              onChange({ clamps: clamps.filter((_, i) => i !== index) }, 'clamps');
            }}
          />
        </Row>
      ))}
      {boards.map((board, index) => (
        <Row key={index} gap="$3" justifyContent="space-between" testID={`board-${index}`}>
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
            hint={heldWords.deleteBoard(index + 1)}
            onPress={() => {
              onChange({ boards: boards.filter((_, i) => i !== index) }, 'boards');
            }}
          />
        </Row>
      ))}
    </Column>
  );
}
