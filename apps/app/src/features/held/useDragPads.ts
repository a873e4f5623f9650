import type { PointMm } from '@nucleon/core/layout/outline';
import type { SupportPad } from '@nucleon/core/documents/setup';
import { useRef, type Ref } from 'react';
import type { View } from 'react-native';
import { pointAt, type FaceView } from '../../drawing/faceView';
import { useDragAndArrows } from '../../ui/useDragAndArrows';

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
  readonly onMove: (index: number, to: PointMm) => void;
  /** A tap beside every pad. */
  readonly onTap: (at: PointMm) => void;
}

/** Pads follow a finger or a mouse; the chosen one the arrow keys. */
export function useDragPads({ view, pads, chosen, onChoose, onMove, onTap }: PadsOnMap): Ref<View> {
  const held = useRef<{ readonly index: number; readonly dx: number; readonly dy: number } | null>(
    null,
  );
  return useDragAndArrows({
    onDrag: ({ x, y, first, last, tap }) => {
      const p = pointAt(view, x, y);
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
    onArrow: ({ right, up, fine }) => {
      const pad = chosen === null ? undefined : pads[chosen];
      if (chosen === null || !pad) return false;
      const step = fine ? FINE_STEP_MM : STEP_MM;
      onMove(chosen, { xMm: pad.xMm + right * step, yMm: pad.yMm + up * step });
      return true;
    },
  });
}

/** The last pad laid lies on top. */
const padUnder = (pads: readonly SupportPad[], p: PointMm, nearMm: number): number =>
  pads.findLastIndex(
    (pad) =>
      p.xMm > pad.xMm - nearMm &&
      p.xMm < pad.xMm + pad.widthMm + nearMm &&
      p.yMm > pad.yMm - nearMm &&
      p.yMm < pad.yMm + pad.heightMm + nearMm,
  );
