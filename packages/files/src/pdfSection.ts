import type { Primitive, Section, Tone } from '@nucleon/core/math/primitives';
import { rgb, type PDFFont, type PDFPage, type RGB } from '@cantoo/pdf-lib';
import { PT_PER_MM } from './pdfPen';
import { PdfText } from './pdfText';

/** Pale enough to write on, apart in grey as in colour. */
const FILLS: Readonly<Record<Tone, RGB>> = {
  glass: rgb(0.85, 0.92, 0.92),
  ceramic: rgb(0.9, 0.85, 0.8),
  stone: rgb(0.82, 0.83, 0.83),
  masonry: rgb(0.87, 0.77, 0.7),
  soft: rgb(0.93, 0.92, 0.88),
  wood: rgb(0.91, 0.84, 0.7),
  hard: rgb(0.78, 0.81, 0.82),
  grain: rgb(0.9, 0.87, 0.78),
  water: rgb(0.8, 0.9, 0.93),
  turbidity: rgb(0.95, 0.96, 0.95),
  void: rgb(1, 1, 1),
  rim: rgb(0.63, 0.27, 0.06),
  barrel: rgb(0.55, 0.6, 0.62),
  core: rgb(0.85, 0.92, 0.92),
  part: rgb(0.65, 0.7, 0.72),
  gasket: rgb(0.4, 0.45, 0.4),
  ink: rgb(0.1, 0.14, 0.17),
  muted: rgb(0.4, 0.45, 0.48),
  caution: rgb(0.48, 0.3, 0),
};
const EDGE = rgb(0.35, 0.4, 0.42);
const LABEL_MM = 2.8;

interface SectionBox {
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** Room for words beside the drawing, mm. */
const LEFT_MM = 14;
const RIGHT_MM = 30;

/** A section to one scale within a box of the page, its words beside it. */
export function drawSection(page: PDFPage, font: PDFFont, section: Section, box: SectionBox): void {
  const { halfWidthMm, topMm, bottomMm } = section;
  const scale = Math.min(
    (box.widthMm - LEFT_MM - RIGHT_MM) / (2 * halfWidthMm),
    box.heightMm / (bottomMm - topMm),
  );
  const middle = box.xMm + LEFT_MM + (box.widthMm - LEFT_MM - RIGHT_MM) / 2;
  const X = (x: number): number => (middle + x * scale) * PT_PER_MM;
  const Y = (z: number): number => (box.yMm + box.heightMm - (z - topMm) * scale) * PT_PER_MM;
  for (const primitive of section.primitives) draw(page, primitive, X, Y);
  const spread = { left: Infinity, right: Infinity };
  for (const label of [...section.labels].sort((a, b) => a.z - b.z)) {
    const side = label.side === 'left' ? 'left' : 'right';
    // Words of one side never stand on each other.
    const y = Math.min(Y(label.z) - LABEL_MM, spread[side] - LABEL_MM * 1.25 * PT_PER_MM);
    spread[side] = y;
    const text = PdfText.printable(font, label.text);
    const size = LABEL_MM * PT_PER_MM;
    const x =
      side === 'left'
        ? X(-halfWidthMm) - font.widthOfTextAtSize(text, size) - 4
        : X(halfWidthMm) + 6;
    page.drawText(text, {
      x,
      y,
      size,
      font,
      color: FILLS[label.tone === 'water' ? 'ink' : label.tone],
    });
  }
}

function draw(
  page: PDFPage,
  p: Primitive,
  X: (x: number) => number,
  Y: (z: number) => number,
): void {
  switch (p.kind) {
    case 'area':
      page.drawRectangle({
        x: X(p.x0),
        y: Y(p.z1),
        width: X(p.x1) - X(p.x0),
        height: Y(p.z0) - Y(p.z1),
        color: FILLS[p.tone],
        ...(p.outlined ? { borderColor: EDGE, borderWidth: 0.4 } : {}),
      });
      return;
    case 'path': {
      const [first, ...rest] = p.points;
      if (!first) return;
      // SVG paths run downwards from the place they are given.
      const at = ([x, z]: readonly [number, number]): string => `${X(x)} ${-Y(z)}`;
      page.drawSvgPath(`M ${at(first)} ${rest.map((point) => `L ${at(point)}`).join(' ')} Z`, {
        x: 0,
        y: 0,
        color: FILLS[p.tone],
        borderColor: EDGE,
        borderWidth: 0.4,
      });
      return;
    }
    case 'line':
      page.drawLine({
        start: { x: X(p.x0), y: Y(p.z0) },
        end: { x: X(p.x1), y: Y(p.z1) },
        thickness: p.heavy ? 1 : 0.5,
        color: FILLS[p.tone === 'water' ? 'muted' : p.tone],
        ...(p.dashed ? { dashArray: [4, 3] } : {}),
      });
      return;
    case 'water-line':
      page.drawLine({
        start: { x: X(p.x0), y: Y(p.z) },
        end: { x: X(p.x1), y: Y(p.z) },
        thickness: 0.8,
        color: FILLS.muted,
      });
      return;
    case 'disc':
      page.drawCircle({
        x: X(p.x),
        y: Y(p.z),
        size: X(p.radiusMm) - X(0),
        borderColor: EDGE,
        borderWidth: 0.5,
        ...(p.hollow ? {} : { color: FILLS[p.tone] }),
      });
      return;
    case 'arrow':
    case 'turn':
    case 'dimension':
      return;
  }
}
