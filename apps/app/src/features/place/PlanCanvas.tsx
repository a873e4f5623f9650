import { useTheme } from '@tamagui/core';
import type { StoredHole } from '@nucleon/contract/wire';
import { boundingBox, type BoxMm } from '@nucleon/core/layout/outline';
import type { Outline } from '@nucleon/core/documents/outline';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { G, Svg } from 'react-native-svg';
import { BODIES } from '../../ui/palette';
import { useThemeName } from '../display/displayStore';
import { FaceAtRest } from './FaceAtRest';
import { GuideLine } from './FaceShapes';
import { Drawn } from './Drawn';
import { HoleMark, type HoleMarkLook } from './HoleMark';
import { LeadMarks } from './LeadMarks';
import type { LayoutContent } from './layoutDraft';
import type { Lead } from './lead';
import type { PlaceState } from './placeState';
import type { FaceView } from '../../drawing/faceView';
import { fitView, zoomed } from './planView';
import { ZoomButtons } from './ZoomButtons';
import type { Placement } from './usePlacement';
import { usePlanGestures, type PlanTouch } from './usePlanGestures';

/** What moves lies over what rests, so that a drag repaints only itself. */
const OVER = { position: 'absolute', left: 0, top: 0, pointerEvents: 'none' } as const;

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
  const [moved, setMoved] = useState<{ view: FaceView; of: FaceView } | null>(null);
  const view = moved?.of === fit ? moved.view : fit;
  const setView = (next: FaceView): void => {
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
  const { carried } = state;
  const carriedIds = useMemo(() => new Set(carried?.ids ?? []), [carried?.ids]);
  const atRest = useMemo(() => holes.filter(({ id }) => !carriedIds.has(id)), [holes, carriedIds]);
  const leadId = lead?.hole.id ?? null;
  return (
    <View style={{ width, height }}>
      <View
        ref={ref}
        style={{ width, height, touchAction: 'none', overflow: 'hidden' } as object}
        testID="plan-canvas"
      >
        <FaceAtRest
          piece={content.piece}
          outline={outline}
          fill={bodies[placement.material?.class ?? 'stone']}
          isBase={state.face === 'base'}
          holes={atRest}
          shift={shift}
          placement={placement}
          chosen={state.selected}
          unnamed={leadId}
          view={view}
          look={look}
          width={width}
          height={height}
          description={props.description}
        />
        <Svg width={width} height={height} style={OVER} aria-hidden>
          <G transform={`translate(${view.left} ${view.bottom}) scale(${view.scale})`}>
            <Carried {...props} carriedIds={carriedIds} box={box} px={px} look={look} />
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

/** What is being dragged, over all that rests, and the lines it snaps to. */
function Carried({
  state: { carried },
  holes,
  shift,
  placement,
  lead,
  carriedIds,
  box,
  px,
  look,
}: PlanCanvasProps & {
  readonly carriedIds: ReadonlySet<string>;
  readonly box: BoxMm;
  readonly px: number;
  readonly look: HoleMarkLook;
}) {
  const leadId = lead?.hole.id ?? null;
  return (
    <>
      {carried?.lines.map((line) => (
        <GuideLine key={line.axis} {...line} box={box} tone={look.water} px={px} />
      ))}
      {carried ? (
        <G transform={`translate(${carried.dx} ${-carried.dy})`}>
          {holes
            .filter(({ id }) => carriedIds.has(id))
            .map((hole) => (
              <HoleMark
                key={hole.id}
                x={hole.xMm + shift}
                y={hole.yMm + shift}
                radiusMm={hole.diameterMm / 2}
                coverRadiusMm={placement.coverRadius(hole)}
                broken={
                  hole.id === leadId ? (lead?.broken ?? false) : placement.broken.has(hole.id)
                }
                chosen
                px={px}
                look={look}
              />
            ))}
        </G>
      ) : null}
    </>
  );
}
