import { heldWords } from '@nucleon/core/words/screens/held';
import type { StoredHole, StoredPiece } from '@nucleon/contract/wire';
import { boundingBox, type PointMm } from '@nucleon/core/layout/outline';
import type { SupportSetup } from '@nucleon/core/documents/setup';
import { formatForce, formatPressure } from '@nucleon/core/words/units/formatQuantity';
import { useTheme } from '@tamagui/core';
import { View } from 'react-native';
import { Circle, G, Line, Rect, Svg, Text } from 'react-native-svg';
import { at } from '../../drawing/at';
import { HaloText } from '../../drawing/HaloText';
import type { StressView } from '../../workers/stressView';
import { useUnits } from '../display/displayStore';
import { xOf, yOf, type FaceView } from '../../drawing/faceView';
import { heldView } from './heldView';
import { HeldGround } from './HeldGround';
import { useDragPads } from './useDragPads';
import type { OddsSoFar } from './useOddsMap';

const WORDS = { fontFamily: 'Hyperlegible-700', fontSize: 13 } as const;

interface HeldMapProps {
  readonly piece: StoredPiece;
  readonly hole: StoredHole;
  readonly support: Partial<SupportSetup>;
  readonly stress: StressView;
  readonly showsOdds: boolean;
  readonly odds: OddsSoFar | null;
  /** Where the odds are asked for. */
  readonly asked: PointMm | null;
  readonly width: number;
  readonly tallest: number;
  readonly chosen: number | null;
  readonly onChoose: (index: number | null) => void;
  readonly onMove: (index: number, to: PointMm) => void;
  readonly onTap: (at: PointMm) => void;
}

/** The piece from above: what bends where, and what holds it, to be dragged. */
export function HeldMap(props: HeldMapProps) {
  const { piece, hole, support, stress, showsOdds, odds, asked, width, chosen } = props;
  const theme = useTheme();
  const units = useUnits();
  const view = heldView(boundingBox(piece.outline), width, props.tallest);
  const pads = support.pads ?? [];
  const ref = useDragPads({
    view,
    pads,
    chosen,
    onChoose: props.onChoose,
    onMove: props.onMove,
    onTap: props.onTap,
  });
  const { bending } = stress;
  const shown = bending.kind === 'bent' && !showsOdds;
  const [X, Y] = [xOf(view, hole.xMm), yOf(view, hole.yMm)];
  return (
    <View
      ref={ref}
      testID="held-map"
      role="application"
      aria-label={heldWords.arrowKeysMoveChosen(stress.text)}
      tabIndex={0}
      style={{ width, height: view.height, touchAction: 'none' } as object}
    >
      <HeldGround
        outline={piece.outline}
        keepOff={piece.keepOff ?? []}
        view={view}
        width={width}
        bands={showsOdds ? [] : stress.bands}
        odds={showsOdds ? odds : null}
      />
      <Svg
        width={width}
        height={view.height}
        style={{ position: 'absolute', left: 0, top: 0, pointerEvents: 'none' }}
      >
        <Holders support={support} view={view} chosen={chosen} padsN={shown ? bending.padsN : []} />
        <Circle
          cx={X}
          cy={Y}
          r={Math.max(3, (hole.diameterMm / 2) * view.scale)}
          fill="none"
          stroke={theme.ink.val}
          strokeWidth={2}
        />
        {shown ? (
          <Peak
            X={xOf(view, bending.at.xMm)}
            Y={yOf(view, bending.at.yMm)}
            text={formatPressure(bending.stressMpa, units)}
            width={width}
          />
        ) : null}
        {asked && showsOdds ? (
          <Circle
            cx={xOf(view, asked.xMm)}
            cy={yOf(view, asked.yMm)}
            r={Math.max(3, (hole.diameterMm / 2) * view.scale)}
            fill="none"
            stroke={theme.water.val}
            strokeWidth={2}
            strokeDasharray="4 3"
          />
        ) : null}
        {support.edgesHeld === 'four' || support.edgesHeld === 'two' ? (
          <Text {...WORDS} {...at(8, 12)} fill={theme.muted.val}>
            {support.edgesHeld === 'four' ? heldWords.edgesHeld : heldWords.onTwoBattens}
          </Text>
        ) : null}
      </Svg>
    </View>
  );
}

interface HoldersProps extends Pick<HeldMapProps, 'support' | 'chosen'> {
  readonly view: FaceView;
  /** What each pad carries, N; empty where that is not shown. */
  readonly padsN: readonly number[];
}

/** Pads, boards and clamps. */
function Holders({ support, view, chosen, padsN }: HoldersProps) {
  const theme = useTheme();
  const units = useUnits();
  return (
    <>
      {(support.pads ?? []).map((pad, index) => (
        <G key={index}>
          <Rect
            {...at(xOf(view, pad.xMm), yOf(view, pad.yMm + pad.heightMm))}
            width={pad.widthMm * view.scale}
            height={pad.heightMm * view.scale}
            fill={theme.water.val}
            fillOpacity={index === chosen ? 0.28 : 0.14}
            stroke={theme.water.val}
            strokeWidth={index === chosen ? 3 : 1.5}
            strokeDasharray="6 3"
          />
          {padsN[index] === undefined ? null : (
            <Text
              {...WORDS}
              {...at(xOf(view, pad.xMm) + 5, yOf(view, pad.yMm) - 6)}
              fill={theme.water.val}
            >
              {formatForce(padsN[index], units)}
            </Text>
          )}
        </G>
      ))}
      {(support.boards ?? []).map((board, index) => (
        <Rect
          key={index}
          {...at(xOf(view, board.xMm), yOf(view, board.yMm + board.heightMm))}
          width={board.widthMm * view.scale}
          height={board.heightMm * view.scale}
          fill="none"
          stroke={theme.caution.val}
          strokeWidth={2}
        />
      ))}
      {(support.clamps ?? []).map(({ xMm, yMm, padDiameterMm }, index) => (
        <G key={index}>
          <Circle
            cx={xOf(view, xMm)}
            cy={yOf(view, yMm)}
            r={Math.max(5, (padDiameterMm / 2) * view.scale)}
            fill={theme.surface.val}
            stroke={theme.ink.val}
            strokeWidth={2}
          />
          <Line
            x1={xOf(view, xMm) - 5}
            x2={xOf(view, xMm) + 5}
            y1={yOf(view, yMm)}
            y2={yOf(view, yMm)}
            stroke={theme.ink.val}
            strokeWidth={2}
          />
        </G>
      ))}
    </>
  );
}

/** Where it is bent most, with how much, on a halo of the ground. */
function Peak({
  X,
  Y,
  text,
  width,
}: {
  readonly X: number;
  readonly Y: number;
  readonly text: string;
  readonly width: number;
}) {
  const theme = useTheme();
  const right = X > width - 110;
  const words = {
    fontFamily: 'Hyperlegible-700',
    fontSize: 15,
    textAnchor: right ? ('end' as const) : ('start' as const),
  };
  const place = at(X + (right ? -10 : 10), Math.max(16, Y - 10));
  return (
    <G>
      <Circle cx={X} cy={Y} r={4} fill={theme.stop.val} />
      <HaloText {...words} {...place} halo={theme.surface.val} fill={theme.stop.val}>
        {text}
      </HaloText>
    </G>
  );
}
