import DxfParser, {
  type IArcEntity,
  type ICircleEntity,
  type IDxf,
  type IEllipseEntity,
  type IEntity,
  type ILineEntity,
  type ILwpolylineEntity,
  type IPoint,
  type IPolylineEntity,
} from 'dxf-parser';
import type { Side } from '@nucleon/core/math/arc';
import { dxfFault } from './dxfFault';
import { addTo, MAX_POINTS, Tally, type Loop, type ReadOutcome } from './drawnFile';
import { joinSides } from './joinSides';

/** $INSUNITS of the header, mm. */
const MM_PER_INSUNIT: Record<number, number> = { 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000 };
/** Ends this near each other meet, in the file's unit. */
const TOUCHING = 1e-3;
const FLAT = 1e-6;

const refused = (message: string): ReadOutcome => ({ kind: 'refused', message });
const WHY: Record<string, string> = {
  SPLINE: 'splines (save curves as arcs or polylines)',
  ELLIPSE: 'ellipses (save curves as arcs or polylines)',
  TEXT: 'words',
  MTEXT: 'words',
  ATTDEF: 'words',
  ATTRIB: 'words',
  DIMENSION: 'dimensions',
  INSERT: 'blocks (take them apart first)',
  POINT: 'single points',
  '3DFACE': '3D faces',
  '3DSOLID': '3D bodies',
  MESH: '3D bodies',
  REGION: '3D bodies',
  BODY: '3D bodies',
  SOLID: 'filled areas',
  HATCH: 'hatching',
};

/** Closed boundaries of a DXF in text form: circles, arcs, lines and polylines; the rest is counted. */
export function readDxf(text: string): ReadOutcome {
  if (/^AutoCAD Binary DXF/.test(text))
    return refused('This is a binary DXF; save it as a text (ASCII) DXF.');
  if (!/^\s*0\s*\r?\n\s*SECTION/m.test(text))
    return refused('This is not a DXF: it has no section to read.');
  if (!/^\s*0\s*\r?\n\s*EOF\s*$/m.test(text))
    return refused('This DXF is cut short: its end mark is missing. Save it again.');
  const broken = dxfFault(text);
  if (broken) return refused(broken);
  // A file without a header or entities parses to less than the types promise.
  let dxf: Partial<IDxf>;
  try {
    dxf = new DxfParser().parseSync(text) ?? {};
  } catch (error) {
    return refused(
      `This DXF cannot be read: ${error instanceof Error ? error.message.slice(0, 120) : 'its groups are broken'}.`,
    );
  }
  const left = unknownEntities(text);
  const byLayer = new Map<string, Side[]>();
  const loops: Loop[] = [];
  let points = 0;
  for (const entity of dxf.entities ?? []) {
    const sides = soundSides(entity);
    if (typeof sides === 'string') {
      left.add(sides);
      continue;
    }
    points += sides.length;
    if (points > MAX_POINTS)
      return refused(`This DXF has more than ${MAX_POINTS} sides; simplify it first.`);
    const layer = typeof entity.layer === 'string' ? entity.layer : '0';
    if (isClosed(sides)) loops.push({ layer, sides });
    else addTo(byLayer, layer, sides);
  }
  for (const [layer, sides] of byLayer) {
    const joined = joinSides(sides, TOUCHING);
    joined.closed.forEach((chain) => loops.push({ layer, sides: chain }));
    if (joined.open.length > 0) left.add(`open lines on layer ${layer}`, joined.open.length);
  }
  const unit = dxf.header?.$INSUNITS;
  return {
    kind: 'read',
    drawn: {
      mmPerUnit: typeof unit === 'number' ? (MM_PER_INSUNIT[unit] ?? null) : null,
      loops,
      layers: [...new Set([...loops.map(({ layer }) => layer), ...byLayer.keys()])].sort(),
      left: left.entries(),
    },
  };
}

const at = ({ x, y }: Pick<IPoint, 'x' | 'y'>) => ({ xMm: x, yMm: y });
const isClosed = (sides: readonly Side[]): boolean => {
  const [first, last] = [sides[0], sides.at(-1)];
  return (
    first !== undefined &&
    last !== undefined &&
    (sides.length > 1 || first.bulge !== 0) &&
    Math.hypot(first.a.xMm - last.b.xMm, first.a.yMm - last.b.yMm) <= TOUCHING
  );
};
const isFlat = (points: readonly Partial<IPoint>[]): boolean =>
  points.every(({ z = 0 }) => Math.abs(z) < FLAT);

export const circleSides = (x: number, y: number, r: number): Side[] => {
  const [a, b] = [
    { xMm: x - r, yMm: y },
    { xMm: x + r, yMm: y },
  ];
  return [
    { a, b, bulge: 1 },
    { a: b, b: a, bulge: 1 },
  ];
};

/** Farther out than this nothing is a piece; also what is no number at all. */
const FARTHEST = 1e7;
const isNear = ({ xMm, yMm }: Side['a']): boolean =>
  Math.abs(xMm) <= FARTHEST && Math.abs(yMm) <= FARTHEST;

/** An entity as sides with a place, or in words why it is left. */
function soundSides(entity: IEntity): readonly Side[] | string {
  const { center, vertices } = entity as Partial<ICircleEntity & ILwpolylineEntity>;
  if (['CIRCLE', 'ARC', 'ELLIPSE'].includes(entity.type) && !center)
    return 'circles and arcs without a centre';
  if (/POLYLINE$/.test(entity.type) && !vertices?.length) return 'polylines without points';
  const sides = sidesOf(entity);
  if (typeof sides === 'string') return sides;
  return sides.every(({ a, b, bulge }) => isNear(a) && isNear(b) && Number.isFinite(bulge))
    ? sides
    : 'shapes without a place or size';
}

/** An entity as sides, or in words why it is left. */
function sidesOf(entity: IEntity): readonly Side[] | string {
  switch (entity.type) {
    case 'LINE': {
      const { vertices } = entity as ILineEntity;
      const [a, b] = vertices;
      if (!a || !b) return 'lines without ends';
      return isFlat(vertices) ? [{ a: at(a), b: at(b), bulge: 0 }] : '3D lines';
    }
    case 'CIRCLE': {
      const { center, radius } = entity as ICircleEntity;
      return isFlat([center]) ? circleSides(center.x, center.y, radius) : '3D circles';
    }
    case 'ARC':
      return arcSides(entity as IArcEntity);
    case 'LWPOLYLINE':
    case 'POLYLINE':
      return polylineSides(entity as ILwpolylineEntity | IPolylineEntity);
    case 'ELLIPSE': {
      const { center, axisRatio, majorAxisEndPoint: axis } = entity as Partial<IEllipseEntity>;
      if (!center || !axis || axisRatio === undefined) return WHY.ELLIPSE ?? '';
      return Math.abs(axisRatio - 1) < FLAT
        ? circleSides(center.x, center.y, Math.hypot(axis.x, axis.y))
        : (WHY.ELLIPSE ?? '');
    }
    default:
      return WHY[entity.type] ?? `${entity.type} entities`;
  }
}

function arcSides({ center, radius, startAngle, endAngle }: IArcEntity): readonly Side[] | string {
  if (!isFlat([center])) return '3D arcs';
  const turn = (endAngle - startAngle + 4 * Math.PI) % (2 * Math.PI) || 2 * Math.PI;
  const on = (angle: number) => ({
    xMm: center.x + radius * Math.cos(angle),
    yMm: center.y + radius * Math.sin(angle),
  });
  // In two halves, so that a full turn has two different ends.
  const middle = startAngle + turn / 2;
  const bulge = Math.tan(turn / 8);
  return [
    { a: on(startAngle), b: on(middle), bulge },
    { a: on(middle), b: on(startAngle + turn), bulge },
  ];
}

function polylineSides(entity: ILwpolylineEntity | IPolylineEntity): readonly Side[] | string {
  const { vertices, shape } = entity;
  if (
    'is3dPolyline' in entity &&
    (entity.is3dPolyline || entity.is3dPolygonMesh || entity.isPolyfaceMesh)
  )
    return '3D polylines';
  if (!isFlat(vertices)) return '3D polylines';
  return vertices.flatMap((from, index) => {
    const to = vertices[index + 1] ?? (shape ? vertices[0] : undefined);
    const same = to && from.x === to.x && from.y === to.y;
    return to && !same ? [{ a: at(from), b: at(to), bulge: from.bulge || 0 }] : [];
  });
}

const READ_BY_PARSER = new Set(
  'LINE CIRCLE ARC LWPOLYLINE POLYLINE ELLIPSE SPLINE TEXT MTEXT ATTDEF DIMENSION INSERT POINT 3DFACE SOLID VERTEX SEQEND'.split(
    ' ',
  ),
);

/** Counts what the parser passes over in silence: the file is pairs of lines, a code and its value. */
function unknownEntities(text: string): Tally {
  const left = new Tally();
  const lines = text.split(/\r\n|\r|\n/);
  let inside = false;
  for (let at = 0; at + 1 < lines.length; at += 2) {
    const [code, value = ''] = [lines[at]?.trim(), lines[at + 1]?.trim()];
    if (code === '2' && value === 'ENTITIES') inside = true;
    else if (code === '0' && value === 'ENDSEC') inside = false;
    else if (inside && code === '0' && !READ_BY_PARSER.has(value))
      left.add(WHY[value] ?? `${value.slice(0, 30)} entities`);
  }
  return left;
}
