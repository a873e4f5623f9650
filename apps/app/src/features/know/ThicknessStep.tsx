import { knowWords } from '@nucleon/core/words/screens/know';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import { usualSizes } from '@nucleon/core/advice/presumePiece';
import { meanThickness, MAX_APART } from '@nucleon/core/layout/thickness';
import { thicknessText } from '@nucleon/core/words/layout/thicknessText';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import ArrowRight from 'lucide-react-native/icons/arrow-right';
import Plus from 'lucide-react-native/icons/plus';
import X from 'lucide-react-native/icons/x';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Icon } from '../../ui/Icon';
import { Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { Press } from '../../ui/Press';
import { Body, Small, Strong } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import type { StepProps } from './stepProps';

/** Several readings: the plan reaches for the thickest and eases off for the thinnest. */
export function ThicknessStep({ room, knowing }: StepProps) {
  const units = useUnits();
  const { piece, changePiece } = room.edit;
  const [nextMm, setNextMm] = useState<number | null>(null);
  const readings = piece.thicknessReadingsMm ?? [];
  const write = (all: readonly number[]): void => {
    changePiece(
      all.length === 0
        ? { thicknessReadingsMm: [] }
        : { thicknessReadingsMm: all, thicknessMm: meanThickness(all) },
      'readings',
    );
  };
  return (
    <>
      <Body>{knowWords.twoOrThreePlaces}</Body>
      <Row flexWrap="wrap" gap="$2" testID="readings">
        {readings.map((mm, index) => (
          <Press
            key={index}
            aria-label={knowWords.deleteReading(formatLengthShort(mm, units))}
            paddingHorizontal="$3"
            gap="$2"
            borderWidth={1}
            borderColor="$line"
            onPress={() => {
              write(readings.filter((_, at) => at !== index));
            }}
          >
            <Strong>{formatLengthShort(mm, units)}</Strong>
            <Icon of={X} tone="muted" size={16} />
          </Press>
        ))}
      </Row>
      <LengthBox
        key={readings.length}
        label={readings.length === 0 ? knowWords.firstReading : knowWords.anotherReading}
        valueMm={nextMm}
        placeholder={units.length === 'mm' ? knowWords.suchAs61 : knowWords.suchAs14}
        minMm={readings.length === 0 ? undefined : Math.max(...readings) / MAX_APART}
        maxMm={Math.min(LIMITS.thicknessMm.max, ...readings.map((mm) => mm * MAX_APART))}
        onChangeMm={setNextMm}
        testID="reading"
      />
      <Button
        label={knowWords.addThisReading}
        icon={Plus}
        disabled={nextMm === null}
        onPress={() => {
          if (nextMm !== null) write([...readings, nextMm]);
          setNextMm(null);
        }}
        testID="add-reading"
      />
      {readings.length === 0 ? (
        <Chips
          label={knowWords.orJustAbout}
          chips={usualSizes(piece.form, units).thicknessMm.map((mm) => ({
            value: mm,
            label: formatLengthShort(mm, units),
          }))}
          value={piece.thicknessMm}
          onChange={(thicknessMm) => {
            knowing.settle('thickness', 'about', { thicknessMm, thicknessReadingsMm: [] });
          }}
        />
      ) : (
        <Small>{thicknessText(piece, units)}</Small>
      )}
      {readings.length > 0 ? (
        <Button
          label={knowWords.goOn}
          icon={ArrowRight}
          look="main"
          onPress={() => {
            knowing.settle('thickness', 'measured');
          }}
          testID="know-thickness-done"
        />
      ) : null}
    </>
  );
}
