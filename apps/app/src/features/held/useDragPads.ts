import type { SupportPad } from '@nucleon/core/documents/setup';
import { useGesture } from '@use-gesture/react';
import { useCallback, useEffect, useRef, useState, type Ref } from 'react';
import type { View } from 'react-native';
import { isElement } from '../../ui/isElement';
import { pointAt, type FaceView } from './faceView';

/** One press of an arrow key, mm; with Shift a finer one. */
const STEP_MM = 10;
const FINE_STEP_MM = 1;
/** A wet finger that comes this near a pad means it, px. */
const NEAR_PX = 14;

export interface PadsOnMap {
  readonly view: FaceView;
  readonly pads: readonly SupportPad[];
  readonly chosen: number | null;
  readonly onChoose: (index: number | null) => void;
  readonly onMove: (index: number, to: { readonly xMm: number; readonly yMm: number }) => void;
  /** A tap beside every pad. */
  readonly onTap: (at: { readonly xMm: number; readonly yMm: number }) => void;
}

/** Pads follow a finger or a mouse; the chosen one the arrow keys. */
export function useDragPads(map: PadsOnMap): Ref<View> {
  const element = useRef<HTMLElement | null>(null);
  const [found, setFound] = useState<HTMLElement | null>(null);
  const latest = useRef(map);
  latest.current = map;
  const held = useRef<{ readonly index: number; readonly dx: number; readonly dy: number } | null>(
    null,
  );

  useGesture(
    {
      onDrag: ({ xy: [x, y], first, last, tap }) => {
        const rect = element.current?.getBoundingClientRect();
        const { view, pads, onChoose, onMove, onTap } = latest.current;
        const p = pointAt(view, x - (rect?.left ?? 0), y - (rect?.top ?? 0));
        if (first) {
          const index = padUnder(pads, p, NEAR_PX / view.scale);
          const pad = pads[index];
          held.current = pad ? { index, dx: p.xMm - pad.xMm, dy: p.yMm - pad.yMm } : null;
          onChoose(pad ? index : null);
        }
        const moving = held.current;
        if (moving && !tap)
          onMove(moving.index, {
            xMm: Math.round(p.xMm - moving.dx),
            yMm: Math.round(p.yMm - moving.dy),
          });
        if (last && !moving) onTap(p);
        if (last) held.current = null;
      },
    },
    { target: element, drag: { filterTaps: false, pointer: { touch: true, keys: false } } },
  );

  useEffect(() => {
    if (!found) return undefined;
    const press = (event: KeyboardEvent): void => {
      const { pads, chosen, onMove } = latest.current;
      const pad = chosen === null ? undefined : pads[chosen];
      if (chosen === null || !pad) return;
      const step = event.shiftKey ? FINE_STEP_MM : STEP_MM;
      const moves: Record<string, readonly [number, number]> = {
        ArrowLeft: [-step, 0],
        ArrowRight: [step, 0],
        ArrowDown: [0, -step],
        ArrowUp: [0, step],
      };
      const by = moves[event.key];
      if (!by) return;
      event.preventDefault();
      onMove(chosen, { xMm: pad.xMm + by[0], yMm: pad.yMm + by[1] });
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

/** The last pad laid lies on top. */
const padUnder = (
  pads: readonly SupportPad[],
  p: { readonly xMm: number; readonly yMm: number },
  nearMm: number,
): number =>
  pads.findLastIndex(
    (pad) =>
      p.xMm > pad.xMm - nearMm &&
      p.xMm < pad.xMm + pad.widthMm + nearMm &&
      p.yMm > pad.yMm - nearMm &&
      p.yMm < pad.yMm + pad.heightMm + nearMm,
  );
