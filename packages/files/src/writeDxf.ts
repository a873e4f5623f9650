import { Colors, DxfWriter, LWPolylineFlags, Units, point2d, point3d } from '@tarikjabiri/dxf';
import { freeEdges } from '@nucleon/core/layout/outline';
import type { Outline } from '@nucleon/core/documents/outline';
import { boundingBox } from '@nucleon/core/layout/outline';
import { HOLE_LAYER, OUTLINE_LAYER } from './drawnFile';
import type { Sheet } from './sheet';

/** How far a centre cross reaches beyond its hole, mm. */
const CROSS_MM = 3;

/** One face as DXF in millimetres: outline and holes on layers of their own, crosses and names on MARKS. */
export function writeDxf({ outline, holes, keepOff }: Sheet): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  dxf.addLayer(OUTLINE_LAYER, Colors.White, 'Continuous');
  dxf.addLayer(HOLE_LAYER, Colors.Red, 'Continuous');
  dxf.addLayer('MARKS', Colors.Cyan, 'Continuous');
  dxf.addLayer('KEEP_OFF', Colors.Yellow, 'Continuous');
  const on = (layerName: string) => ({ layerName });
  if (outline.kind === 'circle') {
    const r = outline.diameterMm / 2;
    dxf.addCircle(point3d(r, r), r, on(OUTLINE_LAYER));
  } else {
    dxf.addLWPolyline(
      around(outline).map(({ x, y, bulge }) => ({ point: point2d(x, y), bulge })),
      { ...on(OUTLINE_LAYER), flags: LWPolylineFlags.Closed },
    );
  }
  for (const { xMm: x, yMm: y, diameterMm, label } of holes) {
    const reach = diameterMm / 2 + CROSS_MM;
    dxf.addCircle(point3d(x, y), diameterMm / 2, on(HOLE_LAYER));
    dxf.addLine(point3d(x - reach, y), point3d(x + reach, y), on('MARKS'));
    dxf.addLine(point3d(x, y - reach), point3d(x, y + reach), on('MARKS'));
    dxf.addText(point3d(x + reach, y + 1), 3, asciiName(label), on('MARKS'));
  }
  for (const { shape } of keepOff) {
    if (shape.kind === 'circle') {
      dxf.addCircle(point3d(shape.xMm, shape.yMm), shape.diameterMm / 2, on('KEEP_OFF'));
    } else if (shape.kind === 'rectangle') {
      const { xMm: x, yMm: y, widthMm: w, heightMm: h } = shape;
      dxf.addRectangle(point2d(x, y + h), point2d(x + w, y), on('KEEP_OFF'));
    } else {
      dxf.addLWPolyline(
        shape.pointsMm.map(([x, y]) => ({ point: point2d(x, y) })),
        on('KEEP_OFF'),
      );
    }
  }
  return dxf.stringify();
}

/** Text of a DXF holds one line of plain letters. */
const asciiName = (label: string): string =>
  label.replace(
    /[^\x20-\x7e]/g,
    (letter) => `\\U+${letter.charCodeAt(0).toString(16).padStart(4, '0')}`,
  );

/** The corners of a face in turn with the bulge of the side that follows. */
export function around(outline: Outline): readonly { x: number; y: number; bulge: number }[] {
  if (outline.kind === 'cylinder' || outline.kind === 'cone') {
    const { widthMm, heightMm } = boundingBox(outline);
    return around({ kind: 'rectangle', widthMm, heightMm });
  }
  return freeEdges(outline).map(({ a, bulge }) => ({ x: a.xMm, y: a.yMm, bulge }));
}
