import {
  appendBezierCurve,
  clip,
  closePath,
  endPath,
  lineTo,
  moveTo,
  popGraphicsState,
  pushGraphicsState,
  rectangle,
  rgb,
  setDashPattern,
  setLineWidth,
  setStrokingRgbColor,
  stroke,
  type PDFFont,
  type PDFOperator,
  type PDFPage,
} from '@cantoo/pdf-lib';
import { arcOf, type PointMm, type Side } from '@nucleon/core/math/arc';

/** Points of a PDF page in a millimetre. */
export const PT_PER_MM = 72 / 25.4;

export interface Stroke {
  readonly widthMm?: number;
  readonly dashMm?: readonly [number, number];
  readonly grey?: number;
  readonly red?: boolean;
}

/** Draws on one page in millimetres from a given corner. */
export class PdfPen {
  constructor(
    private readonly page: PDFPage,
    private readonly font: PDFFont,
    private readonly origin: PointMm = { xMm: 0, yMm: 0 },
    private readonly mirrorAtMm: number | null = null,
  ) {}

  /** The same page measured from another corner; a mirrored one counts x leftwards from there. */
  from(origin: PointMm, mirrorAtMm: number | null = null): PdfPen {
    return new PdfPen(this.page, this.font, origin, mirrorAtMm);
  }

  #x(xMm: number): number {
    return (this.origin.xMm + (this.mirrorAtMm === null ? xMm : this.mirrorAtMm - xMm)) * PT_PER_MM;
  }
  #y(yMm: number): number {
    return (this.origin.yMm + yMm) * PT_PER_MM;
  }

  within(
    box: { xMm: number; yMm: number; widthMm: number; heightMm: number },
    draw: () => void,
  ): void {
    const [x, y] = [this.#x(box.xMm), this.#y(box.yMm)];
    this.page.pushOperators(
      pushGraphicsState(),
      rectangle(x, y, box.widthMm * PT_PER_MM, box.heightMm * PT_PER_MM),
      clip(),
      endPath(),
    );
    draw();
    this.page.pushOperators(popGraphicsState());
  }

  #stroked(path: readonly PDFOperator[], { widthMm = 0.25, dashMm, grey = 0, red }: Stroke): void {
    const [r, g, b] = red ? [0.63, 0.27, 0.06] : [grey, grey, grey];
    this.page.pushOperators(
      pushGraphicsState(),
      setLineWidth(widthMm * PT_PER_MM),
      setStrokingRgbColor(r, g, b),
      setDashPattern(
        (dashMm ?? []).map((mm) => mm * PT_PER_MM),
        0,
      ),
      ...path,
      stroke(),
      popGraphicsState(),
    );
  }

  line(a: PointMm, b: PointMm, style: Stroke = {}): void {
    this.#stroked(
      [moveTo(this.#x(a.xMm), this.#y(a.yMm)), lineTo(this.#x(b.xMm), this.#y(b.yMm))],
      style,
    );
  }

  polyline(points: readonly PointMm[], closed: boolean, style: Stroke = {}): void {
    const [first, ...rest] = points;
    if (!first) return;
    this.#stroked(
      [
        moveTo(this.#x(first.xMm), this.#y(first.yMm)),
        ...rest.map((p) => lineTo(this.#x(p.xMm), this.#y(p.yMm))),
        ...(closed ? [closePath()] : []),
      ],
      style,
    );
  }

  /** A square to tick, from its lower left corner. */
  box({ xMm, yMm }: PointMm, sizeMm: number): void {
    this.polyline(
      [
        { xMm, yMm },
        { xMm: xMm + sizeMm, yMm },
        { xMm: xMm + sizeMm, yMm: yMm + sizeMm },
        { xMm, yMm: yMm + sizeMm },
      ],
      true,
    );
  }

  /** Sides one after another, arcs as Bézier curves of at most a quarter turn each. */
  sides(sides: readonly Side[], style: Stroke = {}): void {
    const [first] = sides;
    if (!first) return;
    const path = [moveTo(this.#x(first.a.xMm), this.#y(first.a.yMm))];
    sides.forEach((side, index) => {
      const before = sides[index - 1];
      if (before && (before.b.xMm !== side.a.xMm || before.b.yMm !== side.a.yMm))
        path.push(moveTo(this.#x(side.a.xMm), this.#y(side.a.yMm)));
      path.push(...this.#along(side));
    });
    this.#stroked(path, style);
  }

  #along(side: Side): PDFOperator[] {
    const arc = arcOf(side);
    if (!arc) return [lineTo(this.#x(side.b.xMm), this.#y(side.b.yMm))];
    const parts = Math.max(1, Math.ceil(Math.abs(arc.turnRad) / (Math.PI / 2)));
    const step = arc.turnRad / parts;
    // A Bézier arc: handles 4/3·tan(θ/4) radii along the tangent.
    const handle = (4 / 3) * Math.tan(step / 4) * arc.radiusMm;
    return Array.from({ length: parts }, (_, i) => {
      const [from, to] = [arc.startRad + i * step, arc.startRad + (i + 1) * step];
      const on = (angle: number, along: number): [number, number] => [
        this.#x(arc.centre.xMm + arc.radiusMm * Math.cos(angle) - along * Math.sin(angle)),
        this.#y(arc.centre.yMm + arc.radiusMm * Math.sin(angle) + along * Math.cos(angle)),
      ];
      return appendBezierCurve(...on(from, handle), ...on(to, -handle), ...on(to, 0));
    });
  }

  circle(middle: PointMm, diameterMm: number, style: Stroke = {}): void {
    const r = diameterMm / 2;
    const [a, b] = [
      { xMm: middle.xMm - r, yMm: middle.yMm },
      { xMm: middle.xMm + r, yMm: middle.yMm },
    ];
    this.sides(
      [
        { a, b, bulge: 1 },
        { a: b, b: a, bulge: 1 },
      ],
      style,
    );
  }

  /** @param rightMm further right on the page, mirrored or not */
  words(at: PointMm, text: string, sizeMm: number, rightMm = 0): void {
    this.page.drawText(this.printable(text), {
      x: this.#x(at.xMm) + rightMm * PT_PER_MM,
      y: this.#y(at.yMm),
      size: sizeMm * PT_PER_MM,
      font: this.font,
      color: rgb(0, 0, 0),
    });
  }

  /** As far as the page’s type has its letters. */
  printable(text: string): string {
    const known = new Set(this.font.getCharacterSet());
    return Array.from(text, (letter) =>
      known.has(letter.codePointAt(0) ?? 0) ? letter : '?',
    ).join('');
  }
}
