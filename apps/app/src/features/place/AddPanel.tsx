import { placeWords } from '@nucleon/core/words/screens/place';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import { outlineCentre, type PointMm } from '@nucleon/core/layout/outline';
import {
  MAX_IN_PATTERN,
  patternPlaces,
  type Pattern,
  type PatternKind,
} from '@nucleon/core/layout/patterns';
import { equalRound, isRound } from '@nucleon/core/layout/wrap';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Column, Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { NumberBox } from '../../ui/NumberBox';
import { Small } from '../../ui/text';
import { addHoles } from './layoutEdits';
import type { PanelProps } from './panelProps';

type Kind = PatternKind | 'round';

const KINDS: readonly { value: Kind; label: string }[] = [
  { value: 'row', label: placeWords.row },
  { value: 'grid', label: placeWords.grid },
  { value: 'circle', label: placeWords.circle },
];
const count = { above: 0, max: MAX_IN_PATTERN, unit: '' };
const angle = { min: -360, max: 360, unit: placeWords.degrees };

interface Numbers {
  readonly count: number;
  readonly rows: number;
  readonly pitchMm: number;
  readonly pitchYMm: number;
  readonly diameterMm: number;
  readonly angleDeg: number;
}

const patternOf = (kind: PatternKind, n: Numbers): Pattern => {
  switch (kind) {
    case 'row':
      return { kind, count: n.count, pitchMm: n.pitchMm, angleDeg: n.angleDeg };
    case 'grid':
      return {
        kind,
        columns: n.count,
        rows: n.rows,
        pitchXMm: n.pitchMm,
        pitchYMm: n.pitchYMm,
      };
    case 'circle':
      return { kind, count: n.count, diameterMm: n.diameterMm, startDeg: n.angleDeg };
  }
};

/** One hole by a tap, or many in a pattern from the chosen one or the middle. */
export function AddPanel({ room }: PanelProps) {
  const { state, edit, act, outline, lead, shift, holes } = room;
  const [kind, setKind] = useState<Kind>('row');
  const [numbers, setNumbers] = useState<Numbers>({
    count: 4,
    rows: 2,
    pitchMm: 50,
    pitchYMm: 50,
    diameterMm: 100,
    angleDeg: 0,
  });
  const at: PointMm = lead
    ? { xMm: lead.hole.xMm + shift, yMm: lead.hole.yMm + shift }
    : outlineCentre(outline);
  // A row, a grid or a round begins with the hole that is there.
  const places = (): readonly PointMm[] => {
    if (kind === 'round' && isRound(outline))
      return equalRound(outline, at, numbers.count).slice(lead ? 1 : 0);
    if (kind === 'round') return [];
    const all = patternPlaces(patternOf(kind, numbers), at);
    return lead && kind !== 'circle' ? all.slice(1) : all;
  };
  const setOut = (): void => {
    const before = new Set(holes.map(({ id }) => id));
    const ids: string[] = [];
    edit(
      addHoles(places(), state.face, lead?.hole, () => {
        const id = newId();
        ids.push(id);
        return id;
      }),
      `pattern ${before.size}`,
    );
    act({ type: 'tool', tool: 'move' });
    act({ type: 'select', ids: [] });
  };
  const kinds = isRound(outline)
    ? [...KINDS, { value: 'round' as const, label: placeWords.evenlyRoundWall }]
    : KINDS;
  const from = lead
    ? placeWords.from(lead.hole.label || placeWords.theChosenHole)
    : placeWords.fromMiddleOfFace;
  return (
    <Column gap="$4">
      <Small>{placeWords.tapFaceWhereHole}</Small>
      <Chips
        label={placeWords.orSetOutPattern(from)}
        chips={kinds}
        value={kind}
        onChange={setKind}
        testID="pattern-kind"
      />
      <PatternFields kind={kind} numbers={numbers} onChange={setNumbers} />
      <Button
        label={placeWords.setOut(kind === 'grid' ? numbers.count * numbers.rows : numbers.count)}
        look="main"
        onPress={setOut}
        disabled={(kind === 'grid' ? numbers.count * numbers.rows : numbers.count) > MAX_IN_PATTERN}
        testID="pattern-set"
      />
    </Column>
  );
}

/** The numbers that a pattern of this kind has. */
function PatternFields({
  kind,
  numbers,
  onChange,
}: {
  readonly kind: Kind;
  readonly numbers: Numbers;
  readonly onChange: (numbers: Numbers) => void;
}) {
  const set = (change: Partial<Numbers>): void => {
    onChange({ ...numbers, ...change });
  };
  const whole = (key: 'count' | 'rows', label: string) => (
    <NumberBox
      inRow
      label={label}
      value={numbers[key]}
      limit={count}
      onChange={(value) => {
        set({ [key]: Math.max(1, Math.round(value ?? 1)) });
      }}
      testID={`pattern-${key}`}
    />
  );
  const length = (key: 'pitchMm' | 'pitchYMm' | 'diameterMm', label: string) => (
    <LengthBox
      inRow
      label={label}
      valueMm={numbers[key]}
      maxMm={LIMITS.lengthMm.max}
      onChangeMm={(value) => {
        set({ [key]: value });
      }}
      testID={`pattern-${key}`}
    />
  );
  return (
    <Row gap="$3" flexWrap="wrap" alignItems="flex-start">
      {whole('count', kind === 'grid' ? placeWords.columns : placeWords.howMany)}
      {kind === 'grid' ? whole('rows', placeWords.rows) : null}
      {kind === 'row' || kind === 'grid'
        ? length('pitchMm', kind === 'grid' ? placeWords.apartAcross : placeWords.apart)
        : null}
      {kind === 'grid' ? length('pitchYMm', placeWords.apartUp) : null}
      {kind === 'circle' ? length('diameterMm', placeWords.acrossCircle) : null}
      {kind === 'row' || kind === 'circle' ? (
        <NumberBox
          inRow
          label={kind === 'row' ? placeWords.degreesUpFromLevel : placeWords.firstAtDegrees}
          value={numbers.angleDeg}
          limit={angle}
          onChange={(value) => {
            set({ angleDeg: value ?? 0 });
          }}
          testID="pattern-angle"
        />
      ) : null}
    </Row>
  );
}
