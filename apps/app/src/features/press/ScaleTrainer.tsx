import { pressWords } from '@nucleon/core/words/screens/press';
import { forceOfReading, scaleReading, scaleUnit } from '@nucleon/core/physics/effort/scaleReading';
import { formatReading } from '@nucleon/core/words/units/formatReading';
import { steadinessLines, steadinessText } from '@nucleon/core/words/pressing';
import {
  steadinessFromExtremes,
  type ForceBand,
  type Steadiness,
} from '@nucleon/core/physics/effort/steadiness';
import { useState } from 'react';
import { Chips } from '../../ui/Chips';
import { Column, Panel, Row } from '../../ui/layout';
import { Lines } from '../../ui/Lines';
import { NumberBox } from '../../ui/NumberBox';
import { Heading, Small, Strong } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import { PressPad } from './PressPad';

const WAYS = [
  { value: 'pretend', label: pressWords.pretendScale },
  { value: 'own', label: pressWords.myBathroomScale },
] as const;
const READING_LIMIT = { min: 0, max: 400, unit: '' };

interface ScaleTrainerProps {
  readonly band: ForceBand;
  readonly tare: number;
}

/** Practise the force: on a pretended scale with the finger, or on a real one by its readings. */
export function ScaleTrainer({ band, tare }: ScaleTrainerProps) {
  const units = useUnits();
  const [way, setWay] = useState<(typeof WAYS)[number]['value']>('pretend');
  const [tried, setTried] = useState<Steadiness | null>(null);
  const [min, setMin] = useState<number | undefined>();
  const [max, setMax] = useState<number | undefined>();
  const { unit } = scaleUnit(units);
  const own =
    min !== undefined && max !== undefined
      ? steadinessFromExtremes(
          forceOfReading(min, units, tare),
          forceOfReading(max, units, tare),
          band,
        )
      : null;
  const shown = way === 'pretend' ? tried : own;
  const at = (forceN: number): string => formatReading(scaleReading(forceN, units, tare), units);
  return (
    <Column gap="$3" testID="trainer">
      <Heading aria-level={2}>{pressWords.practiseIt}</Heading>
      <Small>{pressWords.betweenAndItCuts(at(band.minN), at(band.maxN), at(band.wantedN))}</Small>
      <Chips label={pressWords.on} chips={WAYS} value={way} onChange={setWay} testID="scale-way" />
      {way === 'pretend' ? (
        <PressPad band={band} tare={tare} onTried={setTried} />
      ) : (
        <Panel padding="$4" gap="$3">
          <Small color="$ink">{pressWords.scaleOnBenchBlock}</Small>
          <Row gap="$3" alignItems="flex-start">
            <NumberBox
              inRow
              label={pressWords.minItShowed(unit)}
              value={min}
              limit={READING_LIMIT}
              onChange={setMin}
              testID="reading-least"
            />
            <NumberBox
              inRow
              label={pressWords.maxItShowed(unit)}
              value={max}
              limit={READING_LIMIT}
              onChange={setMax}
              testID="reading-most"
            />
          </Row>
        </Panel>
      )}
      {shown ? (
        <Panel wet padding="$4" gap="$2" role="status" aria-live="polite" testID="steadiness">
          <Strong color={shown.verdict === 'good' ? '$fine' : '$caution'}>
            {steadinessText(shown)}
          </Strong>
          {shown.verdict === 'too-short' ? null : <Lines lines={steadinessLines(shown, units)} />}
        </Panel>
      ) : null}
    </Column>
  );
}
