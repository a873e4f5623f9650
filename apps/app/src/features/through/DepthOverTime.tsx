import { throughWords } from '@nucleon/core/words/screens/through';
import type { Plan } from '@nucleon/core/documents/plan';
import type { TimelineDrawing, TimelineMark } from '@nucleon/core/drawing/timelineDrawing';
import { formatDuration } from '@nucleon/core/words/units/formatQuantity';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import { useTheme } from '@tamagui/core';
import { Circle, G, Line, Path, Rect, Svg, Text } from 'react-native-svg';
import { GrainPattern } from '../../drawing/GrainPattern';
import { useDrawingInk } from '../../drawing/useDrawingInk';
import { spreadLabels, wrapWords } from '../../drawing/spreadLabels';
import { useUnits } from '../display/displayStore';
import { at } from '../../drawing/at';
import { HaloText } from '../../drawing/HaloText';

const WORDS = { fontFamily: 'Hyperlegible', fontSize: 13 } as const;
const LEAF_PX = 92;
const GAP_PX = 46;
const TOP_PX = 14;
const FOOT_PX = 30;
const RIGHT_PX = 12;
const LABEL_PX = 16;
/** Letters that fit across a leaf. */
const LEAF_LETTERS = 13;

/** Marks worth a word beside the line; the rest stand in the list. */
const NAMED: ReadonlySet<TimelineMark['kind']> = new Set([
  'core-break',
  'core-drop',
  'water-off',
  'water-change',
  'ease-off',
  'end',
]);

interface DepthOverTimeProps {
  readonly plan: Plan;
  readonly timeline: TimelineDrawing;
  readonly thicknessMm: number;
  readonly width: number;
}

/** The leaves cut through at the left, and beside them, to the same depth scale, depth against time. */
export function DepthOverTime({ plan, timeline, thicknessMm, width }: DepthOverTimeProps) {
  const theme = useTheme();
  const units = useUnits();
  const { edge } = useDrawingInk();
  const height = Math.min(420, Math.max(260, width * 0.8));
  const foot = height - FOOT_PX;
  const left = LEAF_PX + GAP_PX;
  const Y = (depth: number): number => TOP_PX + depth * (foot - TOP_PX);
  const X = (time: number): number => left + time * (width - left - RIGHT_PX);
  const depthMm = timeline.depthMm;
  const line = timeline.steps
    .map(({ fromTime, fromDepth, toTime, toDepth }, index) =>
      index === 0
        ? `M${X(fromTime)} ${Y(fromDepth)}L${X(toTime)} ${Y(toDepth)}`
        : `L${X(toTime)} ${Y(toDepth)}`,
    )
    .join('');
  return (
    <Svg
      width={width}
      height={height}
      role="img"
      aria-label={timeline.description}
      testID="way-down"
    >
      <GrainPattern stroke={edge} />
      <Leaves layers={plan.layers} depthMm={depthMm} Y={Y} />
      <Text {...WORDS} {...at(LEAF_PX + 6, TOP_PX + 8)} fill={theme.muted.val}>
        0
      </Text>
      <Text {...WORDS} {...at(LEAF_PX + 6, foot)} fill={theme.ink.val}>
        {formatLengthShort(Math.min(depthMm, thicknessMm), units)}
      </Text>
      {plan.layers
        .slice(1)
        .map(({ fromMm }) =>
          fromMm < depthMm ? (
            <Line
              key={fromMm}
              x1={LEAF_PX + 2}
              x2={width - RIGHT_PX}
              y1={Y(fromMm / depthMm)}
              y2={Y(fromMm / depthMm)}
              stroke={theme.line.val}
            />
          ) : null,
        )}
      <Line x1={left} x2={left} y1={TOP_PX} y2={foot} stroke={theme.line.val} />
      <Line x1={left} x2={width - RIGHT_PX} y1={foot} y2={foot} stroke={theme.line.val} />
      <Path d={line} fill="none" stroke={theme.water.val} strokeWidth={3} strokeLinejoin="round" />
      <Marks marks={timeline.marks} X={X} Y={Y} foot={foot} />
      <Text {...WORDS} {...at(left, height - 8)} fill={theme.muted.val}>
        {throughWords.start}
      </Text>
      <Text {...WORDS} {...at(width - RIGHT_PX, height - 8)} fill={theme.ink.val} textAnchor="end">
        {throughWords.about(formatDuration(timeline.totalS))}
      </Text>
    </Svg>
  );
}

interface LeavesProps {
  readonly layers: Plan['layers'];
  /** What the whole height stands for. */
  readonly depthMm: number;
  readonly Y: (depth: number) => number;
}

/** What is cut through, each leaf with its name where there is room. */
function Leaves({ layers, depthMm, Y }: LeavesProps) {
  const { ink, edge } = useDrawingInk();
  return layers.map(({ fromMm, toMm, class: kind, name }) => {
    const top = Y(Math.min(1, fromMm / depthMm));
    const tall = Y(Math.min(1, toMm / depthMm)) - top;
    const lines =
      tall > 18 ? wrapWords(name, LEAF_LETTERS).slice(0, Math.floor(tall / LABEL_PX)) : [];
    return tall <= 0 ? null : (
      <G key={`${name} ${fromMm}`}>
        <Rect
          {...at(2, top)}
          width={LEAF_PX}
          height={tall}
          fill={ink(kind ?? 'void')}
          stroke={edge}
          strokeWidth={0.8}
          strokeDasharray={kind === null ? '4 3' : undefined}
        />
        {lines.map((words, index) => (
          <Text key={words} {...WORDS} {...at(8, top + 16 + index * LABEL_PX)} fill={edge}>
            {words}
          </Text>
        ))}
      </G>
    );
  });
}

interface MarksProps {
  readonly marks: readonly TimelineMark[];
  readonly X: (time: number) => number;
  readonly Y: (depth: number) => number;
  /** Where the drawing ends, px. */
  readonly foot: number;
}

/** What happens on the way, beside the line. */
function Marks({ marks, X, Y, foot }: MarksProps) {
  const theme = useTheme();
  // Spread upwards from the foot: what comes last stands lowest.
  const named = spreadLabels(
    marks
      .filter(({ kind }) => NAMED.has(kind))
      .map((mark) => ({ ...mark, y: -Y(mark.depth), heightPx: LABEL_PX })),
    4 - foot,
  );
  const tone = ({ kind }: TimelineMark): string =>
    kind.startsWith('water')
      ? theme.water.val
      : kind === 'ease-off'
        ? theme.rim.val
        : theme.ink.val;
  return (
    <>
      {named.map((mark) => {
        const late = mark.time > 0.55;
        const y = -mark.at;
        const x = X(mark.time) + (late ? -14 : 14);
        return (
          <G key={`${mark.kind} ${mark.depth} ${mark.time}`}>
            <Circle cx={X(mark.time)} cy={Y(mark.depth)} r={5} fill={tone(mark)} />
            <HaloText
              {...WORDS}
              {...at(x, y + 4)}
              halo={theme.surface.val}
              fill={tone(mark)}
              textAnchor={late ? 'end' : 'start'}
            >
              {mark.title}
            </HaloText>
          </G>
        );
      })}
    </>
  );
}
