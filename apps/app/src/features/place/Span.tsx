import type { PointMm } from '@nucleon/core/layout/outline';
import { G, Line, Text as SvgText } from 'react-native-svg';

interface SpanProps {
  readonly from: PointMm;
  readonly to: PointMm;
  readonly text: string;
  readonly tone: string;
  readonly halo: string;
  readonly px: number;
  readonly heavy?: boolean;
  /** What the window shows from left to right, mm: words stay inside. */
  readonly window: { readonly leftMm: number; readonly rightMm: number };
}

const TEXT_PX = 14;
const HALO_PX = 4;
/** Half a letter and a little, px. */
const LETTER_PX = 4.2;
const MIN_TOLD_PX = 44;
const BESIDE_PX = 8;

/** A measured length on the plan with its words in the middle. */
export function Span({ from, to, text, tone, halo, px, heavy = false, window }: SpanProps) {
  const half = LETTER_PX * px * text.length;
  const lengthPx = Math.hypot(to.xMm - from.xMm, to.yMm - from.yMm) / px;
  // Beside a short line the number would only cover it: it stands in the boxes below as well.
  const told = heavy || lengthPx > MIN_TOLD_PX;
  const [midX, midY] = [(from.xMm + to.xMm) / 2, -(from.yMm + to.yMm) / 2];
  const within = (x: number): number =>
    Math.min(window.rightMm - half, Math.max(window.leftMm + half, x));
  // Words of the heavy line stand beside it where it is upright, else below it: never on the hole.
  const isUpright = Math.abs(to.yMm - from.yMm) > Math.abs(to.xMm - from.xMm);
  const beside = heavy && isUpright;
  const words = {
    x: within(beside ? midX + half + BESIDE_PX * px : midX),
    y: midY + (beside ? 5 : heavy ? 17 : -5) * px,
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
      {told ? (
        <>
          <SvgText {...words} fill={halo} stroke={halo} strokeWidth={HALO_PX * px}>
            {text}
          </SvgText>
          <SvgText {...words} fill={tone}>
            {text}
          </SvgText>
        </>
      ) : null}
    </G>
  );
}
