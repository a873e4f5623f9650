import { memo } from 'react';
import { Circle, G, Line } from 'react-native-svg';

export interface HoleMarkLook {
  readonly rim: string;
  readonly fill: string;
  readonly stop: string;
  readonly water: string;
  readonly muted: string;
}

interface HoleMarkProps {
  readonly x: number;
  readonly y: number;
  readonly radiusMm: number;
  /** What hides its edge, mm from the middle; 0 where nothing does. */
  readonly coverRadiusMm: number;
  readonly broken: boolean;
  readonly chosen: boolean;
  /** A pixel, mm. */
  readonly px: number;
  readonly look: HoleMarkLook;
}

/** A hole at its size with its cover; told apart by ring and dash, not by colour alone. */
export const HoleMark = memo(function HoleMark({
  x,
  y,
  radiusMm,
  coverRadiusMm,
  broken,
  chosen,
  px,
  look,
}: HoleMarkProps) {
  const arm = Math.max(radiusMm * 0.35, 3 * px);
  const ink = broken ? look.stop : look.rim;
  return (
    <G>
      {coverRadiusMm > radiusMm ? (
        <Circle
          cx={x}
          cy={-y}
          r={coverRadiusMm}
          fill="none"
          stroke={look.muted}
          strokeWidth={px}
          strokeDasharray={`${4 * px} ${3 * px}`}
        />
      ) : null}
      <Circle
        cx={x}
        cy={-y}
        r={Math.max(radiusMm, 2 * px)}
        fill={look.fill}
        stroke={ink}
        strokeWidth={(broken ? 3 : 1.8) * px}
        strokeDasharray={broken ? `${5 * px} ${2.5 * px}` : undefined}
      />
      <Line x1={x - arm} y1={-y} x2={x + arm} y2={-y} stroke={ink} strokeWidth={px} />
      <Line x1={x} y1={-y - arm} x2={x} y2={-y + arm} stroke={ink} strokeWidth={px} />
      {chosen ? (
        <Circle
          cx={x}
          cy={-y}
          r={radiusMm + 5 * px}
          fill="none"
          stroke={look.water}
          strokeWidth={3 * px}
        />
      ) : null}
    </G>
  );
});
