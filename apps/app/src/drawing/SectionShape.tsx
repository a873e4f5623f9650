import type { Primitive, Tone } from '@nucleon/core/math/primitives';
import { Circle, G, Line, Path, Polygon, Rect } from 'react-native-svg';
import { HaloText } from './HaloText';
import type { Ink, Place } from './place';

const PIECE_TONES = new Set<Tone>(['ceramic', 'stone', 'masonry', 'wood', 'hard', 'grain']);

/** One primitive of the section. */
export function SectionShape({
  primitive: p,
  place,
  ink,
  edge,
  wet,
  halo,
}: {
  readonly primitive: Primitive;
  readonly place: Place;
  readonly ink: Ink;
  readonly edge: string;
  readonly wet: string;
  /** Behind words, so that they read on any ground. */
  readonly halo: string;
}) {
  const { X, Z, scale } = place;
  switch (p.kind) {
    case 'area':
      return <Area of={p} place={place} ink={ink} edge={edge} />;
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
    case 'turn':
      return <Turn of={p} place={place} ink={ink} />;
    case 'water-line':
      return <WaterLine of={p} place={place} wet={wet} />;
    case 'disc':
      return (
        <Circle
          cx={X(p.x)}
          cy={Z(p.z)}
          r={p.radiusMm * scale}
          fill={p.hollow ? 'none' : ink(p.tone)}
          stroke={p.hollow ? ink(p.tone) : edge}
          strokeOpacity={p.hollow ? 1 : 0.35}
          strokeWidth={p.hollow ? 1.5 : 1}
          strokeDasharray={p.hollow ? '5 4' : undefined}
        />
      );
    case 'dimension':
      return (
        <Dimension
          from={[X(p.x0), Z(p.z0)]}
          to={[X(p.x1), Z(p.z1)]}
          text={p.text}
          side={p.words ?? 'right'}
          ink={edge}
          halo={halo}
        />
      );
  }
}

type Of<K extends Primitive['kind']> = Extract<Primitive, { readonly kind: K }>;

interface ShapeProps<K extends Primitive['kind']> {
  readonly of: Of<K>;
  readonly place: Place;
}

/** A box of the piece, with its grain, or of what stands in it. */
function Area({
  of: p,
  place: { X, Z, scale },
  ink,
  edge,
}: ShapeProps<'area'> & { readonly ink: Ink; readonly edge: string }) {
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

/** Which way it turns. */
function Turn({ of: p, place: { X, Z, scale }, ink }: ShapeProps<'turn'> & { readonly ink: Ink }) {
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

function WaterLine({
  of: p,
  place: { X, Z },
  wet,
}: ShapeProps<'water-line'> & { readonly wet: string }) {
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

const TICK_PX = 5;
const WORDS_PX = 14;

interface DimensionProps {
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
  readonly text: string;
  readonly side: 'left' | 'right';
  readonly ink: string;
  readonly halo: string;
}

/** A measured length: a thin line with ticks across its ends and its words beside it. */
function Dimension({ from: [x0, y0], to: [x1, y1], text, side, ink, halo }: DimensionProps) {
  const level = y0 === y1;
  const [dx, dy] = level ? [0, TICK_PX] : [TICK_PX, 0];
  const words = {
    x: level ? (x0 + x1) / 2 : x0 + (side === 'left' ? -8 : 8),
    y: level ? y0 - 6 : (y0 + y1) / 2 + 5,
    textAnchor: level
      ? ('middle' as const)
      : side === 'left'
        ? ('end' as const)
        : ('start' as const),
    fontSize: WORDS_PX,
    fontFamily: 'Hyperlegible-700',
  };
  return (
    <G>
      <Line x1={x0} y1={y0} x2={x1} y2={y1} stroke={ink} strokeWidth={1} />
      {[
        [x0, y0],
        [x1, y1],
      ].map(([x = 0, y = 0], index) => (
        <Line
          key={index}
          x1={x - dx}
          y1={y - dy}
          x2={x + dx}
          y2={y + dy}
          stroke={ink}
          strokeWidth={1}
        />
      ))}
      <HaloText {...words} halo={halo} fill={ink}>
        {text}
      </HaloText>
    </G>
  );
}
