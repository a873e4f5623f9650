import type { SectionLabel } from '@nucleon/core/math/primitives';
import { G, Line, Path, Polygon, Text as SvgText } from 'react-native-svg';
import type { Ink, Place } from './place';
import { spreadLabels, wrapWords } from './spreadLabels';

const LABEL_PX = 17;
/** A leaf's name beside the drawing breaks into lines of about this many letters. */
const LAYER_CHARS = 17;
/** Height of force and speed beside the shank. */
const FORCE_BLOCK_PX = 58;

interface LabelsProps {
  readonly labels: readonly SectionLabel[];
  readonly place: Place;
  readonly ink: Ink;
  readonly halo: string;
  readonly hairline: string;
  readonly halfWidthMm: number;
}

/** Words and numbers beside the drawing, kept apart. */
export function SectionLabels({
  labels,
  place: { X, Z },
  ink,
  halo,
  hairline,
  halfWidthMm,
}: LabelsProps) {
  const leftEdge = X(-halfWidthMm);
  const rightEdge = X(halfWidthMm);
  const spread = (sides: readonly SectionLabel['side'][], minPx?: number) =>
    spreadLabels(
      labels
        .filter((label) => sides.includes(label.side))
        .map((label) => {
          const lines = label.side === 'layer' ? wrapWords(label.text, LAYER_CHARS) : [label.text];
          return { ...label, lines, y: Z(label.z), heightPx: lines.length * LABEL_PX };
        }),
      minPx,
    );
  const force = labels.find((label) => label.side === 'force');
  const speed = labels.find((label) => label.side === 'speed');
  return (
    <G>
      {spread(['left']).map((label) => (
        <SvgText
          key={`${label.text}${label.z}`}
          x={leftEdge - 8}
          y={label.at + 5}
          fontSize={14}
          fontFamily={label.strong ? 'Hyperlegible-700' : 'Hyperlegible'}
          fill={ink(label.tone)}
          textAnchor="end"
        >
          {label.text}
        </SvgText>
      ))}
      {spread(['right', 'layer'], force ? Z(force.z) + FORCE_BLOCK_PX : undefined).map((label) => (
        <G key={`${label.text}${label.z}`}>
          {label.side === 'right' ? (
            <Path
              d={`M ${rightEdge} ${label.y} L ${rightEdge + 6} ${label.y} L ${rightEdge + 10} ${label.at}`}
              stroke={hairline}
              strokeWidth={1}
              fill="none"
            />
          ) : null}
          {label.lines.map((words, index) => (
            <SvgText
              key={words}
              x={rightEdge + 13}
              y={label.at + 5 + index * LABEL_PX}
              fontSize={label.side === 'layer' ? 13 : 14}
              fontFamily={label.strong ? 'Hyperlegible-700' : 'Hyperlegible'}
              fill={label.side === 'layer' ? ink('muted') : ink(label.tone)}
            >
              {words}
            </SvgText>
          ))}
        </G>
      ))}
      {force ? (
        <ForceArrow
          force={force.text}
          speed={speed?.text}
          x={rightEdge}
          y={Z(force.z)}
          ink={ink}
          halo={halo}
        />
      ) : null}
    </G>
  );
}

/** The feed force as an arrow beside the shank, with the speed under it. */
function ForceArrow({
  force,
  speed,
  x,
  y,
  ink,
  halo,
}: {
  readonly force: string;
  readonly speed: string | undefined;
  readonly x: number;
  readonly y: number;
  readonly ink: Ink;
  readonly halo: string;
}) {
  return (
    <G>
      <Line x1={x + 22} y1={y + 2} x2={x + 22} y2={y + 34} stroke={ink('rim')} strokeWidth={3} />
      <Polygon
        points={`${x + 15},${y + 32} ${x + 29},${y + 32} ${x + 22},${y + 44}`}
        fill={ink('rim')}
      />
      <SvgText
        x={x + 34}
        y={y + 20}
        fontSize={19}
        fontFamily="Hyperlegible-700"
        fill={ink('rim')}
        stroke={halo}
        strokeWidth={0}
      >
        {force}
      </SvgText>
      {speed === undefined ? null : (
        <SvgText x={x + 34} y={y + 39} fontSize={13} fontFamily="Hyperlegible" fill={ink('muted')}>
          {speed}
        </SvgText>
      )}
    </G>
  );
}
