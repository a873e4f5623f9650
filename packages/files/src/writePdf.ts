import { PDFDocument, type PDFFont } from '@cantoo/pdf-lib';
import type { PointMm } from '@nucleon/core/math/arc';
import { extent, freeEdges, boundingBox } from '@nucleon/core/layout/outline';
import type { Outline } from '@nucleon/core/documents/outline';
import type { KeepOffShape } from '@nucleon/core/documents/piece';
import { isRound, layFlat, wrappedRim } from '@nucleon/core/layout/wrap';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import type { UnitSystem } from '@nucleon/core/data/unitSystem';
import type { FontBytes } from './letters';
import { fontsFor } from './pdfFonts';
import { PdfPen, PT_PER_MM } from './pdfPen';
import type { Sheet, SheetHole } from './sheet';
import {
  FOOT_MM,
  MARGIN_MM,
  MAX_PAGES,
  OVERLAP_MM,
  PAPERS,
  tileName,
  tilesFor,
  type PaperId,
  type Tile,
} from './tiles';

export interface PdfChoice {
  readonly paper: PaperId;
  /** For marking from the back. */
  readonly mirrored: boolean;
  readonly units: UnitSystem;
  /** Read where a name has letters that not every reader brings along. */
  readonly fonts: FontBytes | null;
  /** Told after each page; says whether to go on. */
  readonly onPage?: (done: number, of: number) => boolean;
}

type TemplateChoice = Omit<PdfChoice, 'fonts'>;

export type PdfOutcome =
  | {
      readonly kind: 'written';
      readonly bytes: Uint8Array;
      readonly pages: number;
      /** Letters there is no type for: set as a question mark. */
      readonly missing: string;
    }
  | { readonly kind: 'refused'; readonly message: string }
  | { readonly kind: 'cancelled' };

/** Paper that laps over where a strip goes once round, mm. */
const LAP_MM = 10;
/** White round the drawing, so that edge and datum words have room, mm. */
const ROUND_MM = 6;
const CROSS_MM = 4;
/** What a rule of the person's own measures: whole inches or whole centimetres. */
const CHECKS = {
  mm: { squareMm: 20, barMm: 100, tickMm: 10 },
  inch: { squareMm: 25.4, barMm: 101.6, tickMm: 12.7 },
} as const;
/** Every so many ticks of the bar one is longer. */
const LONG_EVERY = 2;
const RED = { red: true } as const;

/** A drawing laid flat: how far it reaches, and how to put it on a page. */
interface FlatDrawing {
  readonly min: PointMm;
  readonly max: PointMm;
  readonly draw: (pen: PdfPen) => void;
}

/** One face at full size on as many pages as it takes. */
export async function writePdf(sheet: Sheet, choice: PdfChoice): Promise<PdfOutcome> {
  const pdf = await PDFDocument.create();
  pdf.setTitle(`${sheet.name}, 1:1 template`);
  pdf.setCreator('Nucleon');
  const { fonts, missing } = await fontsFor(pdf, JSON.stringify(sheet), choice.fonts);
  const added = addTemplate(pdf, fonts.plain, sheet, choice);
  return added.kind === 'added'
    ? { kind: 'written', bytes: await pdf.save(), pages: added.pages, missing }
    : added;
}

export type AddedPages =
  | { readonly kind: 'added'; readonly pages: number }
  | Exclude<PdfOutcome, { readonly kind: 'written' }>;

/** The same pages into a document that has others. */
export function addTemplate(
  pdf: PDFDocument,
  font: PDFFont,
  sheet: Sheet,
  choice: TemplateChoice,
): AddedPages {
  const flat = flatDrawing(sheet, choice.units);
  const [w, h] = [
    flat.max.xMm - flat.min.xMm + 2 * ROUND_MM,
    flat.max.yMm - flat.min.yMm + 2 * ROUND_MM,
  ];
  const tiling = tilesFor(w, h, choice.paper);
  const count = tiling.tiles.length;
  if (count > MAX_PAGES)
    return {
      kind: 'refused',
      message: `At full size this takes ${count} pages of ${PAPERS[choice.paper].name}; at most ${MAX_PAGES} are made. Print it on a plotter from the DXF or SVG.`,
    };
  for (const [index, tile] of tiling.tiles.entries()) {
    drawPage(pdf, font, { sheet, choice, flat, tile, widthMm: w, tiling });
    if (choice.onPage?.(index + 1, count) === false) return { kind: 'cancelled' };
  }
  return { kind: 'added', pages: count };
}

interface PageJob {
  readonly sheet: Sheet;
  readonly choice: TemplateChoice;
  readonly flat: FlatDrawing;
  readonly tile: Tile;
  readonly widthMm: number;
  readonly tiling: ReturnType<typeof tilesFor>;
}

function drawPage(pdf: PDFDocument, font: PDFFont, job: PageJob): void {
  const { choice, flat, tile, widthMm, tiling } = job;
  const page = pdf.addPage([tiling.pageWidthMm * PT_PER_MM, tiling.pageHeightMm * PT_PER_MM]);
  const pen = new PdfPen(page, font);
  const foot = MARGIN_MM + FOOT_MM;
  const window = { xMm: MARGIN_MM, yMm: foot, widthMm: tile.widthMm, heightMm: tile.heightMm };
  // From the tile's corner to the drawing's own coordinates; mirrored about the drawing's width.
  const origin = { xMm: MARGIN_MM - tile.xMm, yMm: foot - tile.yMm - flat.min.yMm + ROUND_MM };
  const drawing = choice.mirrored
    ? pen.from(origin, widthMm - ROUND_MM + flat.min.xMm)
    : pen.from({ ...origin, xMm: origin.xMm - flat.min.xMm + ROUND_MM });
  pen.within(window, () => {
    flat.draw(drawing);
  });
  drawRegistration(pen, job);
  drawFoot(pen, job);
}

/** Crosses where pages meet: lay one on the other until they fall together. */
function drawRegistration(pen: PdfPen, { tile, tiling }: PageJob): void {
  const foot = MARGIN_MM + FOOT_MM;
  const half = OVERLAP_MM / 2;
  const edges = (from: number, size: number, count: number, at: number): readonly number[] => [
    ...(at > 0 ? [from + half] : []),
    ...(at < count - 1 ? [from + size - half] : []),
  ];
  const xs = edges(MARGIN_MM, tile.widthMm, tiling.columns, tile.column);
  const ys = edges(foot, tile.heightMm, tiling.rows, tile.row);
  const cross = (x: number, y: number): void => {
    const style = { widthMm: 0.15, grey: 0.35 };
    pen.line({ xMm: x - 4, yMm: y }, { xMm: x + 4, yMm: y }, style);
    pen.line({ xMm: x, yMm: y - 4 }, { xMm: x, yMm: y + 4 }, style);
    pen.circle({ xMm: x, yMm: y }, 4, style);
  };
  const along = (from: number, size: number): readonly number[] => [
    from + size * 0.2,
    from + size * 0.8,
  ];
  xs.forEach((x) => along(foot, tile.heightMm).forEach((y) => cross(x, y)));
  ys.forEach((y) => along(MARGIN_MM, tile.widthMm).forEach((x) => cross(x, y)));
}

function drawFoot(pen: PdfPen, { sheet, choice, tile, tiling }: PageJob): void {
  const { squareMm, barMm, tickMm } = CHECKS[choice.units.length];
  const base = pen.from({ xMm: MARGIN_MM, yMm: MARGIN_MM });
  base.box({ xMm: 0, yMm: 6 }, squareMm);
  base.words({ xMm: 1.5, yMm: 15 }, formatLengthShort(squareMm, choice.units), 3);
  base.words({ xMm: 1.5, yMm: 10.5 }, 'square', 3);
  const bar = base.from({ xMm: MARGIN_MM + 30, yMm: MARGIN_MM + 8 });
  bar.line({ xMm: 0, yMm: 0 }, { xMm: barMm, yMm: 0 });
  for (let tick = 0; tick * tickMm <= barMm + 0.1; tick++)
    bar.line(
      { xMm: tick * tickMm, yMm: 0 },
      { xMm: tick * tickMm, yMm: tick % LONG_EVERY === 0 ? 4 : 2.5 },
    );
  bar.words({ xMm: barMm + 2, yMm: 0 }, formatLengthShort(barMm, choice.units), 3);
  bar.words(
    { xMm: 0, yMm: 7 },
    'Print at 100 %, no fitting to the page. Measure bar and square before use.',
    3,
  );
  const back = choice.mirrored ? ' Mirrored: for the back.' : '';
  const many =
    tiling.tiles.length > 1
      ? ` Page ${tileName(tile)} of ${tileName({ column: 0, row: 0 })} to ${tileName({ column: tiling.columns - 1, row: tiling.rows - 1 })}: lay the crosses of neighbours on each other.`
      : '';
  bar.words({ xMm: 0, yMm: 12 }, `${sheet.name}, 1:1.${back}`, 4);
  if (many) bar.words({ xMm: 0, yMm: -5 }, many.trim(), 3);
}

function flatDrawing(sheet: Sheet, units: UnitSystem): FlatDrawing {
  const { outline } = sheet;
  return isRound(outline) ? strip(sheet, outline, units) : plain(sheet, units);
}

function plain({ outline, holes, keepOff }: Sheet, units: UnitSystem): FlatDrawing {
  const sides = freeEdges(outline);
  return {
    ...extent(sides),
    draw: (pen) => {
      pen.sides(sides, { widthMm: 0.35 });
      keepOff.forEach(({ shape }) => {
        keepOffOn(pen, shape);
      });
      holes.forEach((hole) => {
        pen.circle(hole, hole.diameterMm, RED);
        centreOf(pen, hole, hole.diameterMm, holeWords(hole, units));
      });
    },
  };
}

const holeWords = ({ label, diameterMm }: SheetHole, units: UnitSystem): string =>
  `${label} ${formatLengthShort(diameterMm, units)}`;

function centreOf(pen: PdfPen, at: PointMm, diameterMm: number, words: string): void {
  const reach = diameterMm / 2 + CROSS_MM;
  const thin = { widthMm: 0.15 };
  pen.line({ xMm: at.xMm - reach, yMm: at.yMm }, { xMm: at.xMm + reach, yMm: at.yMm }, thin);
  pen.line({ xMm: at.xMm, yMm: at.yMm - reach }, { xMm: at.xMm, yMm: at.yMm + reach }, thin);
  // Right of the cross as the page is read, mirrored or not.
  pen.words({ xMm: at.xMm, yMm: at.yMm + diameterMm / 2 + 1.5 }, words, 3, 1.5);
}

function keepOffOn(pen: PdfPen, shape: KeepOffShape): void {
  const dashed = { widthMm: 0.2, dashMm: [2, 1.5], grey: 0.3 } as const;
  if (shape.kind === 'circle') {
    pen.circle(shape, shape.diameterMm, dashed);
  } else if (shape.kind === 'line') {
    pen.polyline(
      shape.pointsMm.map(([xMm, yMm]) => ({ xMm, yMm })),
      false,
      dashed,
    );
  } else {
    const { xMm: x, yMm: y, widthMm: w, heightMm: h } = shape;
    const corner = (dx: number, dy: number): PointMm => ({ xMm: x + dx, yMm: y + dy });
    pen.polyline([corner(0, 0), corner(w, 0), corner(w, h), corner(0, h)], true, dashed);
  }
}

/** A round piece's wall laid flat, with a lap to stick it and rims as they lie once wrapped. */
function strip(
  { holes }: Sheet,
  outline: Extract<Outline, { kind: 'cylinder' | 'cone' }>,
  units: UnitSystem,
): FlatDrawing {
  const { widthMm, heightMm } = boundingBox(outline);
  const lie = (p: PointMm): PointMm => {
    const [xMm, yMm] = layFlat(outline, p);
    return { xMm, yMm };
  };
  const STEPS = 120;
  const along = (yMm: number, from: number, to: number): PointMm[] =>
    Array.from({ length: STEPS + 1 }, (_, i) =>
      lie({ xMm: from + ((to - from) * i) / STEPS, yMm }),
    );
  const edge = [...along(0, 0, widthMm), ...along(heightMm, widthMm, 0)];
  const lap = [
    ...along(0, widthMm, widthMm + LAP_MM),
    ...along(heightMm, widthMm + LAP_MM, widthMm),
  ];
  const xs = [...edge, ...lap].map(({ xMm }) => xMm);
  const ys = [...edge, ...lap].map(({ yMm }) => yMm);
  return {
    min: { xMm: Math.min(...xs), yMm: Math.min(...ys) },
    max: { xMm: Math.max(...xs), yMm: Math.max(...ys) },
    draw: (pen) => {
      pen.polyline(edge, true, { widthMm: 0.35 });
      pen.polyline(lap, true, { widthMm: 0.15, dashMm: [2, 2], grey: 0.4 });
      const seam = lie({ xMm: 0, yMm: heightMm / 2 });
      pen.words({ xMm: seam.xMm + 1.5, yMm: seam.yMm }, 'Seam: lap the other end under here', 2.5);
      holes.forEach((hole) => {
        pen.polyline(wrappedRim(outline, hole, hole.diameterMm).map(lie), true, RED);
        centreOf(pen, lie(hole), hole.diameterMm, holeWords(hole, units));
      });
    },
  };
}
