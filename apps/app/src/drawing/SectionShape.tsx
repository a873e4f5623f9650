import type { Primitive, Tone } from '@nucleon/core/drawing/primitives';
import { G, Line, Path, Polygon, Rect } from 'react-native-svg';
import type { Ink, Place } from './place';

const PIECE_TONES = new Set<Tone>(['ceramic', 'stone', 'masonry', 'wood', 'hard', 'grain']);

/** One primitive of the section. */
export function SectionShape({
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
