import { placeWords } from '@nucleon/core/words/screens/place';
import { outlineFaultText } from '@nucleon/core/words/layout/outlineFaultText';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import type { PolygonOutline } from '@nucleon/core/documents/outline';
import {
  asPolygon,
  bowOfBulge,
  bulgeOfBow,
  chordOf,
  traceOutline,
} from '@nucleon/core/layout/traceOutline';
import type { StoredHole } from '@nucleon/contract/wire';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { Notice } from '../../ui/Notice';
import { Label, Small } from '../../ui/text';
import { OutlineFields } from '../hole/OutlineFields';
import { changePiece } from './layoutEdits';
import type { PanelProps } from './panelProps';

const MAX_SIDES_SHOWN = 24;

/** The piece's edge: by its sizes, traced point by point, its sides bent. */
export function OutlinePanel({ room }: PanelProps) {
  const { state, act, edit, content } = room;
  const { outline } = content.piece;
  const [said, setSaid] = useState('');
  const use = (): void => {
    const points = state.points.map(({ xMm, yMm }) => [xMm, yMm] as const);
    const bulges =
      outline.kind === 'polygon' && outline.pointsMm.length === points.length
        ? (outline.bulges ?? [])
        : [];
    const traced = traceOutline({ piece: content.piece, holes: content.holes }, points, bulges);
    if (traced.kind === 'fault') {
      setSaid(outlineFaultText(traced.why));
      return;
    }
    setSaid('');
    const { piece, holes } = traced.placed;
    edit(
      (now) => ({
        piece: { ...now.piece, ...piece },
        holes: now.holes.map((hole, index): StoredHole => ({ ...hole, ...holes[index] })),
      }),
      `trace ${points.length}`,
    );
    act({ type: 'points', points: [] });
  };
  const tracing = state.points.length > 0;
  return (
    <Column gap="$4">
      <OutlineFields
        outline={outline}
        onChange={(next, group) => {
          edit(changePiece({ outline: next }), group);
        }}
      />
      <Small>{placeWords.orTapItsCorners}</Small>
      {said ? <Notice level="caution" text={said} live testID="trace-fault" /> : null}
      <Row gap="$2" flexWrap="wrap">
        {tracing ? (
          <>
            <Button
              label={placeWords.useThesePoints(state.points.length)}
              look="main"
              onPress={use}
              testID="trace-use"
            />
            <Button
              label={placeWords.takeLastBack}
              onPress={() => {
                act({ type: 'points', points: state.points.slice(0, -1) });
              }}
            />
            <Button
              label={placeWords.clearPoints}
              look="quiet"
              onPress={() => {
                act({ type: 'points', points: [] });
                setSaid('');
              }}
            />
          </>
        ) : (
          <Button
            label={placeWords.changeItPointBy}
            onPress={() => {
              act({
                type: 'points',
                points: asPolygon(outline).pointsMm.map(([xMm, yMm]) => ({ xMm, yMm })),
              });
            }}
            testID="trace-change"
          />
        )}
      </Row>
      {outline.kind === 'polygon' && !tracing ? (
        <Bows
          outline={outline}
          onChange={(next, side) => {
            edit(changePiece({ outline: next }), `bow ${side}`);
          }}
        />
      ) : null}
    </Column>
  );
}

/** How far each side bows out of the straight; inwards is negative. */
function Bows({
  outline,
  onChange,
}: {
  readonly outline: PolygonOutline;
  readonly onChange: (outline: PolygonOutline, side: number) => void;
}) {
  const sides = outline.pointsMm.map((_, side) => side).slice(0, MAX_SIDES_SHOWN);
  return (
    <Column gap="$2">
      <Label>{placeWords.sidesThatBowOut}</Label>
      <Row gap="$3" flexWrap="wrap" alignItems="flex-start">
        {sides.map((side) => {
          const chord = chordOf(outline, side);
          return (
            <LengthBox
              inRow
              key={side}
              label={placeWords.side(side + 1)}
              anySign
              valueMm={bowOfBulge(chord, outline.bulges?.[side] ?? 0)}
              maxMm={LIMITS.smallMm.max}
              onChangeMm={(bow) => {
                const bulges = outline.pointsMm.map((__, i) =>
                  i === side ? bulgeOfBow(chord, bow) : (outline.bulges?.[i] ?? 0),
                );
                onChange({ ...outline, bulges }, side);
              }}
            />
          );
        })}
      </Row>
    </Column>
  );
}
