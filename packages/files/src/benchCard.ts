import type { Hole } from '@nucleon/core/documents/hole';
import type { Piece } from '@nucleon/core/documents/piece';
import { headlineFigures } from '@nucleon/core/words/plan/figures';
import type { Plan } from '@nucleon/core/documents/plan';
import { readyCheck } from '@nucleon/core/words/run/readyCheck';
import { sectionOf, tellingDepth } from '@nucleon/core/drawing/sectionOf';
import type { UnitSystem } from '@nucleon/core/data/unitSystem';
import type { PDFDocument, PDFPage } from '@cantoo/pdf-lib';
import type { PdfFonts } from './pdfFonts';
import { PdfPen, PT_PER_MM } from './pdfPen';
import { drawSection } from './pdfSection';
import { PdfText } from './pdfText';
import { PAPERS, type PaperId } from './tiles';

/** One hole as it lies on the bench. */
export interface Card {
  readonly jobName: string;
  readonly piece: Piece;
  readonly hole: Hole;
  readonly plan: Plan;
}

const MARGIN_MM = 12;
const FOOT_MM = 30;
const SECTION_MM = { widthMm: 116, heightMm: 66 };
const BOX_MM = 3.4;
/** The steps are set as large as they fit, and never smaller than can be read with glasses on. */
const STEP_SIZES_MM = [3.6, 3.3, 3, 2.7, 2.4, 2.1];

/** One hole on one page: the section, the numbers, what to see to, the steps, and room to write what came. */
export function addBenchCard(
  pdf: PDFDocument,
  fonts: PdfFonts,
  card: Card,
  {
    paper,
    units,
    now,
  }: { readonly paper: PaperId; readonly units: UnitSystem; readonly now: Date },
): void {
  const { widthMm, heightMm } = PAPERS[paper];
  const page = pdf.addPage([widthMm * PT_PER_MM, heightMm * PT_PER_MM]);
  const { plan, piece, hole, jobName } = card;
  const name = hole.label?.trim() ? hole.label : 'Hole';
  const inner = widthMm - 2 * MARGIN_MM;
  const head = new PdfText(page, MARGIN_MM, inner, heightMm - MARGIN_MM);
  head.put(fonts.bold, `${name} · ${piece.name}`, 6.5);
  head.put(fonts.plain, jobName, 3.6, { grey: 0.3 });
  head.skip(3);
  const sectionTop = head.yMm;
  drawSection(
    page,
    fonts.plain,
    sectionOf(plan, { pieceThicknessMm: piece.thicknessMm, units, atDepthMm: tellingDepth(plan) }),
    { xMm: MARGIN_MM, yMm: sectionTop - SECTION_MM.heightMm, ...SECTION_MM },
  );
  const figures = new PdfText(
    page,
    MARGIN_MM + SECTION_MM.widthMm + 4,
    inner - SECTION_MM.widthMm - 4,
    sectionTop,
  );
  for (const { label, shown } of headlineFigures(plan, units)) {
    figures.put(fonts.plain, label, 3, { grey: 0.3 });
    figures.put(fonts.bold, `${shown.value} ${shown.unit}`, 5.6);
    figures.skip(1);
  }
  const checksTop = Math.min(sectionTop - SECTION_MM.heightMm, figures.yMm) - 4;
  const stepsTop = drawChecks(page, fonts, card, { top: checksTop, inner, units, now });
  drawSteps(page, fonts, plan, { top: stepsTop - 3, inner, foot: MARGIN_MM + FOOT_MM });
  drawFoot(page, fonts, plan, inner);
}

interface Space {
  readonly top: number;
  readonly inner: number;
}

/** Stops and checks still open, then what to see to: boxes to tick, in two columns. Returns where it ends. */
function drawChecks(
  page: PDFPage,
  fonts: PdfFonts,
  { plan, piece, hole }: Card,
  { top, inner, units, now }: Space & { readonly units: UnitSystem; readonly now: Date },
): number {
  const open = plan.gates.filter(({ level }) => level !== 'note');
  const lines = [
    ...open.map(({ level, title }) => (level === 'stop' ? `STOP: ${title}` : title)),
    ...readyCheck({ plan, piece, hole, bit: null, due: null, practice: 'none', now, units }).map(
      ({ title }) => title,
    ),
  ];
  const half = Math.ceil(lines.length / 2);
  const pen = new PdfPen(page, fonts.plain);
  const ends = [lines.slice(0, half), lines.slice(half)].map((column, index) => {
    const x = MARGIN_MM + index * (inner / 2);
    const text = new PdfText(page, x + BOX_MM + 2, inner / 2 - BOX_MM - 4, top);
    for (const line of column) {
      const y = text.yMm - BOX_MM - 1;
      pen.box({ xMm: x, yMm: y }, BOX_MM);
      text.put(fonts.plain, line, 3.4);
      text.skip(1.2);
    }
    return text.yMm;
  });
  return Math.min(...ends);
}

function drawSteps(
  page: PDFPage,
  { plain, bold }: PdfFonts,
  plan: Plan,
  { top, inner, foot }: Space & { readonly foot: number },
): void {
  const text = new PdfText(page, MARGIN_MM, inner, top);
  const indentMm = 7;
  const height = (size: number): number =>
    plan.steps.reduce(
      (sum, { title, detail }) =>
        sum +
        text.heightMm(bold, title, size, indentMm) +
        text.heightMm(plain, detail, size, indentMm) +
        0.8,
      0,
    );
  const size =
    STEP_SIZES_MM.find((one) => height(one) <= top - foot) ?? STEP_SIZES_MM.at(-1) ?? 2.1;
  plan.steps.forEach(({ title, detail }, index) => {
    const needs =
      text.heightMm(bold, title, size, indentMm) + text.heightMm(plain, detail, size, indentMm);
    if (text.yMm - needs < foot - 2) return;
    const number = new PdfText(page, MARGIN_MM, indentMm, text.yMm);
    number.put(bold, String(index + 1), size);
    text.put(bold, title, size, { indentMm });
    text.put(plain, detail, size, { indentMm });
    text.skip(0.8);
  });
}

/** Room to write by hand what the log will want. */
function drawFoot(page: PDFPage, { plain }: PdfFonts, plan: Plan, inner: number): void {
  const pen = new PdfPen(page, plain);
  pen.line(
    { xMm: MARGIN_MM, yMm: MARGIN_MM + FOOT_MM - 4 },
    { xMm: MARGIN_MM + inner, yMm: MARGIN_MM + FOOT_MM - 4 },
  );
  const fields = [
    'Took, min',
    'Entry chip',
    'Exit chip',
    'Across',
    'Fine / usable / spoiled',
    'Date',
  ];
  const width = inner / fields.length;
  fields.forEach((field, index) => {
    const x = MARGIN_MM + index * width;
    pen.words({ xMm: x, yMm: MARGIN_MM + FOOT_MM - 9 }, field, 2.8);
    pen.line(
      { xMm: x, yMm: MARGIN_MM + 9 },
      { xMm: x + width - 4, yMm: MARGIN_MM + 9 },
      { widthMm: 0.15, grey: 0.4 },
    );
  });
  pen.words(
    { xMm: MARGIN_MM, yMm: MARGIN_MM + 2 },
    `An engineering estimate, model ${plan.modelVersion}, data ${plan.dataVersion}. It does not replace your makers’ instructions or local rules.`,
    2.4,
  );
}
