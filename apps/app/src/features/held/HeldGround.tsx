import type { Outline } from '@nucleon/core/documents/outline';
import type { KeepOff } from '@nucleon/core/documents/piece';
import { useTheme } from '@tamagui/core';
import { memo, useId } from 'react';
import { Circle, ClipPath, Defs, G, Path, Rect, Svg } from 'react-native-svg';
import { at } from '../../drawing/at';
import { outlinePath } from '../../drawing/outlinePath';
import type { StressBand } from '../../workers/stressView';
import { xOf, yOf } from '../../drawing/faceView';
import type { HeldView } from './heldView';
import { oddsShade } from './oddsShade';
import type { OddsSoFar } from './useOddsMap';

interface HeldGroundProps {
  readonly outline: Outline;
  readonly keepOff: readonly KeepOff[];
  readonly view: HeldView;
  readonly width: number;
  /** What is shaded: bending, or the odds elsewhere. */
  readonly bands: readonly StressBand[];
  readonly odds: OddsSoFar | null;
}

/** Each step lays another wash over the last. */
const WASH = 0.13;

/** The piece from above with its shading; stays while pads are dragged. */
export const HeldGround = memo(function HeldGround(props: HeldGroundProps) {
  const { outline, keepOff, view, width, bands, odds } = props;
  const theme = useTheme();
  const clip = useId();
  const path = outlinePath(outline, {
    X: (mm) => xOf(view, mm),
    Y: (mm) => yOf(view, mm),
    scale: view.scale,
  });
  return (
    <Svg width={width} height={view.height} aria-hidden>
      <Defs>
        <ClipPath id={clip}>
          <Path d={path} />
        </ClipPath>
      </Defs>
      <Path d={path} fill={theme.surface.val} />
      <G clipPath={`url(#${clip})`}>
        {odds ? <OddsCells odds={odds} view={view} /> : null}
        {bands.map(({ mpa, isLimit, rings }) => (
          <Path
            key={mpa}
            d={rings
              .map(
                (ring) =>
                  `M${ring.map(([x, y]) => `${xOf(view, x).toFixed(1)} ${yOf(view, y).toFixed(1)}`).join('L')}Z`,
              )
              .join('')}
            fill={isLimit ? theme.stop.val : theme.rim.val}
            fillOpacity={isLimit ? 0.4 : WASH}
            stroke={isLimit ? theme.stop.val : theme.rim.val}
            strokeOpacity={isLimit ? 1 : 0.45}
            strokeWidth={isLimit ? 2.5 : 0.8}
            fillRule="evenodd"
          />
        ))}
      </G>
      {keepOff.map(({ id, shape }) =>
        shape.kind === 'circle' ? (
          <Circle
            key={id}
            cx={xOf(view, shape.xMm)}
            cy={yOf(view, shape.yMm)}
            r={(shape.diameterMm / 2) * view.scale}
            fill={theme.ground.val}
            stroke={theme.muted.val}
          />
        ) : shape.kind === 'rectangle' ? (
          <Rect
            key={id}
            {...at(xOf(view, shape.xMm), yOf(view, shape.yMm + shape.heightMm))}
            width={shape.widthMm * view.scale}
            height={shape.heightMm * view.scale}
            fill={theme.ground.val}
            stroke={theme.muted.val}
          />
        ) : null,
      )}
      <Path d={path} fill="none" stroke={theme.ink.val} strokeWidth={1.4} />
    </Svg>
  );
});

function OddsCells({ odds, view }: { readonly odds: OddsSoFar; readonly view: HeldView }) {
  const theme = useTheme();
  const { columns, rows } = odds;
  const shade = oddsShade(odds.odds);
  // Whole pixels, so that neighbours neither overlap nor leave a seam.
  const x = (column: number): number => Math.round(xOf(view, (column * view.widthMm) / columns));
  const y = (row: number): number => Math.round(yOf(view, (row * view.heightMm) / rows));
  return (
    <G>
      {odds.odds.map((one, cell) =>
        Number.isNaN(one) ? null : (
          <Rect
            key={cell}
            {...at(x(cell % columns), y(Math.floor(cell / columns) + 1))}
            width={x((cell % columns) + 1) - x(cell % columns)}
            height={y(Math.floor(cell / columns)) - y(Math.floor(cell / columns) + 1)}
            fill={theme.rim.val}
            fillOpacity={shade(one)}
          />
        ),
      )}
    </G>
  );
}
