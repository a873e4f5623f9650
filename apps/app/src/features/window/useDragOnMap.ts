import { useGesture } from '@use-gesture/react';
import { useCallback, useEffect, useRef, useState, type Ref } from 'react';
import type { View } from 'react-native';
import type { WindowView } from '../../workers/windowView';
import { isElement } from '../../ui/isElement';
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
    // Presses come quicker than the plan follows: each goes on from where the last one aimed.
    let aim: SpeedAndForce | null = null;
    let rest: ReturnType<typeof setTimeout> | undefined;
    const press = (event: KeyboardEvent): void => {
      const step = event.shiftKey ? FINE_STEP : STEP;
      const now = latest.current;
      const from = aim ?? now.point;
      const moves: Record<string, Partial<SpeedAndForce>> = {
        ArrowLeft: { rpm: nextSpeed(now.view, from.rpm, 1 / step) },
        ArrowRight: { rpm: nextSpeed(now.view, from.rpm, step) },
        ArrowDown: { forceN: from.forceN / step },
        ArrowUp: { forceN: from.forceN * step },
      };
      const to = moves[event.key];
      if (!to) return;
      event.preventDefault();
      aim = { ...from, ...to };
      clearTimeout(rest);
      rest = setTimeout(() => {
        aim = null;
      }, RESTED_MS);
      now.onMove(to);
    };
    found.addEventListener('keydown', press);
    return () => {
      clearTimeout(rest);
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
