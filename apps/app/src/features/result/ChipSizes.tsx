import { resultWords } from '@nucleon/core/words/screens/result';
import { CHIP_SIZES_MM } from '@nucleon/core/run/chipSizes';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import { useTheme } from '@tamagui/core';
import { Circle, Svg } from 'react-native-svg';
import { Row } from '../../ui/layout';
import { Label, Strong } from '../../ui/text';
import { Press } from '../../ui/Press';
import { useUnits } from '../display/displayStore';

/** CSS px a millimetre: 96 px an inch, as near life-size as a browser knows. */
const PX_PER_MM = 96 / 25.4;
const BOX_PX = 44;
const RING_PX = 30;

interface ChipSizesProps {
  readonly label: string;
  readonly valueMm: number | undefined;
  readonly onChange: (mm: number) => void;
  readonly testID: string;
}

/** The widest chip, held beside edges drawn life-size with chips of known width. */
export function ChipSizes({ label, valueMm, onChange, testID }: ChipSizesProps) {
  const units = useUnits();
  const theme = useTheme();
  return (
    <Row
      flexDirection="column"
      alignItems="stretch"
      gap="$2"
      role="radiogroup"
      aria-label={label}
      testID={testID}
    >
      <Label>{label}</Label>
      <Row flexWrap="wrap" gap="$2">
        {CHIP_SIZES_MM.map((mm) => {
          const on = valueMm === mm;
          const words = mm === 0 ? resultWords.none : formatLengthShort(mm, units);
          return (
            <Press
              key={mm}
              role="radio"
              aria-checked={on}
              aria-label={`${label}: ${words}`}
              flexDirection="column"
              padding="$2"
              gap="$1"
              width={104}
              borderWidth={on ? 2 : 1}
              borderColor={on ? '$water' : '$line'}
              backgroundColor={on ? '$waterWash' : '$surface'}
              onPress={() => {
                onChange(mm);
              }}
              testID={`${testID}-${mm}`}
            >
              <Svg width={BOX_PX * 2} height={BOX_PX} aria-hidden>
                <Circle
                  cx={BOX_PX}
                  cy={BOX_PX + 8}
                  r={RING_PX + mm * PX_PER_MM}
                  fill={theme.caution.val}
                  fillOpacity={mm === 0 ? 0 : 0.55}
                />
                <Circle
                  cx={BOX_PX}
                  cy={BOX_PX + 8}
                  r={RING_PX}
                  fill={theme.ground.val}
                  stroke={theme.ink.val}
                  strokeWidth={1.5}
                />
              </Svg>
              <Strong fontSize="$2">{words}</Strong>
            </Press>
          );
        })}
      </Row>
    </Row>
  );
}
