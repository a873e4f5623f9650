import { pressWords } from '@nucleon/core/words/screens/press';
import { scaleReading } from '@nucleon/core/physics/effort/scaleReading';
import { formatReading } from '@nucleon/core/words/units/formatReading';
import {
  steadinessOf,
  type ForceBand,
  type ForceSample,
  type Steadiness,
} from '@nucleon/core/physics/effort/steadiness';
import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { Numeral, Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import { ForceGauge } from './ForceGauge';
import { useDragAndArrows } from '../../ui/useDragAndArrows';
import { pretendScale } from './scale';

const PAD_PX = 240;
/** The pad's top asks for this much of the band's upper end. */
const TOP_OVER_MAX = 1.6;
const SEED = 7;
const STEP = 1.05;
const nowMs = (): number => Date.now();

interface PressPadProps {
  readonly band: ForceBand;
  readonly tare: number;
  readonly onTried: (how: Steadiness) => void;
}

/**
 * Hold a finger on the pad: higher is harder. The pretended scale follows as a hand would; letting
 * go tells how steady it was. The arrow keys and the buttons beneath do the same.
 */
export function PressPad({ band, tare, onTried }: PressPadProps) {
  const units = useUnits();
  const topN = band.maxN * TOP_OVER_MAX;
  const [scale] = useState(() => pretendScale(SEED, nowMs));
  const [reading, setReading] = useState<ForceSample | null>(null);
  const [wantedN, setWantedN] = useState<number | null>(null);
  const samples = useRef<ForceSample[]>([]);
  const pressing = wantedN !== null;
  const mean = (forceN: number | null): void => {
    scale.mean(forceN ?? 0);
    setWantedN(forceN);
  };
  const letGo = (): void => {
    mean(null);
    onTried(steadinessOf(samples.current, band));
  };

  useEffect(() => {
    if (!pressing) return undefined;
    samples.current = [];
    return scale.watch((sample) => {
      samples.current.push(sample);
      setReading(sample);
    });
  }, [pressing, scale]);

  const ref = useDragAndArrows({
    onDrag: ({ y, height, last }) => {
      if (last) letGo();
      else mean(topN * Math.min(1, Math.max(0, (height - y) / height)));
    },
    onArrow: ({ up }) => {
      if (up === 0) return false;
      mean((wantedN ?? band.wantedN) * STEP ** up);
      return true;
    },
  });

  const shown = pressing ? (reading?.forceN ?? 0) : 0;
  return (
    <Column gap="$3">
      <Row gap="$4" alignItems="stretch">
        <View
          ref={ref}
          tabIndex={0}
          role="slider"
          aria-valuemin={0}
          aria-valuemax={topN}
          aria-valuenow={wantedN ?? 0}
          aria-valuetext={formatReading(scaleReading(shown, units, tare), units)}
          aria-label={pressWords.howHardToPress}
          testID="press-pad"
          style={{ flex: 1, height: PAD_PX, touchAction: 'none', cursor: 'ns-resize' } as object}
        >
          <ForceGauge band={band} topN={topN} forceN={shown} wantedN={wantedN} height={PAD_PX} />
        </View>
        <Column width={132} justifyContent="center" gap="$2">
          <Numeral fontSize="$7" lineHeight="$7" testID="scale-reading">
            {formatReading(scaleReading(shown, units, tare), units)}
          </Numeral>
          <Small>{pressing ? pressWords.keepItInBand : pressWords.holdFingerOnPad}</Small>
        </Column>
      </Row>
      <Row gap="$2" flexWrap="wrap">
        {pressing ? (
          <>
            <Button
              label={pressWords.harder}
              onPress={() => {
                mean(wantedN * STEP);
              }}
            />
            <Button
              label={pressWords.lighter}
              onPress={() => {
                mean(wantedN / STEP);
              }}
            />
            <Button label={pressWords.letGo} look="main" onPress={letGo} testID="let-go" />
          </>
        ) : (
          <Button
            label={pressWords.pressWithoutPad}
            look="quiet"
            onPress={() => {
              mean(band.wantedN);
            }}
            testID="press-start"
          />
        )}
      </Row>
    </Column>
  );
}
