import { pressWords } from '@nucleon/core/words/screens/press';
import type { ForceBand } from '@nucleon/core/physics/effort/steadiness';
import { useTheme } from '@tamagui/core';
import { Line, Rect, Svg, Text } from 'react-native-svg';
import { Measured } from '../../drawing/Measured';
import { at } from '../../drawing/at';

interface ForceGaugeProps {
  readonly band: ForceBand;
  readonly topN: number;
  readonly forceN: number;
  /** What the finger asks for; null while nobody presses. */
  readonly wantedN: number | null;
  readonly height: number;
}

/** The band to keep in, as a stretch of water, and the force as it climbs beside it. */
export function ForceGauge({ band, topN, forceN, wantedN, height }: ForceGaugeProps) {
  const theme = useTheme();
  const Y = (force: number): number => height * (1 - Math.min(1, force / topN));
  const words = { fontFamily: 'Hyperlegible', fontSize: 14 } as const;
  const inBand = forceN >= band.minN && forceN <= band.maxN;
  return (
    <Measured>
      {(width) => (
        <Svg width={width} height={height} aria-hidden>
          <Rect width={width} height={height} fill={theme.surface.val} stroke={theme.line.val} />
          <Rect
            {...at(0, Y(band.maxN))}
            width={width}
            height={Y(band.minN) - Y(band.maxN)}
            fill={theme.waterWash.val}
          />
          <Line
            x1={0}
            x2={width}
            y1={Y(band.wantedN)}
            y2={Y(band.wantedN)}
            stroke={theme.water.val}
            strokeWidth={2}
          />
          <Text {...words} {...at(10, Y(band.maxN) - 6)} fill={theme.muted.val}>
            {pressWords.tearsOutAbove}
          </Text>
          <Text {...words} {...at(10, Y(band.minN) + 18)} fill={theme.muted.val}>
            {pressWords.polishesBelow}
          </Text>
          <Rect
            {...at(width - 46, Y(forceN))}
            width={30}
            height={height - Y(forceN)}
            fill={inBand ? theme.fine.val : theme.rim.val}
          />
          {wantedN === null ? null : (
            <Line
              x1={width - 56}
              x2={width - 6}
              y1={Y(wantedN)}
              y2={Y(wantedN)}
              stroke={theme.ink.val}
              strokeDasharray="4 3"
            />
          )}
        </Svg>
      )}
    </Measured>
  );
}
