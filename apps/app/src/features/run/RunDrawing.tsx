import { runWords } from '@nucleon/core/words/screens/run';
import { canMeasure, legOf, type RunState } from '@nucleon/core/run/runState';
import { runSection } from '@nucleon/core/drawing/runSection';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import { useRef, useState } from 'react';
import { View } from 'react-native';
import { SectionDrawing, sectionPlace } from '../../drawing/SectionDrawing';
import { useAim } from '../../ui/useAim';
import { useDragAndArrows } from '../../ui/useDragAndArrows';
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
const FINE = 0.2;
/** A wet finger that only rests moves no farther than this, px. */
const MIN_DRAG_PX = 4;
/** Pressed one after the other, the keys set one depth, ms. */
const RESTED_MS = 700;

/** The section as it runs; the rim is dragged, or moved by the arrow keys, to where it really is. */
export function RunDrawing({ state, width, maxHeight, onMove }: RunDrawingProps) {
  const units = useUnits();
  const from = useRef(0);
  const [heldMm, setHeldMm] = useState<number | null>(null);
  const shown =
    heldMm === null ? state : { ...state, depthMm: heldMm, anchor: { depthMm: heldMm, sdMm: 0 } };
  const section = runSection(shown, units);
  const place = sectionPlace(section, width, maxHeight);
  const { depthMm: end } = legOf(state);
  const within = (depthMm: number): number => Math.min(end, Math.max(0, depthMm));
  const aim = useAim<number>(RESTED_MS, (depthMm) => {
    setHeldMm(null);
    onMove(round(depthMm));
  });
  const ref = useDragAndArrows({
    onDrag: ({ movedDown, first, last }) => {
      if (first) from.current = state.depthMm;
      if (!canMeasure(state)) return;
      const to = within(from.current + movedDown / place.scale);
      const isMove = Math.abs(movedDown) > MIN_DRAG_PX;
      setHeldMm(last || !isMove ? null : to);
      if (last && isMove) onMove(round(to));
    },
    onArrow: ({ up, fine }) => {
      if (up === 0 || !canMeasure(state)) return false;
      const to = within(aim.from(state.depthMm) - up * end * STEP_SHARE * (fine ? FINE : 1));
      aim.to(to);
      setHeldMm(to);
      return true;
    },
  });
  return (
    <View
      ref={ref}
      role="slider"
      aria-label={runWords.depthOfRim}
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
