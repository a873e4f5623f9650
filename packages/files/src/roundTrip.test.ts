import type { Piece, PieceWithHoles } from '@nucleon/core/documents/piece';
import { pieceFromDrawing } from './pieceFromDrawing';
import { readDrawing } from './readDrawing';
import { sheetOf } from './sheet';
import { writeDxf } from './writeDxf';
import { writeSvg } from './writeSvg';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const piece = (
  outline: Piece['outline'],
  holes: readonly [number, number, number][],
): PieceWithHoles => ({
  id: 'p',
  name: 'Plate & “dial”',
  form: 'sheet',
  material: 'float-glass',
  thicknessMm: 6,
  outline,
  keepOff: [
    {
      id: 'k',
      kind: 'rib',
      shape: {
        kind: 'line',
        pointsMm: [
          [1, 1],
          [9, 9],
        ],
      },
    },
  ],
  holes: holes.map(([xMm, yMm, diameterMm], index) => ({
    id: `h${index}`,
    label: `Loch ß ${index}`,
    xMm,
    yMm,
    diameterMm,
    depth: { kind: 'through' },
  })),
});

const PLATES: readonly PieceWithHoles[] = [
  piece({ kind: 'rectangle', widthMm: 300.123, heightMm: 200.5 }, [
    [33.337, 44.4412, 8],
    [250.0049, 150, 35.5],
  ]),
  piece({ kind: 'circle', diameterMm: 420 }, [
    [210, 210, 22],
    [60.25, 210, 6],
  ]),
  piece(
    {
      kind: 'polygon',
      pointsMm: [
        [0, 0],
        [100, 0],
        [100, 60],
        [0, 60],
      ],
      bulges: [0, 1, 0, -0.2],
    },
    [[110, 30, 12.7]],
  ),
];

describe.each([
  ['DXF', writeDxf, 'a.dxf'],
  ['SVG', writeSvg, 'a.svg'],
] as const)('%s, out and in again', (_name, write, file) => {
  it.each(PLATES.map((plate) => [plate.outline.kind, plate] as const))(
    'keeps a %s and its holes to 0.01 mm',
    (_kind, plate) => {
      const read = readDrawing(bytes(write(sheetOf(plate, plate.holes))), file);
      if (read.kind !== 'read') throw new Error(read.message);
      expect(read.drawn.mmPerUnit).toBeCloseTo(1, 6);
      const made = pieceFromDrawing(read.drawn, { mmPerUnit: read.drawn.mmPerUnit ?? 0 });
      if (made.kind !== 'piece') throw new Error(made.message);
      expect(made.outline.kind).toBe(plate.outline.kind);
      expect(made.holes).toHaveLength(plate.holes.length);
      for (const hole of plate.holes) {
        const near = made.holes.find(
          (one) => Math.hypot(one.xMm - hole.xMm, one.yMm - hole.yMm) < 0.01,
        );
        expect(Math.abs((near?.diameterMm ?? 0) - hole.diameterMm)).toBeLessThan(0.01);
      }
      if (made.outline.kind === 'polygon' && plate.outline.kind === 'polygon') {
        expect(made.outline.pointsMm).toEqual(plate.outline.pointsMm);
        made.outline.bulges?.forEach((bulge, index) => {
          const wanted = plate.outline.kind === 'polygon' ? plate.outline.bulges?.[index] : 0;
          expect(bulge).toBeCloseTo(wanted ?? 0, 4);
        });
      }
    },
  );
});
