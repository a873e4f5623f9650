import { arcOf } from '@nucleon/core/math/arc';
import { boundingBox } from '@nucleon/core/layout/outline';
import XMLBuilder from 'fast-xml-builder';
import { HOLE_LAYER, OUTLINE_LAYER } from './drawnFile';
import type { Sheet } from './sheet';
import { around } from './writeDxf';

const INK = '#16232B';
const RIM = '#A2460F';
const MUTED = '#4C5D66';
const CROSS_MM = 3;
const MARGIN_MM = 5;

type Node = Record<string, unknown>;

/** To a ten-thousandth of a millimetre, without a tail of noughts. */
const n = (value: number): number => Math.round(value * 1e4) / 1e4;

/** One face as SVG at full size: the view box counts millimetres, groups name the layers. */
export function writeSvg({ name, outline, holes, keepOff }: Sheet): string {
  const { widthMm: w, heightMm: h } = boundingBox(outline);
  // Seen from above y runs up; in SVG it runs down.
  const Y = (y: number): number => n(h - y);
  const [width, height] = [n(w + 2 * MARGIN_MM), n(h + 2 * MARGIN_MM)];
  const group = (id: string, stroke: string, rest: Node): Node => ({
    '@id': id,
    '@fill': 'none',
    '@stroke': stroke,
    '@stroke-width': 0.2,
    ...rest,
  });
  const crosses = holes.map(({ xMm: x, yMm: y, diameterMm }) => {
    const reach = diameterMm / 2 + CROSS_MM;
    return {
      '@d': `M ${n(x - reach)} ${Y(y)} H ${n(x + reach)} M ${n(x)} ${Y(y - reach)} V ${Y(y + reach)}`,
    };
  });
  const svg: Node = {
    svg: {
      '@xmlns': 'http://www.w3.org/2000/svg',
      '@width': `${width}mm`,
      '@height': `${height}mm`,
      '@viewBox': `${-MARGIN_MM} ${-MARGIN_MM} ${width} ${height}`,
      title: name,
      g: [
        group(OUTLINE_LAYER, INK, outlineNode(outline, Y)),
        group(HOLE_LAYER, RIM, {
          circle: holes.map(({ xMm, yMm, diameterMm }) => ({
            '@cx': n(xMm),
            '@cy': Y(yMm),
            '@r': n(diameterMm / 2),
          })),
        }),
        group('MARKS', MUTED, {
          path: crosses,
          text: holes.map(({ xMm, yMm, diameterMm, label }) => ({
            '@x': n(xMm + diameterMm / 2 + 1),
            '@y': n(Y(yMm) - 1),
            '@font-size': 4,
            '@fill': INK,
            '@stroke': 'none',
            '@font-family': 'sans-serif',
            '#text': label,
          })),
        }),
        group('KEEP_OFF', MUTED, {
          '@stroke-dasharray': '2 1',
          path: keepOff.map((k) => keepOffPath(k, Y)),
        }),
      ],
    },
  };
  const builder = new XMLBuilder({
    attributeNamePrefix: '@',
    ignoreAttributes: false,
    format: true,
    suppressEmptyNode: true,
  });
  return `<?xml version="1.0" encoding="UTF-8"?>\n${builder.build(svg)}`;
}

function outlineNode(outline: Sheet['outline'], Y: (y: number) => number): Node {
  if (outline.kind === 'circle') {
    const r = outline.diameterMm / 2;
    return { circle: { '@cx': n(r), '@cy': Y(r), '@r': n(r) } };
  }
  const corners = around(outline);
  const parts = corners.map(({ x, y, bulge }, index) => {
    const next = corners[(index + 1) % corners.length] ?? { x, y };
    const arc = arcOf({ a: { xMm: x, yMm: y }, b: { xMm: next.x, yMm: next.y }, bulge });
    if (!arc) return `L ${n(next.x)} ${Y(next.y)}`;
    const r = n(arc.radiusMm);
    const large = Math.abs(arc.turnRad) > Math.PI ? 1 : 0;
    // Turned over, counter-clockwise becomes clockwise on the page: sweep 0.
    return `A ${r} ${r} 0 ${large} ${bulge > 0 ? 0 : 1} ${n(next.x)} ${Y(next.y)}`;
  });
  const [first] = corners;
  return { path: { '@d': `M ${n(first?.x ?? 0)} ${Y(first?.y ?? 0)} ${parts.join(' ')} Z` } };
}

function keepOffPath({ shape }: Sheet['keepOff'][number], Y: (y: number) => number): Node {
  if (shape.kind === 'circle') {
    const r = n(shape.diameterMm / 2);
    const [x, y] = [n(shape.xMm), Y(shape.yMm)];
    return {
      '@d': `M ${n(x - r)} ${y} A ${r} ${r} 0 1 0 ${n(x + r)} ${y} A ${r} ${r} 0 1 0 ${n(x - r)} ${y} Z`,
    };
  }
  if (shape.kind === 'line')
    return {
      '@d': shape.pointsMm.map(([x, y], i) => `${i ? 'L' : 'M'} ${n(x)} ${Y(y)}`).join(' '),
    };
  const { xMm: x, yMm: y, widthMm: w, heightMm: h } = shape;
  return { '@d': `M ${n(x)} ${Y(y)} H ${n(x + w)} V ${Y(y + h)} H ${n(x)} Z` };
}
