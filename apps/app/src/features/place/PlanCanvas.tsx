import { useTheme } from '@tamagui/core';
import type { StoredHole } from '@nucleon/contract/wire';
import { boundingBox, type Outline } from '@nucleon/core/geometry/outline';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { G, Svg, Text as SvgText } from 'react-native-svg';
import { BODIES } from '../../ui/palette';
import { useThemeName } from '../display/displayStore';
import { FaceShapes, GuideLine } from './FaceShapes';
import { Drawn } from './Drawn';
import { HoleMark } from './HoleMark';
import { LeadMarks } from './LeadMarks';
import type { LayoutContent } from './layoutDraft';
import type { Lead } from './lead';
import type { PlaceState } from './placeState';
import { fitView, zoomed, type PlanView } from './planView';
import { ZoomButtons } from './ZoomButtons';
import type { Placement } from './usePlacement';
import { usePlanGestures, type PlanTouch } from './usePlanGestures';

/** Names are left off when there are so many holes that they would cover each other. */
const MOST_NAMES = 40;
const NAME_PX = 13;
const NAME_DROP_PX = 17;

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
  const shown = { leftMm: -view.left * px, rightMm: (width - view.left) * px };
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
  const names = useMemo(
    () =>
      holes.length > MOST_NAMES
        ? null
        : holes
            .filter(({ id }) => !carriedIds.has(id) && id !== lead?.hole.id)
            .map((hole) => {
              const below = Math.max(hole.diameterMm / 2, placement.coverRadius(hole));
              const words = {
                x: hole.xMm + shift,
                y: -(hole.yMm + shift) + below + NAME_DROP_PX * px,
                textAnchor: 'middle' as const,
                fontSize: NAME_PX * px,
                fontFamily: 'Hyperlegible-600',
                fill: theme.ink.val,
              };
              return (
                <SvgText key={hole.id} {...words}>
                  {hole.label || 'Hole'}
                </SvgText>
              );
            }),
    [holes, carriedIds, placement, px, shift, theme, lead?.hole.id],
  );
  return (
    <View style={{ width, height }}>
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
            {lead ? (
              <LeadMarks
                lead={lead}
                shift={shift}
                datum={content.piece.datum}
                isBase={state.face === 'base'}
                px={px}
                window={shown}
                box={box}
              />
            ) : null}
            <Drawn state={state} px={px} />
          </G>
        </Svg>
      </View>
      <ZoomButtons
        onZoom={(by) => {
          setView(zoomed(view, by, width / 2, height / 2, fit));
        }}
        onWhole={() => {
          setMoved(null);
        }}
        isWhole={moved?.of !== fit}
      />
    </View>
  );
}
