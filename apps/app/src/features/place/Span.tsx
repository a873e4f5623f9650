import type { PointMm } from '@nucleon/core/geometry/outline';
import { G, Line, Text as SvgText } from 'react-native-svg';

interface SpanProps {
  readonly from: PointMm;
  readonly to: PointMm;
  readonly text: string;
  readonly tone: string;
  readonly halo: string;
  readonly px: number;
  readonly heavy?: boolean;
}

const TEXT_PX = 14;
const HALO_PX = 4;

/** A measured length on the plan with its words in the middle. */
export function Span({ from, to, text, tone, halo, px, heavy = false }: SpanProps) {
  const words = {
    x: (from.xMm + to.xMm) / 2,
    y: -(from.yMm + to.yMm) / 2 + (heavy ? 17 : -5) * px,
    textAnchor: 'middle' as const,
    fontSize: TEXT_PX * px,
    fontFamily: heavy ? 'Hyperlegible-700' : 'Hyperlegible-600',
  };
  return (
    <G>
      <Line
        x1={from.xMm}
        y1={-from.yMm}
        x2={to.xMm}
        y2={-to.yMm}
        stroke={tone}
        strokeWidth={(heavy ? 3 : 1) * px}
      />
      <SvgText {...words} fill={halo} stroke={halo} strokeWidth={HALO_PX * px}>
        {text}
      </SvgText>
      <SvgText {...words} fill={tone}>
        {text}
      </SvgText>
    </G>
  );
}
