import type { PointMm } from '@nucleon/core/layout/outline';
import { useGesture } from '@use-gesture/react';
import { useRef, type Ref } from 'react';
import type { View } from 'react-native';
import { isElement } from '../../ui/isElement';
import { pointAt, type FaceView } from '../../drawing/faceView';
import { panned, zoomed } from './planView';

/** What a finger or mouse does on the plan, in the face's own mm. */
export interface PlanTouch {
  /** Whether a drag that starts here is taken up; otherwise it moves the view. */
  readonly onGrab: (at: PointMm, how: TouchHow) => boolean;
  readonly onMove: (from: PointMm, to: PointMm, how: TouchHow) => void;
  readonly onDrop: (from: PointMm, to: PointMm, how: TouchHow) => void;
  readonly onTap: (at: PointMm, how: TouchHow) => void;
}

export interface TouchHow {
  readonly shift: boolean;
  /** Length of a pixel as the view stands, mm. */
  readonly pxMm: number;
}

interface Held {
  readonly from: PointMm;
  readonly taken: boolean;
}

const WHEEL_STEP = 0.0016;
/** Drag, tap, pinch and wheel on the plan's window. */
export function usePlanGestures(
  view: FaceView,
  fit: FaceView,
  setView: (view: FaceView) => void,
  touch: PlanTouch,
): Ref<View> {
  const element = useRef<HTMLElement | null>(null);
  const held = useRef<Held | null>(null);
  // A finger tells of itself more often than the screen is drawn: once a frame is enough.
  const due = useRef<number | null>(null);
  const onceAFrame = (run: () => void): void => {
    if (due.current !== null) cancelAnimationFrame(due.current);
    due.current = requestAnimationFrame(() => {
      due.current = null;
      run();
    });
  };
  const dropDue = (): void => {
    if (due.current !== null) cancelAnimationFrame(due.current);
    due.current = null;
  };
  const latest = useRef({ view, touch });
  latest.current = { view, touch };
  const inWindow = (x: number, y: number): readonly [number, number] => {
    const box = element.current?.getBoundingClientRect();
    return [x - (box?.left ?? 0), y - (box?.top ?? 0)];
  };
  const at = ([x, y]: readonly number[]): PointMm =>
    pointAt(latest.current.view, ...inWindow(x ?? 0, y ?? 0));
  useGesture(
    {
      onDrag: ({ first, last, tap, pinching, cancel, initial, xy, delta, shiftKey }) => {
        const { touch: now, view: seen } = latest.current;
        const how = { shift: shiftKey, pxMm: 1 / seen.scale };
        if (pinching) {
          dropDue();
          if (held.current?.taken) now.onDrop(held.current.from, held.current.from, how);
          held.current = null;
          cancel();
          return;
        }
        if (first || !held.current) {
          const from = at(initial);
          held.current = { from, taken: !tap && now.onGrab(from, how) };
        }
        const { from, taken } = held.current;
        if (last) held.current = null;
        if (tap) {
          now.onTap(at(xy), how);
          return;
        }
        if (taken && last) {
          dropDue();
          now.onDrop(from, at(xy), how);
        } else if (taken) {
          onceAFrame(() => {
            latest.current.touch.onMove(from, at(xy), how);
          });
        } else setView(panned(seen, delta[0], delta[1]));
      },
      onPinch: ({ origin, delta: [by], offset: _offset, memo, movement: [scale] }) => {
        const before = typeof memo === 'number' ? memo : 1;
        if (by === 0) return before;
        setView(
          zoomed(latest.current.view, scale / before, ...inWindow(origin[0], origin[1]), fit),
        );
        return scale;
      },
      onWheel: ({ event, delta: [, dy], ctrlKey }) => {
        if (ctrlKey) return;
        event.preventDefault();
        const by = Math.exp(-dy * WHEEL_STEP);
        setView(zoomed(latest.current.view, by, ...inWindow(event.clientX, event.clientY), fit));
      },
    },
    {
      target: element,
      eventOptions: { passive: false },
      drag: { filterTaps: true, pointer: { keys: false } },
      pinch: { pointer: { touch: true } },
    },
  );
  return (shown: View | null) => {
    element.current = isElement(shown) ? shown : null;
  };
}
