import { useTheme } from '@tamagui/core';
import { Circle, G, Polyline } from 'react-native-svg';
import { KeepOffMark } from './FaceShapes';
import type { KeepOffShape } from '@nucleon/core/documents/piece';
import type { Tool } from './tools';
import type { PlaceState } from './placeState';
import { shapeBetween } from './shapeBetween';

/** What a drag draws, where the tool alone decides it. */
const SHAPES: Partial<Record<Tool, KeepOffShape['kind']>> = { scan: 'line', move: 'rectangle' };

/** What is being drawn or traced. */
export function Drawn({ state, px }: { readonly state: PlaceState; readonly px: number }) {
  const theme = useTheme();
  const { drawn, points, tool } = state;
  const shape = drawn && shapeBetween(SHAPES[tool] ?? state.keepOffShape, drawn);
  return (
    <G>
      {shape ? <KeepOffMark shape={shape} solid={false} tone={theme.water.val} px={px} /> : null}
      {points.length > 1 ? (
        <Polyline
          points={points.map(({ xMm, yMm }) => `${xMm},${-yMm}`).join(' ')}
          fill="none"
          stroke={theme.water.val}
          strokeWidth={2 * px}
        />
      ) : null}
      {points.map(({ xMm, yMm }, index) => (
        <Circle
          key={index}
          cx={xMm}
          cy={-yMm}
          r={5 * px}
          fill={theme.surface.val}
          stroke={theme.water.val}
          strokeWidth={2 * px}
        />
      ))}
    </G>
  );
}
