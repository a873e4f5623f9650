import { windowWords } from '@nucleon/core/words/screens/window';
import { pointInWords } from '@nucleon/core/words/advice/windowWords';
import type { WindowPoint } from '@nucleon/core/advice/choice/workingWindow';
import { useTheme } from '@tamagui/core';
import { View } from 'react-native';
import { Circle, Line, Svg } from 'react-native-svg';
import type { WindowView } from '../../workers/windowView';
import { useDragOnMap } from './useDragOnMap';
import { WindowGround } from './WindowGround';
import { mapBox, placeOf, type SpeedAndForce } from './windowPlace';

const TOUCH_PX = 22;

interface WindowMapProps {
  readonly view: WindowView;
  readonly point: WindowPoint;
  readonly width: number;
  readonly height: number;
  readonly onMove: (to: Partial<SpeedAndForce>) => void;
}

/** The map with the plan as a point to drag; arrow keys move it too. */
export function WindowMap({ view, point, width, height, onMove }: WindowMapProps) {
  const theme = useTheme();
  const box = mapBox(width, height);
  const drag = useDragOnMap(view, box, point, onMove);
  const stands = placeOf(view, box, point);
  const wanted = drag.held ? placeOf(view, box, drag.held) : null;
  return (
    <View
      ref={drag.ref}
      testID="window-map"
      role="slider"
      aria-label={windowWords.speedAndForceOf}
      aria-valuetext={pointInWords(point)}
      tabIndex={0}
      style={{ width, height, touchAction: 'none' } as object}
    >
      <WindowGround view={view} width={width} height={height} />
      <Svg
        width={width}
        height={height}
        style={{ position: 'absolute', left: 0, top: 0, pointerEvents: 'none' }}
      >
        {wanted ? (
          <Circle
            cx={wanted.X}
            cy={wanted.Y}
            r={TOUCH_PX}
            fill="none"
            stroke={theme.rim.val}
            strokeWidth={1.5}
            strokeDasharray="4 4"
          />
        ) : null}
        <Line
          x1={stands.X}
          x2={stands.X}
          y1={stands.Y}
          y2={box.top + box.height}
          stroke={theme.rim.val}
          strokeDasharray="2 4"
        />
        <Line
          x1={box.left}
          x2={stands.X}
          y1={stands.Y}
          y2={stands.Y}
          stroke={theme.rim.val}
          strokeDasharray="2 4"
        />
        <Circle
          cx={stands.X}
          cy={stands.Y}
          r={9}
          fill={theme.rim.val}
          stroke={theme.surface.val}
          strokeWidth={3}
        />
      </Svg>
    </View>
  );
}
