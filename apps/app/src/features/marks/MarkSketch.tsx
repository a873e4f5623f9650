import { useTheme } from '@tamagui/core';
import type { MarkKind } from '@nucleon/core/data/choices';
import { Circle, G, Line, Rect, Svg } from 'react-native-svg';

const SIZE = 72;
const MID = SIZE / 2;
const R = 22;
const TAPE = { x: 4, y: 16, width: SIZE - 8, height: SIZE - 32 };

/** What the mark looks like on the face. */
export function MarkSketch({ kind }: { readonly kind: MarkKind }) {
  const theme = useTheme();
  const ink = { stroke: theme.ink.val, strokeWidth: 2 };
  const ticks = [0, 90, 180, 270].map((deg) => {
    const [c, s] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
    return (
      <Line
        key={deg}
        x1={MID + (R - 6) * c}
        y1={MID + (R - 6) * s}
        x2={MID + (R + 8) * c}
        y2={MID + (R + 8) * s}
        {...ink}
      />
    );
  });
  const hole = (
    <Circle
      cx={MID}
      cy={MID}
      r={R}
      fill="none"
      stroke={theme.rim.val}
      strokeWidth={1.2}
      strokeDasharray="3 3"
    />
  );
  return (
    <Svg width={SIZE} height={SIZE} aria-hidden>
      {kind === 'tape-cross' ? (
        <G>
          <Rect {...TAPE} fill={theme.cautionWash.val} stroke={theme.line.val} />
          <Line x1={10} y1={MID} x2={SIZE - 10} y2={MID} {...ink} />
          <Line x1={MID} y1={18} x2={MID} y2={SIZE - 18} {...ink} />
        </G>
      ) : null}
      {kind === 'dot' ? <Circle cx={MID} cy={MID} r={3.5} fill={theme.ink.val} /> : null}
      {kind === 'circle' ? <Circle cx={MID} cy={MID} r={R} fill="none" {...ink} /> : null}
      {kind === 'ticks' ? ticks : null}
      {kind === 'ticks' || kind === 'dot' ? hole : null}
    </Svg>
  );
}
