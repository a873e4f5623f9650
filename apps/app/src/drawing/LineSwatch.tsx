import { Line, Svg } from 'react-native-svg';

const WIDTH_PX = 40;
const HEIGHT_PX = 24;

/** A short length of a chart's line, so that the chart can be read by it: told by dash as by colour. */
export function LineSwatch({
  tone,
  dash,
}: {
  readonly tone: string;
  readonly dash: readonly number[] | null;
}) {
  return (
    <Svg width={WIDTH_PX} height={HEIGHT_PX} aria-hidden>
      <Line
        x1={0}
        x2={WIDTH_PX}
        y1={HEIGHT_PX / 2}
        y2={HEIGHT_PX / 2}
        stroke={tone}
        strokeWidth={3}
        strokeDasharray={dash?.join(' ')}
      />
    </Svg>
  );
}
