import { useGesture } from '@use-gesture/react';
import { useCallback, useEffect, useRef, useState, type Ref } from 'react';
import type { View } from 'react-native';
import { isElement } from './isElement';

/** One step of a drag, px from the element's top left. */
export interface DragStep {
  readonly x: number;
  readonly y: number;
  /** How far down since it began. */
  readonly movedDown: number;
  readonly first: boolean;
  readonly last: boolean;
  /** It ended where it began. */
  readonly tap: boolean;
  readonly height: number;
}

/** One press of an arrow key: −1, 0 or 1 to the right and upwards; finer with Shift. */
export interface ArrowStep {
  readonly right: -1 | 0 | 1;
  readonly up: -1 | 0 | 1;
  readonly fine: boolean;
}

export interface DragAndArrows {
  readonly onDrag: (drag: DragStep) => void;
  /** Answers whether there was something to move; else the press is left to the page. */
  readonly onArrow: (arrow: ArrowStep) => boolean;
}

const ARROWS: Readonly<Record<string, Pick<ArrowStep, 'right' | 'up'>>> = {
  ArrowLeft: { right: -1, up: 0 },
  ArrowRight: { right: 1, up: 0 },
  ArrowDown: { right: 0, up: -1 },
  ArrowUp: { right: 0, up: 1 },
};

/** What is drawn follows a finger, a mouse or the arrow keys. The element wants `touchAction: 'none'`. */
export function useDragAndArrows(moves: DragAndArrows): Ref<View> {
  const element = useRef<HTMLElement | null>(null);
  const [found, setFound] = useState<HTMLElement | null>(null);
  const latest = useRef(moves);
  latest.current = moves;

  useGesture(
    {
      onDrag: ({ xy: [x, y], movement: [, movedDown], first, last, tap }) => {
        const box = element.current?.getBoundingClientRect();
        if (!box) return;
        latest.current.onDrag({
          x: x - box.left,
          y: y - box.top,
          movedDown,
          first,
          last,
          tap,
          height: box.height,
        });
      },
    },
    // By pointer, not by touch: a browser keeps a finger’s first 15 px to itself, which is millimetres here.
    { target: element, drag: { filterTaps: false, pointer: { keys: false } } },
  );

  useEffect(() => {
    if (!found) return undefined;
    const press = (event: KeyboardEvent): void => {
      const arrow = ARROWS[event.key];
      if (!arrow || !latest.current.onArrow({ ...arrow, fine: event.shiftKey })) return;
      event.preventDefault();
      event.stopPropagation();
    };
    found.addEventListener('keydown', press);
    return () => {
      found.removeEventListener('keydown', press);
    };
  }, [found]);

  return useCallback((node: View | null): void => {
    const next = isElement(node) ? node : null;
    element.current = next;
    setFound(next);
  }, []);
}
