import { useGesture } from '@use-gesture/react';
import { useCallback, useEffect, useRef, useState, type Ref } from 'react';
import type { View } from 'react-native';
import type { WindowView } from '../../workers/windowView';
import { isElement } from '../../ui/isElement';
import { nextSpeed, pointUnder, type MapBox, type SpeedAndForce } from './windowPlace';

/** One press of an arrow key, as a ratio; with Shift a finer one. */
const STEP = 1.03;
const FINE_STEP = 1.005;

/** The plan's point follows a finger, a mouse or the arrow keys. */
export function useDragOnMap(
  view: WindowView,
  box: MapBox,
  point: SpeedAndForce,
  onMove: (to: Partial<SpeedAndForce>) => void,
): { readonly ref: Ref<View>; readonly held: SpeedAndForce | null } {
  const element = useRef<HTMLElement | null>(null);
  const [found, setFound] = useState<HTMLElement | null>(null);
  const [held, setHeld] = useState<SpeedAndForce | null>(null);
  const latest = useRef({ view, box, point, onMove });
  latest.current = { view, box, point, onMove };

  useGesture(
    {
      onDrag: ({ xy: [x, y], last }) => {
        const rect = element.current?.getBoundingClientRect();
        const now = latest.current;
        const to = pointUnder(now.view, now.box, x - (rect?.left ?? 0), y - (rect?.top ?? 0));
        setHeld(last ? null : to);
        now.onMove(to);
      },
    },
    { target: element, drag: { filterTaps: false, pointer: { touch: true, keys: false } } },
  );

  useEffect(() => {
    if (!found) return undefined;
    const press = (event: KeyboardEvent): void => {
      const step = event.shiftKey ? FINE_STEP : STEP;
      const now = latest.current;
      const moves: Record<string, Partial<SpeedAndForce>> = {
        ArrowLeft: { rpm: nextSpeed(now.view, now.point.rpm, 1 / step) },
        ArrowRight: { rpm: nextSpeed(now.view, now.point.rpm, step) },
        ArrowDown: { forceN: now.point.forceN / step },
        ArrowUp: { forceN: now.point.forceN * step },
      };
      const to = moves[event.key];
      if (!to) return;
      event.preventDefault();
      now.onMove(to);
    };
    found.addEventListener('keydown', press);
    return () => {
      found.removeEventListener('keydown', press);
    };
  }, [found]);

  const ref = useCallback((node: View | null): void => {
    const next = isElement(node) ? node : null;
    element.current = next;
    setFound(next);
  }, []);
  return { ref, held };
}
