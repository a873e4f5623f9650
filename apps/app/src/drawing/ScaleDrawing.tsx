import type { Drawing } from '@nucleon/core/math/primitives';
import { Svg } from 'react-native-svg';
import type { Place } from './place';
import { Shapes } from './Shapes';

/** Room for strokes at the edge, px. */
const PAD_PX = 14;
/** A letter of a dimension's words, px. */
const LETTER_PX = 8;

/** Room for the longest words beside the drawing on one side, px. */
const wordsPx = ({ primitives }: Drawing, side: 'left' | 'right'): number =>
  primitives.reduce(
    (max, one) =>
      one.kind === 'dimension' && one.words === side
        ? Math.max(max, one.text.length * LETTER_PX)
        : max,
    0,
  );

interface ScaleDrawingProps {
  readonly drawing: Drawing;
  readonly width: number;
  readonly maxHeight: number;
}

/** A drawing true to one scale in both directions, in the middle of the room it is given. */
export function ScaleDrawing({ drawing, width, maxHeight }: ScaleDrawingProps) {
  const { x0, x1, z0, z1 } = drawing;
  const left = PAD_PX + wordsPx(drawing, 'left');
  const right = PAD_PX + wordsPx(drawing, 'right');
  const scale = Math.min((width - left - right) / (x1 - x0), (maxHeight - 2 * PAD_PX) / (z1 - z0));
  const height = (z1 - z0) * scale + 2 * PAD_PX;
  const place: Place = {
    X: (x) => (left + width - right) / 2 + (x - (x0 + x1) / 2) * scale,
    Z: (z) => PAD_PX + (z - z0) * scale,
    scale,
  };
  return (
    <Svg width={width} height={height} role="img" aria-label={drawing.description}>
      <Shapes primitives={drawing.primitives} place={place} />
    </Svg>
  );
}
