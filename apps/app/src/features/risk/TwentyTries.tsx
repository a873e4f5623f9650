import { riskWords } from '@nucleon/core/words/screens/risk';
import type { Risk } from '@nucleon/core/physics/strength/assessRisk';
import { formatDuration } from '@nucleon/core/words/units/formatQuantity';
import { useTheme } from '@tamagui/core';
import { Circle, G, Line, Svg, Text } from 'react-native-svg';
import { at } from '../../drawing/at';

const SIDE_PX = 14;
const FOOT_PX = 26;
const DOT_PX = 7;

/** A dot for each of twenty like tries, piled up where they fall in time. */
export function TwentyTries({ risk, width }: { readonly risk: Risk; readonly width: number }) {
  const theme = useTheme();
  const tries = risk.likeTriesS.filter(Number.isFinite);
  const first = tries[0] ?? 0;
  const last = tries.at(-1) ?? 1;
  const across = width - 2 * SIDE_PX;
  const columns = Math.max(8, Math.floor(across / (2.4 * DOT_PX)));
  const columnOf = (seconds: number): number =>
    Math.min(columns - 1, Math.floor(((seconds - first) / Math.max(last - first, 1e-9)) * columns));
  const X = (column: number): number => SIDE_PX + ((column + 0.5) / columns) * across;
  const piles = new Map<number, number>();
  const dots = tries.map((seconds) => {
    const column = columnOf(seconds);
    const up = piles.get(column) ?? 0;
    piles.set(column, up + 1);
    return { column, up, seconds };
  });
  const tallest = Math.max(1, ...piles.values());
  const foot = tallest * 2.2 * DOT_PX + 8;
  const words = { fontFamily: 'Hyperlegible', fontSize: 14, fill: theme.muted.val } as const;
  const middle = risk.timeS?.p50 ?? first;
  return (
    <Svg
      width={width}
      height={foot + FOOT_PX}
      role="img"
      aria-label={riskWords.twentyLikeTriesQuickest(
        formatDuration(first),
        formatDuration(middle),
        formatDuration(last),
      )}
    >
      <Line x1={SIDE_PX} x2={width - SIDE_PX} y1={foot} y2={foot} stroke={theme.line.val} />
      {dots.map(({ column, up }, index) => (
        <Circle
          key={index}
          cx={X(column)}
          cy={foot - (up + 0.6) * 2.2 * DOT_PX}
          r={DOT_PX}
          fill={theme.water.val}
        />
      ))}
      <G>
        <Text {...words} {...at(SIDE_PX, foot + 18)}>
          {formatDuration(first)}
        </Text>
        <Text {...words} {...at(X(columnOf(middle)), foot + 18)} textAnchor="middle">
          {formatDuration(middle)}
        </Text>
        <Text {...words} {...at(width - SIDE_PX, foot + 18)} textAnchor="end">
          {formatDuration(last)}
        </Text>
      </G>
    </Svg>
  );
}
