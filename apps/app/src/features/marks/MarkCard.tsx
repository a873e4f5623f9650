import { placeWords } from '@nucleon/core/words/screens/place';
import { marksWords } from '@nucleon/core/words/screens/marks';
import { markAdvice } from '@nucleon/core/words/layout/markAdvice';
import { markCheckText } from '@nucleon/core/words/layout/markCheckText';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import type { HoleMark, MarkReading } from '@nucleon/core/documents/hole';
import type { MarkKind } from '@nucleon/core/data/choices';
import type { MarkVerdict } from '@nucleon/core/layout/markCheck';
import type { MarkRow } from '@nucleon/core/layout/markSheet';
import type { Tape } from '@nucleon/core/layout/tapes';
import { formatLengthShort, formatTape } from '@nucleon/core/words/units/length';
import { useState } from 'react';
import { Chips } from '../../ui/Chips';
import { Column, Panel, Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { Notice } from '../../ui/Notice';
import { Body, Heading, Label, Numeral, Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import { MarkSketch } from './MarkSketch';

const KIND_CHIPS: readonly { value: MarkKind; label: string }[] = [
  { value: 'dot', label: marksWords.dot },
  { value: 'circle', label: marksWords.circle },
  { value: 'ticks', label: marksWords.fourTicks },
  { value: 'tape-cross', label: marksWords.crossOnTape },
];

const LEVELS: Record<MarkVerdict, 'fine' | 'caution' | 'stop'> = {
  good: 'fine',
  off: 'caution',
  misread: 'caution',
  'too-near': 'stop',
};

type Reading = Partial<Pick<MarkReading, 'firstMm' | 'secondMm' | 'checkMm'>>;

interface MarkCardProps {
  readonly row: MarkRow;
  readonly number: number;
  readonly onChange: (mark: HoleMark, group: string) => void;
}

/** One hole to mark: three distances in big figures, its mark, and the check afterwards. */
export function MarkCard({ row, number, onChange }: MarkCardProps) {
  const units = useUnits();
  const { hole, name, kind, scene, tapes, radiusMm, check } = row;
  const advice = markAdvice(kind, scene);
  const [reading, setReading] = useState<Reading>(hole.mark?.measured ?? {});
  const read = (change: Reading): void => {
    const next = { ...reading, ...change };
    setReading(next);
    const { firstMm, secondMm, checkMm } = next;
    if (firstMm === undefined || secondMm === undefined) return;
    const measured: MarkReading = {
      firstMm,
      secondMm,
      at: new Date().toISOString(),
      ...(checkMm === undefined ? {} : { checkMm }),
    };
    onChange({ measured }, 'measured');
  };
  const box = (key: keyof Reading, { from }: Tape) => (
    <LengthBox
      inRow
      label={marksWords.from(from)}
      valueMm={reading[key] ?? null}
      placeholder={placeWords.asMeasured}
      maxMm={LIMITS.placeMm.max}
      anySign
      onChangeMm={(mm) => {
        read({ [key]: mm });
      }}
      testID={`measured-${key}-${number}`}
    />
  );
  return (
    <Panel wet padding="$4" gap="$3" testID={`mark-${name}`}>
      <Row justifyContent="space-between" alignItems="flex-start" gap="$3">
        <Column flex={1}>
          <Label>{marksWords.markNumber(number)}</Label>
          <Heading aria-level={2}>{name}</Heading>
          <Small>
            {marksWords.acrossRadius(
              formatLengthShort(hole.diameterMm, units),
              formatLengthShort(radiusMm, units),
            )}
          </Small>
        </Column>
        <MarkSketch kind={kind} />
      </Row>
      <Row gap="$5" flexWrap="wrap">
        <Distance tape={tapes.first} />
        <Distance tape={tapes.second} />
        <Distance tape={tapes.check} quiet />
      </Row>
      <Chips
        label={marksWords.itsMark}
        chips={KIND_CHIPS}
        value={kind}
        onChange={(kind) => {
          onChange({ kind }, 'mark');
        }}
        testID={`mark-kind-${number}`}
      />
      <Body fontSize="$2" lineHeight="$2">
        {advice.how} {advice.with}
      </Body>
      <Column gap="$2" id="print-hide-check">
        <Label>{marksWords.measuredAfterMarking}</Label>
        <Row gap="$3" flexWrap="wrap" alignItems="flex-end">
          {box('firstMm', tapes.first)}
          {box('secondMm', tapes.second)}
          {box('checkMm', tapes.check)}
        </Row>
        {check ? (
          <Notice
            level={LEVELS[check.verdict]}
            text={markCheckText(check, units)}
            live
            testID={`check-${number}`}
          />
        ) : null}
      </Column>
    </Panel>
  );
}

function Distance({ tape, quiet = false }: { readonly tape: Tape; readonly quiet?: boolean }) {
  const units = useUnits();
  return (
    <Column>
      <Small>{quiet ? marksWords.checkFrom(tape.from) : marksWords.from(tape.from)}</Small>
      <Numeral fontSize={quiet ? '$4' : '$5'} lineHeight={quiet ? '$4' : '$5'}>
        {formatTape(tape.mm, units)}
      </Numeral>
    </Column>
  );
}
