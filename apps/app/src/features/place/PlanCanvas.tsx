import { useTheme } from '@tamagui/core';
import type { StoredHole } from '@nucleon/contract/wire';
import { boundingBox, type Outline, type PointMm } from '@nucleon/core/geometry/outline';
import { formatLengthShort } from '@nucleon/core/units/length';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Circle, Ellipse, G, Polyline, Svg, Text as SvgText } from 'react-native-svg';
import { BODIES } from '../../ui/palette';
import { useThemeName, useUnits } from '../display/displayStore';
import { FaceShapes, GuideLine, KeepOffMark } from './FaceShapes';
import { HoleMark } from './HoleMark';
import type { LayoutContent } from './layoutDraft';
import type { Lead } from './lead';
import type { PlaceState } from './placeState';
import { fitView, type PlanView } from './planView';
import { shapeBetween } from './shapeBetween';
import { Span } from './Span';
import type { Placement } from './usePlacement';
import { usePlanGestures, type PlanTouch } from './usePlanGestures';

/** Names are left off when there are so many holes that they would cover each other. */
const MOST_NAMES = 40;

export interface PlanCanvasProps {
  readonly content: LayoutContent;
  readonly outline: Outline;
  /** From a hole's own coordinates to the face's, mm both ways. */
  readonly shift: number;
  readonly holes: readonly StoredHole[];
  readonly state: PlaceState;
  readonly placement: Placement;
  readonly lead: Lead | null;
  readonly touch: PlanTouch;
  readonly width: number;
  readonly height: number;
  readonly description: string;
}

/** The piece from above, true to scale, with everything that decides where a hole may go. */
export function PlanCanvas(props: PlanCanvasProps) {
  const { content, outline, shift, holes, state, placement, lead, touch, width, height } = props;
  const theme = useTheme();
  const bodies = BODIES[useThemeName()];
  const box = boundingBox(outline);
  const fit = useMemo(
    () => fitView(box, width, height),
    // The box is made anew each time; its two sides are what counts.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [box.widthMm, box.heightMm, width, height],
  );
  const [moved, setMoved] = useState<{ view: PlanView; of: PlanView } | null>(null);
  const view = moved?.of === fit ? moved.view : fit;
  const setView = (next: PlanView): void => {
    setMoved({ view: next, of: fit });
  };
  const ref = usePlanGestures(view, fit, setView, touch);
  const px = 1 / view.scale;
  const look = useMemo(
    () => ({
      rim: theme.rim.val,
      fill: theme.ground.val,
      stop: theme.stop.val,
      water: theme.water.val,
      muted: theme.muted.val,
    }),
    [theme],
  );
  const { carried, selected } = state;
  const carriedIds = useMemo(() => new Set(carried?.ids ?? []), [carried?.ids]);
  const mark = (hole: StoredHole) => (
    <HoleMark
      key={hole.id}
      x={hole.xMm + shift}
      y={hole.yMm + shift}
      radiusMm={hole.diameterMm / 2}
      coverRadiusMm={placement.coverRadius(hole)}
      broken={
        carriedIds.has(hole.id) && hole.id === lead?.hole.id
          ? lead.broken
          : placement.broken.has(hole.id)
      }
      chosen={selected.includes(hole.id)}
      px={px}
      look={look}
    />
  );
  // Holes at rest are drawn once and kept while others are dragged past them.
  const resting = useMemo(
    () => holes.filter(({ id }) => !carriedIds.has(id)).map(mark),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [holes, carriedIds, placement, selected, px, look, shift],
  );
  const nameDrop = (hole: StoredHole): number =>
    Math.max(hole.diameterMm / 2, placement.coverRadius(hole));
  const names = useMemo(
    () =>
      holes.length > MOST_NAMES
        ? null
        : holes
            .filter(({ id }) => !carriedIds.has(id) && id !== lead?.hole.id)
            .map((hole) => (
              <SvgText
                key={hole.id}
                x={hole.xMm + shift}
                y={-(hole.yMm + shift) + nameDrop(hole) + 17 * px}
                textAnchor="middle"
                fontSize={13 * px}
                fontFamily="Hyperlegible-600"
                fill={theme.ink.val}
              >
                {hole.label || 'Hole'}
              </SvgText>
            )),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [holes, carriedIds, placement, px, shift, theme, lead?.hole.id],
  );
  return (
    <View
      ref={ref}
      style={{ width, height, touchAction: 'none', overflow: 'hidden' } as object}
      testID="plan-canvas"
    >
      <Svg width={width} height={height} role="img" aria-label={props.description}>
        <G transform={`translate(${view.left} ${view.bottom}) scale(${view.scale})`}>
          <FaceShapes
            piece={content.piece}
            outline={outline}
            fill={bodies[placement.material?.class ?? 'stone']}
            isBase={state.face === 'base'}
            px={px}
          />
          {carried?.lines.map((line) => (
            <GuideLine key={line.axis} {...line} box={box} tone={theme.water.val} px={px} />
          ))}
          {resting}
          {names}
          {carried ? (
            <G transform={`translate(${carried.dx} ${-carried.dy})`}>
              {holes.filter(({ id }) => carriedIds.has(id)).map(mark)}
            </G>
          ) : null}
          <LeadMarks {...props} px={px} box={box} />
          <Drawn {...props} px={px} />
        </G>
      </Svg>
    </View>
  );
}

type Inner = PlanCanvasProps & { readonly px: number };

/** The chosen hole's distances: from the datum edges, and the one that binds; where it comes out. */
function LeadMarks({
  lead,
  shift,
  content,
  px,
  box,
  state,
}: Inner & {
  readonly box: { readonly widthMm: number; readonly heightMm: number };
}) {
  const theme = useTheme();
  const units = useUnits();
  if (!lead) return null;
  const { hole, judged, exit } = lead;
  const at: PointMm = { xMm: hole.xMm + shift, yMm: hole.yMm + shift };
  const { x = 'left', y = 'bottom' } = content.piece.datum ?? {};
  const sideX = x === 'left' ? 0 : box.widthMm;
  const sideY = y === 'bottom' ? 0 : box.heightMm;
  // Where the strictest is about the hole’s own size, the nearest distance that counts is shown.
  const binding = judged.find(({ counts, span }) => counts && span);
  const halo = theme.ground.val;
  const show = (mm: number): string => formatLengthShort(mm, units);
  const tone = binding?.ok === false ? theme.stop.val : theme.fine.val;
  return (
    <G>
      {state.face === 'base' ? null : (
        <>
          <Span
            from={{ xMm: sideX, yMm: at.yMm }}
            to={at}
            text={show(Math.abs(at.xMm - sideX))}
            tone={theme.muted.val}
            halo={halo}
            px={px}
          />
          <Span
            from={{ xMm: at.xMm, yMm: sideY }}
            to={at}
            text={show(Math.abs(at.yMm - sideY))}
            tone={theme.muted.val}
            halo={halo}
            px={px}
          />
        </>
      )}
      {binding?.span ? (
        <Span
          {...binding.span}
          text={`${show(binding.actualMm)}, least ${show(binding.requiredMm)}`}
          tone={tone}
          halo={halo}
          px={px}
          heavy
        />
      ) : null}
      {exit && (exit.fallMm !== 0 || exit.acrossMm * (1 / px) > 2) ? (
        <G>
          <Ellipse
            cx={exit.at.xMm + shift}
            cy={-(exit.at.yMm + shift)}
            rx={hole.diameterMm / 2 + exit.acrossMm}
            ry={exit.lengthMm / 2 + exit.alongMm}
            fill="none"
            stroke={theme.muted.val}
            strokeWidth={1.2 * px}
            strokeDasharray={`${2 * px} ${3 * px}`}
          />
          <Circle
            cx={exit.at.xMm + shift}
            cy={-(exit.at.yMm + shift)}
            r={2.5 * px}
            fill={theme.muted.val}
          />
        </G>
      ) : null}
    </G>
  );
}

/** What is being drawn or traced. */
function Drawn({ state, px }: Inner) {
  const theme = useTheme();
  const { drawn, points, tool } = state;
  const shape = drawn && shapeBetween(tool === 'scan' ? 'line' : state.keepOffShape, drawn);
  return (
    <G>
      {shape ? <KeepOffMark shape={shape} solid={false} tone={theme.water.val} px={px} /> : null}
      {points.length > 1 ? (
        <Polyline
          points={points.map(({ xMm, yMm }) => `${xMm},${-yMm}`).join(' ')}
          fill="none"
          stroke={theme.water.val}
          strokeWidth={2 * px}
        />
      ) : null}
      {points.map(({ xMm, yMm }, index) => (
        <Circle
          key={index}
          cx={xMm}
          cy={-yMm}
          r={5 * px}
          fill={theme.surface.val}
          stroke={theme.water.val}
          strokeWidth={2 * px}
        />
      ))}
    </G>
  );
}
