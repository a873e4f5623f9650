import { heldWords } from '@nucleon/core/words/screens/held';
import { boundingBox, type PointMm } from '@nucleon/core/layout/outline';
import type { Outline } from '@nucleon/core/documents/outline';
import { oddsHereText, oddsMapText } from '@nucleon/core/words/plan/oddsMapText';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { ShareBar } from '../../ui/ShareBar';
import { Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import type { OddsMapState, OddsSoFar } from './useOddsMap';

interface OddsPanelProps {
  readonly state: OddsMapState;
  readonly outline: Outline;
  /** Where the odds are asked for. */
  readonly place: PointMm | null;
  /** Said where there can be no map. */
  readonly trouble: string;
  readonly onMoveHere: (place: PointMm) => void;
}

/** What the map of odds comes to, and one place of it. */
export function OddsPanel({ state, outline, place, trouble, onMoveHere }: OddsPanelProps) {
  const units = useUnits();
  const { map, progress } = state;
  const here = place && map ? cellAt(map, outline, place) : null;
  const said = map ? oddsMapText(map.odds) : progress < 1 ? heldWords.workingItOutCoarse : trouble;
  return (
    <Column gap="$2">
      {progress < 1 ? <ShareBar label={heldWords.workedOutSoFar} share={progress} text="" /> : null}
      <Small role="status" testID="odds-text">
        {said}
      </Small>
      {place && here ? (
        <Row gap="$3" flexWrap="wrap">
          <Small flex={1} color="$ink" testID="odds-here">
            {oddsHereText(place, here.odds, here.stressMpa, units)}
          </Small>
          {Number.isNaN(here.odds) ? null : (
            <Button
              label={heldWords.moveHoleHere}
              onPress={() => {
                onMoveHere(place);
              }}
              testID="move-here"
            />
          )}
        </Row>
      ) : map ? (
        <Small>{heldWords.tapPieceToAsk}</Small>
      ) : null}
    </Column>
  );
}

function cellAt(
  { columns, rows, odds, stressMpa }: OddsSoFar,
  outline: Outline,
  at: PointMm,
): { readonly odds: number; readonly stressMpa: number } | null {
  const { widthMm, heightMm } = boundingBox(outline);
  const column = Math.floor((at.xMm / widthMm) * columns);
  const row = Math.floor((at.yMm / heightMm) * rows);
  if (column < 0 || column >= columns || row < 0 || row >= rows) return null;
  const cell = row * columns + column;
  return { odds: odds[cell] ?? NaN, stressMpa: stressMpa[cell] ?? NaN };
}
