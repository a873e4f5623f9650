import { canMeasure, legOf, type RunState } from '@nucleon/core/run/runState';
import { runSection } from '@nucleon/core/section/runSection';
import { formatLengthShort } from '@nucleon/core/units/length';
import { useCallback, useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { useGesture } from '@use-gesture/react';
import { SectionDrawing, sectionPlace } from '../../drawing/SectionDrawing';
import { isElement } from '../../ui/isElement';
import { useUnits } from '../display/displayStore';

interface RunDrawingProps {
  readonly state: RunState;
  readonly width: number;
  readonly maxHeight: number;
  /** The rim was let go of at this depth. */
  readonly onMove: (depthMm: number) => void;
}

/** A press of an arrow key, as a share of the way; with Shift a fifth of it. */
const STEP_SHARE = 0.025;
/** A wet finger that only rests moves no farther than this, px. */
const LEAST_DRAG_PX = 4;
/** Pressed one after the other, the keys set one depth, ms. */
const RESTED_MS = 700;

/** The section as it runs; the rim is dragged, or moved by the arrow keys, to where it really is. */
export function RunDrawing({ state, width, maxHeight, onMove }: RunDrawingProps) {
  const units = useUnits();
  const element = useRef<HTMLElement | null>(null);
  const from = useRef(0);
  const [found, setFound] = useState<HTMLElement | null>(null);
  const [heldMm, setHeldMm] = useState<number | null>(null);
  const shown =
    heldMm === null ? state : { ...state, depthMm: heldMm, anchor: { depthMm: heldMm, sdMm: 0 } };
  const section = runSection(shown, units);
  const place = sectionPlace(section, width, maxHeight);
  const { depthMm: end } = legOf(state);
  const latest = useRef({ state, place, onMove, end });
  latest.current = { state, place, onMove, end };

  useGesture(
    {
      onDrag: ({ movement: [, dy], first, last }) => {
        const now = latest.current;
        if (first) from.current = now.state.depthMm;
        if (!canMeasure(now.state)) return;
        const to = Math.min(now.end, Math.max(0, from.current + dy / now.place.scale));
        const isMove = Math.abs(dy) > LEAST_DRAG_PX;
        setHeldMm(last || !isMove ? null : to);
        if (last && isMove) now.onMove(round(to));
      },
    },
    // By pointer, not by touch: a browser keeps a finger’s first 15 px to itself, which is millimetres here.
    { target: element, drag: { filterTaps: false, pointer: { keys: false } } },
  );

  useEffect(() => {
    if (!found) return undefined;
    let aim: number | null = null;
    let rest: ReturnType<typeof setTimeout> | undefined;
    const press = (event: KeyboardEvent): void => {
      const now = latest.current;
      const down = { ArrowDown: 1, ArrowUp: -1 }[event.key];
      if (down === undefined || !canMeasure(now.state)) return;
      event.preventDefault();
      event.stopPropagation();
      const step = now.end * STEP_SHARE * (event.shiftKey ? 0.2 : 1);
      const to = Math.min(now.end, Math.max(0, (aim ?? now.state.depthMm) + down * step));
      aim = to;
      setHeldMm(to);
      clearTimeout(rest);
      rest = setTimeout(() => {
        aim = null;
        setHeldMm(null);
        now.onMove(round(to));
      }, RESTED_MS);
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
  return (
    <View
      ref={ref}
      role="slider"
      aria-label="Depth of the rim"
      aria-valuemin={0}
      aria-valuemax={end}
      aria-valuenow={shown.depthMm}
      aria-valuetext={formatLengthShort(shown.depthMm, units)}
      tabIndex={0}
      testID="run-drawing"
      style={{ touchAction: 'none', cursor: 'ns-resize' } as object}
    >
      {/* Its shapes come and go as it runs: a finger that began on one would lose its hold. */}
      <View style={{ pointerEvents: 'none' }}>
        <SectionDrawing section={section} width={width} maxHeight={maxHeight} />
      </View>
    </View>
  );
}

/** As fine as a finger can set it, mm. */
const round = (mm: number): number => Math.round(mm * 20) / 20;
