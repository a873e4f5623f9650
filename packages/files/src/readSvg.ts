import type { PointMm, Side } from '@nucleon/core/math/arc';
import { SaxesParser } from 'saxes';
import svgPath from 'svgpath';
import { addTo, MAX_POINTS, Tally, type Loop, type ReadOutcome } from './drawnFile';
import { joinSides } from './joinSides';

/** Nested groups beyond this are no drawing of a piece. */
const DEEPEST = 60;
/** A curve is read as this many straight sides. */
const CURVE_SIDES = 24;
const TOUCHING = 1e-3;
/** An arc is round where its two radii differ by less than this share. */
const ROUND = 1e-4;

const MM_PER_CSS_UNIT: Record<string, number> = {
  mm: 1,
  cm: 10,
  in: 25.4,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
};
const refused = (message: string): ReadOutcome => ({ kind: 'refused', message });

interface Node {
  readonly tag: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: Node[];
}

const WHY: Record<string, string> = {
  text: 'words',
  image: 'pictures',
  use: 'copies by reference (expand them first)',
  script: 'scripts, which are not run',
  foreignObject: 'foreign content, which is not run',
  ellipse: 'ellipses',
};
const QUIET = new Set(['title', 'desc', 'metadata', 'defs', 'style', 'sodipodi:namedview']);

/** Closed boundaries of an SVG: paths, circles, rectangles and polygons, with their transforms. */
export function readSvg(text: string): ReadOutcome {
  if (/<!ENTITY/i.test(text))
    return refused('This SVG declares entities, which are not read: save it as a plain SVG.');
  if (!/<svg[\s>]/i.test(text)) return refused('This is not an SVG: it has no <svg> in it.');
  try {
    const root = treeOf(text);
    return root.tag === 'svg'
      ? walkRoot(root)
      : refused('This is not an SVG: it starts otherwise.');
  } catch (error) {
    return refused(
      `This SVG cannot be read: ${error instanceof Error ? error.message.slice(0, 120) : 'it is broken'}.`,
    );
  }
}

/**
 * Elements with their attributes, read strictly; nothing is fetched or expanded.
 * @throws where it is not well-formed, or deeper than a drawing
 */
function treeOf(text: string): Node {
  const top: Node = { tag: '', attributes: {}, children: [] };
  const open: Node[] = [top];
  const parser = new SaxesParser({ xmlns: false as const });
  parser.on('error', (error) => {
    throw error;
  });
  parser.on('opentag', ({ name, attributes }) => {
    if (open.length > DEEPEST) throw new Error(`its groups lie more than ${DEEPEST} deep`);
    const node: Node = { tag: name, attributes, children: [] };
    open.at(-1)?.children.push(node);
    open.push(node);
  });
  parser.on('closetag', () => {
    open.pop();
  });
  parser.write(text).close();
  const [root] = top.children;
  if (!root) throw new Error('it is empty');
  return root;
}

function walkRoot(root: Node): ReadOutcome {
  const left = new Tally();
  const loose = new Map<string, Side[]>();
  const loops: Loop[] = [];
  let points = 0;
  const take = (layer: string, chains: readonly (readonly Side[])[]): void => {
    for (const chain of chains) {
      points += chain.length;
      const [first, last] = [chain[0], chain.at(-1)];
      if (!first || !last) continue;
      if (chain.length > 1 && near(first.a, last.b)) loops.push({ layer, sides: chain });
      else addTo(loose, layer, chain);
    }
  };
  const walk = ({ tag, attributes, children }: Node, layer: string, transform: string): void => {
    if (points > MAX_POINTS) return;
    const here = `${transform} ${attributes.transform ?? ''}`.trim();
    if (tag === 'g' || tag === 'svg' || tag === 'a') {
      const own = attributes['inkscape:label'] ?? attributes.id;
      const name = tag === 'g' && own ? own.slice(0, 60) : layer;
      children.forEach((child) => {
        walk(child, name, here);
      });
      return;
    }
    const path = pathOf(tag, attributes);
    if (path !== null) take(layer, chainsOf(path, here, left));
    else if (!QUIET.has(tag)) left.add(WHY[tag] ?? `${tag.slice(0, 30)} elements`);
  };
  walk(root, 'drawing', '');
  if (points > MAX_POINTS)
    return refused(`This SVG has more than ${MAX_POINTS} sides; simplify it first.`);
  for (const [layer, sides] of loose) {
    const joined = joinSides(sides, TOUCHING);
    joined.closed.forEach((chain) => loops.push({ layer, sides: chain }));
    if (joined.open.length > 0) left.add(`open lines on layer ${layer}`, joined.open.length);
  }
  return {
    kind: 'read',
    drawn: {
      mmPerUnit: mmPerUnitOf(root.attributes),
      loops,
      layers: [...new Set([...loops.map(({ layer }) => layer), ...loose.keys()])].sort(),
      left: left.entries(),
    },
  };
}

const near = (a: PointMm, b: PointMm): boolean =>
  Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm) <= TOUCHING;

/** How long a unit of the view box is; null where width has no length of its own. */
function mmPerUnitOf({ width = '', viewBox = '' }: Node['attributes']): number | null {
  const [, number = '', unit = ''] = /^\s*([\d.]+)\s*(mm|cm|in|pt|pc)\s*$/.exec(width) ?? [];
  const mm = MM_PER_CSS_UNIT[unit];
  if (mm === undefined) return null;
  const box = viewBox
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const across = box.length === 4 && (box[2] ?? 0) > 0 ? (box[2] ?? 0) : null;
  // Without a view box the unit is the screen's, 96 to the inch.
  return across === null ? 25.4 / 96 : (Number(number) * mm) / across;
}

/** A shape's path data; null for what is no shape. */
function pathOf(tag: string, a: Node['attributes']): string | null {
  const num = (name: string): number => Number.parseFloat(a[name] ?? '0') || 0;
  switch (tag) {
    case 'path':
      return a.d ?? '';
    case 'circle':
    case 'ellipse': {
      const [x, y] = [num('cx'), num('cy')];
      const [rx, ry] = tag === 'circle' ? [num('r'), num('r')] : [num('rx'), num('ry')];
      if (rx <= 0 || ry <= 0) return '';
      return `M ${x - rx} ${y} A ${rx} ${ry} 0 1 0 ${x + rx} ${y} A ${rx} ${ry} 0 1 0 ${x - rx} ${y} Z`;
    }
    case 'rect':
      return rectPath(
        num('x'),
        num('y'),
        num('width'),
        num('height'),
        Math.max(num('rx'), num('ry')),
      );
    case 'polygon':
    case 'polyline':
      return a.points?.trim() ? `M ${a.points} ${tag === 'polygon' ? 'Z' : ''}` : '';
    case 'line':
      return `M ${num('x1')} ${num('y1')} L ${num('x2')} ${num('y2')}`;
    default:
      return null;
  }
}

function rectPath(x: number, y: number, w: number, h: number, radius: number): string {
  const r = Math.min(radius, w / 2, h / 2);
  if (r <= 0) return `M ${x} ${y} h ${w} v ${h} h ${-w} Z`;
  const arc = (dx: number, dy: number): string => `a ${r} ${r} 0 0 1 ${dx} ${dy}`;
  return `M ${x + r} ${y} h ${w - 2 * r} ${arc(r, r)} v ${h - 2 * r} ${arc(-r, r)} h ${2 * r - w} ${arc(-r, -r)} v ${2 * r - h} ${arc(r, -r)} Z`;
}

/** A path as chains of sides, y turned up. */
function chainsOf(d: string, transform: string, left: Tally): readonly (readonly Side[])[] {
  const chains: Side[][] = [];
  let start: PointMm = { xMm: 0, yMm: 0 };
  let from = start;
  const go = (to: PointMm, bulge = 0): void => {
    if (!near(from, to)) chains.at(-1)?.push({ a: from, b: to, bulge });
    from = to;
  };
  const up = (x: number, y: number): PointMm => ({ xMm: x, yMm: -y });
  try {
    const path = svgPath(d).transform(transform).abs().unshort();
    path.iterate((segment) => {
      switch (segment[0]) {
        case 'M':
          chains.push([]);
          start = up(segment[1], segment[2]);
          from = start;
          break;
        case 'L':
          go(up(segment[1], segment[2]));
          break;
        case 'H':
          go({ ...from, xMm: segment[1] });
          break;
        case 'V':
          go({ ...from, yMm: -segment[1] });
          break;
        case 'Z':
        case 'z':
          go(start);
          break;
        case 'A':
          arcTo(from, segment, go, up);
          break;
        case 'C': {
          const [, x1, y1, x2, y2, x, y] = segment;
          curveTo([from, up(x1, y1), up(x2, y2), up(x, y)], go);
          break;
        }
        case 'Q': {
          const [, x1, y1, x, y] = segment;
          const [p, q, r] = [from, up(x1, y1), up(x, y)];
          // A quadratic curve is a cubic with its handles two thirds of the way.
          const third = (a: PointMm, b: PointMm): PointMm => ({
            xMm: a.xMm + (2 / 3) * (b.xMm - a.xMm),
            yMm: a.yMm + (2 / 3) * (b.yMm - a.yMm),
          });
          curveTo([p, third(p, q), third(r, q), r], go);
          break;
        }
        default:
          break;
      }
    });
  } catch {
    left.add('paths that cannot be read');
    return [];
  }
  return chains;
}

type ArcSegment = ['A', number, number, number, number, number, number, number];
type Go = (to: PointMm, bulge?: number) => void;

/** A round arc keeps its bulge; a squashed one is read as straight sides. */
function arcTo(
  from: PointMm,
  arc: ArcSegment,
  go: Go,
  up: (x: number, y: number) => PointMm,
): void {
  const [, rx, ry, , large, sweep, x, y] = arc;
  const to = up(x, y);
  const chord = Math.hypot(to.xMm - from.xMm, to.yMm - from.yMm);
  if (Math.abs(rx - ry) <= ROUND * rx) {
    const r = Math.max(rx, chord / 2);
    const half = Math.asin(Math.min(1, chord / (2 * r)));
    const turn = large ? 2 * Math.PI - 2 * half : 2 * half;
    // Sweep 1 runs clockwise once y is turned up.
    go(to, Math.tan(turn / 4) * (sweep ? -1 : 1));
    return;
  }
  const curved = svgPath(`M ${from.xMm} ${-from.yMm} A ${arc.slice(1).join(' ')}`).unarc();
  curved.iterate((segment) => {
    if (segment[0] !== 'C') return;
    const [, x1, y1, x2, y2, ex, ey] = segment;
    curveTo([from, up(x1, y1), up(x2, y2), up(ex, ey)], go);
    from = up(ex, ey);
  });
}

function curveTo([p0, p1, p2, p3]: readonly [PointMm, PointMm, PointMm, PointMm], go: Go): void {
  for (let i = 1; i <= CURVE_SIDES; i++) {
    const t = i / CURVE_SIDES;
    const s = 1 - t;
    // Bézier: Σ binomial · s^(3−k) · t^k · p_k.
    const mix = (key: 'xMm' | 'yMm'): number =>
      s ** 3 * p0[key] + 3 * s ** 2 * t * p1[key] + 3 * s * t ** 2 * p2[key] + t ** 3 * p3[key];
    go({ xMm: mix('xMm'), yMm: mix('yMm') });
  }
}
