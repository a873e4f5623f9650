import { useState, type Ref } from 'react';
import type { View } from 'react-native';
import { useAim } from '../../ui/useAim';
import { useDragAndArrows } from '../../ui/useDragAndArrows';
import type { WindowView } from '../../workers/windowView';
import { nextSpeed, pointUnder, type MapBox, type SpeedAndForce } from './windowPlace';

/** One press of an arrow key, as a ratio; with Shift a finer one. */
const STEP = 1.03;
const FINE_STEP = 1.005;
/** After this long without a key the point stands where the plan says. */
const RESTED_MS = 800;

/** The plan's point follows a finger, a mouse or the arrow keys. */
export function useDragOnMap(
  view: WindowView,
  box: MapBox,
  point: SpeedAndForce,
  onMove: (to: Partial<SpeedAndForce>) => void,
): { readonly ref: Ref<View>; readonly held: SpeedAndForce | null } {
  const [held, setHeld] = useState<SpeedAndForce | null>(null);
  const aim = useAim<SpeedAndForce>(RESTED_MS);
  const ref = useDragAndArrows({
    onDrag: ({ x, y, last }) => {
      const to = pointUnder(view, box, x, y);
      setHeld(last ? null : to);
      onMove(to);
    },
    onArrow: ({ right, up, fine }) => {
      const step = fine ? FINE_STEP : STEP;
      const from = aim.from(point);
      const to =
        right === 0
          ? { forceN: from.forceN * step ** up }
          : { rpm: nextSpeed(view, from.rpm, step ** right) };
      aim.to({ ...from, ...to });
      onMove(to);
      return true;
    },
  });
  return { ref, held };
}
