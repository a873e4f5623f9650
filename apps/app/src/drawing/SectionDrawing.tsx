import { useTheme } from '@tamagui/core';
import type { Primitive, Section, SectionLabel, Tone } from '@nucleon/core/section/primitives';
import {
  Defs,
  G,
  Line,
  Path,
  Pattern,
  Polygon,
  Rect,
  Svg,
  Text as SvgText,
} from 'react-native-svg';
import { useThemeName } from '../features/display/displayStore';
import { BODIES } from '../ui/palette';
import { spreadLabels, wrapWords } from './spreadLabels';

/** Room beside the drawing for its words, px. */
const LEFT_PX = 64;
const RIGHT_PX = 128;
const PAD_PX = 10;
const LABEL_PX = 17;
/** A leaf's name beside the drawing breaks into lines of about this many letters. */
const LAYER_CHARS = 17;
/** Height of force and speed beside the shank. */
const FORCE_BLOCK_PX = 58;

interface SectionDrawingProps {
  readonly section: Section;
  readonly width: number;
  readonly maxHeight: number;
}

type Ink = (tone: Tone) => string;

/** The section's primitives as SVG, true to one scale in both directions. */
export function SectionDrawing({ section, width, maxHeight }: SectionDrawingProps) {
  const theme = useTheme();
  const bodies = BODIES[useThemeName()];
  const { halfWidthMm, topMm, bottomMm } = section;
  const scale = Math.min(
    (width - LEFT_PX - RIGHT_PX) / (2 * halfWidthMm),
    (maxHeight - 2 * PAD_PX) / (bottomMm - topMm),
  );
  const height = (bottomMm - topMm) * scale + 2 * PAD_PX;
  const middle = LEFT_PX + (width - LEFT_PX - RIGHT_PX) / 2;
  const X = (x: number): number => middle + x * scale;
  const Z = (z: number): number => PAD_PX + (z - topMm) * scale;
  const ink: Ink = (tone) => {
    if (tone === 'water') return bodies.bath;
    if (tone === 'void') return theme.ground.val;
    if (tone in bodies) return bodies[tone as keyof typeof bodies];
    return theme[tone as 'ink' | 'muted' | 'rim' | 'caution'].val;
  };
  const line = theme.line.val;
  const place = { X, Z, scale };
  return (
    <Svg width={width} height={height} role="img" aria-label={section.description}>
      <Defs>
        <Pattern
          id="grain"
          width={7}
          height={7}
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(38)"
        >
          <Line
            x1={0}
            y1={0}
            x2={0}
            y2={7}
            stroke={theme.ink.val}
            strokeWidth={0.7}
            strokeOpacity={0.16}
          />
        </Pattern>
      </Defs>
      {section.primitives.map((primitive, index) => (
        <Shape
          key={index}
          primitive={primitive}
          place={place}
          ink={ink}
          edge={theme.ink.val}
          wet={theme.water.val}
        />
      ))}
      <Labels
        labels={section.labels}
        place={place}
        ink={(tone) => (tone === 'water' ? theme.water.val : ink(tone))}
        halo={theme.surface.val}
        hairline={line}
        halfWidthMm={halfWidthMm}
      />
    </Svg>
  );
}

interface Place {
  readonly X: (x: number) => number;
  readonly Z: (z: number) => number;
  readonly scale: number;
}

const PIECE_TONES = new Set<Tone>(['ceramic', 'stone', 'masonry', 'wood', 'hard', 'grain']);

function Shape({
  primitive: p,
  place: { X, Z, scale },
  ink,
  edge,
  wet,
}: {
  readonly primitive: Primitive;
  readonly place: Place;
  readonly ink: Ink;
  readonly edge: string;
  readonly wet: string;
}) {
  switch (p.kind) {
    case 'area': {
      const box = {
        x: X(p.x0),
        y: Z(p.z0),
        width: (p.x1 - p.x0) * scale,
        height: (p.z1 - p.z0) * scale,
      };
      return (
        <G>
          <Rect
            {...box}
            fill={ink(p.tone)}
            stroke={p.outlined ? edge : 'none'}
            strokeWidth={1}
            strokeOpacity={0.35}
            fillOpacity={p.tone === 'water' ? 0.8 : 1}
          />
          {PIECE_TONES.has(p.tone) ? <Rect {...box} fill="url(#grain)" /> : null}
        </G>
      );
    }
    case 'path':
      return (
        <Polygon
          points={p.points.map(([x, z]) => `${X(x)},${Z(z)}`).join(' ')}
          fill={ink(p.tone)}
          stroke={edge}
          strokeOpacity={0.35}
          strokeWidth={1}
        />
      );
    case 'line':
      return (
        <Line
          x1={X(p.x0)}
          y1={Z(p.z0)}
          x2={X(p.x1)}
          y2={Z(p.z1)}
          stroke={p.tone === 'water' ? wet : ink(p.tone)}
          strokeWidth={p.heavy ? 2 : p.dashed ? 1.5 : 1}
          strokeDasharray={p.dashed ? '6 4' : undefined}
        />
      );
    case 'arrow':
      return (
        <Line
          x1={X(p.x)}
          y1={Z(p.z0)}
          x2={X(p.x)}
          y2={Z(p.z1)}
          stroke={ink(p.tone)}
          strokeWidth={3}
        />
      );
    case 'turn': {
      const r = Math.max(p.radiusMm * scale, 12);
      const [cx, cy] = [X(p.x), Z(p.z)];
      const flat = r * 0.3;
      return (
        <G>
          <Path
            d={`M ${cx - r} ${cy} A ${r} ${flat} 0 0 0 ${cx + r} ${cy}`}
            stroke={ink(p.tone)}
            strokeWidth={2}
            fill="none"
          />
          <Polygon
            points={`${cx + r - 5},${cy + 1} ${cx + r + 5},${cy + 1} ${cx + r},${cy - 8}`}
            fill={ink(p.tone)}
          />
        </G>
      );
    }
    case 'water-line': {
      const y = Z(p.z);
      const [from, to] = [X(p.x0), X(p.x1)];
      const waves = Math.max(2, Math.round((to - from) / 26));
      const step = (to - from) / waves;
      const d = Array.from(
        { length: waves },
        (_, i) => `q ${step / 4} ${i % 2 ? 3 : -3} ${step / 2} 0 t ${step / 2} 0`,
      ).join(' ');
      return <Path d={`M ${from} ${y} ${d}`} stroke={wet} strokeWidth={1.6} fill="none" />;
    }
  }
}

interface LabelsProps {
  readonly labels: readonly SectionLabel[];
  readonly place: Place;
  readonly ink: Ink;
  readonly halo: string;
  readonly hairline: string;
  readonly halfWidthMm: number;
}

function Labels({ labels, place: { X, Z }, ink, halo, hairline, halfWidthMm }: LabelsProps) {
  const leftEdge = X(-halfWidthMm);
  const rightEdge = X(halfWidthMm);
  const spread = (sides: readonly SectionLabel['side'][], leastPx?: number) =>
    spreadLabels(
      labels
        .filter((label) => sides.includes(label.side))
        .map((label) => {
          const lines = label.side === 'layer' ? wrapWords(label.text, LAYER_CHARS) : [label.text];
          return { ...label, lines, y: Z(label.z), heightPx: lines.length * LABEL_PX };
        }),
      leastPx,
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
        <G>
          <Line
            x1={rightEdge + 22}
            y1={Z(force.z) + 2}
            x2={rightEdge + 22}
            y2={Z(force.z) + 34}
            stroke={ink('rim')}
            strokeWidth={3}
          />
          <Polygon
            points={`${rightEdge + 15},${Z(force.z) + 32} ${rightEdge + 29},${Z(force.z) + 32} ${rightEdge + 22},${Z(force.z) + 44}`}
            fill={ink('rim')}
          />
          <SvgText
            x={rightEdge + 34}
            y={Z(force.z) + 20}
            fontSize={19}
            fontFamily="Hyperlegible-700"
            fill={ink('rim')}
            stroke={halo}
            strokeWidth={0}
          >
            {force.text}
          </SvgText>
        </G>
      ) : null}
      {speed && force ? (
        <SvgText
          x={rightEdge + 34}
          y={Z(force.z) + 39}
          fontSize={13}
          fontFamily="Hyperlegible"
          fill={ink('muted')}
        >
          {speed.text}
        </SvgText>
      ) : null}
    </G>
  );
}
