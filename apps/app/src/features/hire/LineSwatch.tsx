import type { WayToHaveIt } from '@nucleon/core/choice/hireOrBuy';
import { Line, Svg } from 'react-native-svg';
import { LINE_DASHES, useLineTones } from './lineLooks';

const WIDTH_PX = 40;
const HEIGHT_PX = 24;

/** A short length of a way's line, so that the chart can be read by it. */
export function LineSwatch({ way }: { readonly way: WayToHaveIt }) {
  const tones = useLineTones();
  return (
    <Svg width={WIDTH_PX} height={HEIGHT_PX} aria-hidden>
      <Line
        x1={0}
        x2={WIDTH_PX}
        y1={HEIGHT_PX / 2}
        y2={HEIGHT_PX / 2}
        stroke={tones[way]}
        strokeWidth={3}
        strokeDasharray={LINE_DASHES[way]?.join(' ')}
      />
    </Svg>
  );
}
