import { useTheme } from '@tamagui/core';
import { boundingBox, faceOutline } from '@nucleon/core/layout/outline';
import type { Outline } from '@nucleon/core/documents/outline';
import type { Hole } from '@nucleon/core/documents/hole';
import type { MaterialClass } from '@nucleon/core/data/choices';
import { Circle, Path, Svg } from 'react-native-svg';
import { useThemeName } from '../features/display/displayStore';
import { BODIES } from '../ui/palette';
import { fitFace, xOf, yOf } from './faceView';
import { outlinePath } from './outlinePath';

interface OutlineThumbProps {
  readonly outline: Outline;
  readonly holes: readonly Pick<Hole, 'id' | 'xMm' | 'yMm' | 'diameterMm' | 'face'>[];
  readonly bodyClass: MaterialClass;
  readonly size: number;
}

const PAD_PX = 3;
const MIN_HOLE_PX = 1.8;

/** The piece from above, to scale, with its holes: origin at the lower left. */
export function OutlineThumb({ outline, holes, bodyClass, size }: OutlineThumbProps) {
  const theme = useTheme();
  const fill = BODIES[useThemeName()][bodyClass];
  // A piece whose every hole is in its base is shown from below.
  const onBase = holes.length > 0 && holes.every((hole) => hole.face === 'base');
  const shown = faceOutline(outline, onBase ? 'base' : 'top');
  const box = boundingBox(shown);
  const { scale } = fitFace(box, { width: size, height: size, room: PAD_PX });
  const [width, height] = [box.widthMm * scale + 2 * PAD_PX, box.heightMm * scale + 2 * PAD_PX];
  const view = fitFace(box, { width, height, room: PAD_PX });
  const shift = onBase && shown.kind === 'circle' ? shown.diameterMm / 2 : 0;
  const body = { fill, stroke: theme.ink.val, strokeWidth: 1, strokeOpacity: 0.5 };
  return (
    <Svg width={width} height={height} aria-hidden>
      <Path
        d={outlinePath(shown, { X: (mm) => xOf(view, mm), Y: (mm) => yOf(view, mm), scale })}
        {...body}
      />
      {holes
        .filter((hole) => onBase || hole.face !== 'base')
        .map((hole) => (
          <Circle
            key={hole.id}
            cx={xOf(view, hole.xMm + shift)}
            cy={yOf(view, hole.yMm + shift)}
            r={Math.max((hole.diameterMm * scale) / 2, MIN_HOLE_PX)}
            fill={theme.surface.val}
            stroke={theme.rim.val}
            strokeWidth={1.5}
          />
        ))}
    </Svg>
  );
}
