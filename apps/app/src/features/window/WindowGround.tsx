import { windowWords } from '@nucleon/core/words/screens/window';
import { logTicks } from '@nucleon/core/words/advice/windowWords';
import { AREA_WORDS } from '@nucleon/core/words/advice/windowWords';
import { newtonPerForce } from '@nucleon/core/words/units/formatQuantity';
import { formatSignificant } from '@nucleon/core/words/units/roundNumber';
import { useTheme } from '@tamagui/core';
import { memo } from 'react';
import { G, Line, Path, Rect, Svg, Text } from 'react-native-svg';
import { at } from '../../drawing/at';
import { HaloText } from '../../drawing/HaloText';
import type { Palette } from '../../ui/palette';
import type { Rings, WindowView } from '../../workers/windowView';
import { useUnits } from '../display/displayStore';
import { mapBox, placeOf, type MapBox } from './windowPlace';

/** Half of a name’s width, to keep it off the right edge. */
const NAME_ROOM_PX = 34;

type Area = WindowView['areas'][number]['area'];
const TONES: Readonly<Record<Area, keyof Palette>> = {
  clean: 'fine',
  glazes: 'muted',
  chips: 'stop',
  overheats: 'rim',
  'throws-water': 'water',
  stalls: 'caution',
  'beyond-hands': 'caution',
  'too-slow': 'muted',
  'too-fast': 'rim',
};

/** Everything that stays while the point is dragged. */
export const WindowGround = memo(function WindowGround({
  view,
  width,
  height,
}: {
  readonly view: WindowView;
  readonly width: number;
  readonly height: number;
}) {
  const theme = useTheme();
  const box = mapBox(width, height);
  const path = (rings: Rings): string =>
    rings
      .map(
        (ring) =>
          `M${ring
            .map(
              ([x, y]) =>
                `${(box.left + x * box.width).toFixed(1)} ${(box.top + (1 - y) * box.height).toFixed(1)}`,
            )
            .join('L')}Z`,
      )
      .join('');
  return (
    <Svg width={width} height={height} aria-hidden>
      <Rect
        {...at(box.left, box.top)}
        width={box.width}
        height={box.height}
        fill={theme.surface.val}
        stroke={theme.line.val}
      />
      {view.areas
        .filter(({ area }) => area !== 'clean')
        .map(({ area, rings }) => (
          <Path
            key={area}
            d={path(rings)}
            fill={theme[TONES[area]].val}
            fillOpacity={0.14}
            stroke={theme[TONES[area]].val}
            strokeOpacity={0.35}
            strokeWidth={0.8}
            fillRule="evenodd"
          />
        ))}
      {view.soft.map((rings, index) => (
        <Path
          key={index}
          d={path(rings)}
          fill={theme.fine.val}
          fillOpacity={0.09}
          stroke={theme.fine.val}
          strokeWidth={index === 2 ? 1.6 : 0}
          fillRule="evenodd"
        />
      ))}
      {view.machine.map(({ fromRpm, toRpm }) => (
        <MachineSpeed key={`${fromRpm} ${toRpm}`} view={view} box={box} from={fromRpm} to={toRpm} />
      ))}
      <Axes view={view} box={box} height={height} />
      {view.areas.map(({ area, label }) =>
        label ? (
          <AreaName
            key={area}
            name={AREA_WORDS[area].name}
            X={Math.min(box.left + label[0] * box.width, width - NAME_ROOM_PX)}
            Y={box.top + (1 - label[1]) * box.height + 5}
            tone={theme[TONES[area]].val}
          />
        ) : null,
      )}
    </Svg>
  );
});

interface AxesProps {
  readonly view: WindowView;
  readonly box: MapBox;
  readonly height: number;
}

/** Speed along the foot, force up the side, both by their logarithm. */
function Axes({ view, box, height }: AxesProps) {
  const theme = useTheme();
  const units = useUnits();
  const perUnit = newtonPerForce(units);
  const middle = { rpm: view.fromRpm, forceN: view.fromForceN };
  const words = { fontFamily: 'Hyperlegible', fontSize: 13 } as const;
  return (
    <>
      {logTicks(view.fromRpm, view.toRpm).map((rpm) => {
        const { X } = placeOf(view, box, { ...middle, rpm });
        return (
          <G key={rpm}>
            <Line
              x1={X}
              x2={X}
              y1={box.top + box.height}
              y2={box.top + box.height + 5}
              stroke={theme.muted.val}
            />
            <Text
              {...words}
              {...at(X, box.top + box.height + 18)}
              fill={theme.muted.val}
              textAnchor="middle"
            >
              {formatSignificant(rpm, 2)}
            </Text>
          </G>
        );
      })}
      {logTicks(view.fromForceN / perUnit, view.toForceN / perUnit).map((force) => {
        const forceN = force * perUnit;
        const { Y } = placeOf(view, box, { ...middle, forceN });
        return (
          <G key={force}>
            <Line x1={box.left - 5} x2={box.left} y1={Y} y2={Y} stroke={theme.muted.val} />
            <Text {...words} {...at(box.left - 8, Y + 4)} fill={theme.muted.val} textAnchor="end">
              {formatSignificant(force, 2)}
            </Text>
          </G>
        );
      })}
      <Text
        {...words}
        {...at(box.left + box.width, height - 4)}
        fill={theme.ink.val}
        textAnchor="end"
      >
        {windowWords.speedRpm}
      </Text>
      <Text {...words} {...at(2, height - 4)} fill={theme.ink.val}>
        {windowWords.forceUpwards(units.force)}
      </Text>
    </>
  );
}

/** A name on a halo of the ground, so that it reads over borders. */
function AreaName({
  name,
  X,
  Y,
  tone,
}: {
  readonly name: string;
  readonly X: number;
  readonly Y: number;
  readonly tone: string;
}) {
  const theme = useTheme();
  const words = { fontFamily: 'Hyperlegible-700', fontSize: 13, textAnchor: 'middle' } as const;
  return (
    <G>
      <HaloText {...words} {...at(X, Y)} halo={theme.surface.val} fill={tone}>
        {name}
      </HaloText>
    </G>
  );
}

/** A speed the machine holds: a line, or a band along the foot where it can be set. */
function MachineSpeed({
  view,
  box,
  from,
  to,
}: {
  readonly view: WindowView;
  readonly box: MapBox;
  readonly from: number;
  readonly to: number;
}) {
  const theme = useTheme();
  if (to < view.fromRpm || from > view.toRpm) return null;
  const x = (rpm: number): number =>
    placeOf(view, box, { rpm: Math.max(rpm, 1), forceN: view.fromForceN }).X;
  const foot = box.top + box.height;
  return from === to ? (
    <Line
      x1={x(from)}
      x2={x(from)}
      y1={box.top}
      y2={foot}
      stroke={theme.ink.val}
      strokeOpacity={0.45}
      strokeWidth={1}
    />
  ) : (
    <Line
      x1={x(from)}
      x2={x(to)}
      y1={foot - 2}
      y2={foot - 2}
      stroke={theme.ink.val}
      strokeWidth={4}
    />
  );
}
