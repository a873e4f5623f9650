import type { DrillCase } from '@nucleon/core/setup/drillCase';
import { makePlan } from '@nucleon/core/words/plan/makePlan';
import { packingListOf } from '@nucleon/core/words/run/packingList';
import type { UnitSystem } from '@nucleon/core/data/unitSystem';
import { PDFDocument, StandardFonts } from '@cantoo/pdf-lib';
import { addBenchCard, type CardFonts } from './benchCard';
import { PdfPen, PT_PER_MM } from './pdfPen';
import { PdfText } from './pdfText';
import { sheetOf } from './sheet';
import { PAPERS, type PaperId } from './tiles';
import { addTemplate, type PdfOutcome } from './writePdf';

export interface PackChoice {
  readonly paper: PaperId;
  readonly units: UnitSystem;
  readonly now: Date;
  /** The cards alone, without lists and templates. */
  readonly cardsOnly?: boolean;
  /** Told after each page; says whether to go on. */
  readonly onPage?: (done: number, of: number) => boolean;
}

/** What is to be drilled, in the order of its cards. */
export interface JobOnPaper {
  readonly jobName: string;
  readonly cases: readonly DrillCase[];
}

const MARGIN_MM = 15;
const BOX_MM = 4;

/** A job on paper: what to lay out, a card for each hole, and each piece's template at full size. */
export async function writeJobPack(
  { jobName, cases }: JobOnPaper,
  choice: PackChoice,
): Promise<PdfOutcome> {
  const { cardsOnly = false, onPage, paper, units, now } = choice;
  const pdf = await PDFDocument.create();
  pdf.setTitle(jobName);
  pdf.setCreator('Nucleon');
  const fonts: CardFonts = {
    plain: await pdf.embedFont(StandardFonts.Helvetica),
    bold: await pdf.embedFont(StandardFonts.HelveticaBold),
  };
  const cards = cases.flatMap((drillCase) => {
    const outcome = makePlan(drillCase, units);
    const { piece, hole } = drillCase;
    return outcome.kind === 'planned' ? [{ jobName, piece, hole, plan: outcome.plan }] : [];
  });
  if (cards.length === 0)
    return { kind: 'refused', message: 'There is no hole here that a plan can be made of.' };
  const drilled = cardsOnly ? [] : [...new Set(cases.map(({ piece }) => piece.id))];
  const parts = cards.length + drilled.length + (cardsOnly ? 0 : 1);
  let done = 0;
  const goesOn = (): boolean => onPage?.(++done, parts) !== false;

  if (!cardsOnly) {
    addPackingList(pdf, fonts, { jobName, cases }, paper, units);
    if (!goesOn()) return { kind: 'cancelled' };
  }
  for (const card of cards) {
    addBenchCard(pdf, fonts, card, { paper, units, now });
    if (!goesOn()) return { kind: 'cancelled' };
  }
  for (const pieceId of drilled) {
    const of = cases.filter(({ piece }) => piece.id === pieceId);
    if (!of[0]) continue;
    const sheet = sheetOf(
      of[0].piece,
      of.map(({ hole }) => hole),
    );
    const added = addTemplate(pdf, fonts.plain, sheet, { paper, mirrored: false, units });
    // A piece too large to print is left to the plotter: its cards are here all the same.
    if (added.kind === 'cancelled' || !goesOn()) return { kind: 'cancelled' };
  }
  return { kind: 'written', bytes: await pdf.save(), pages: pdf.getPageCount() };
}

function addPackingList(
  pdf: PDFDocument,
  { plain, bold }: CardFonts,
  { jobName, cases }: JobOnPaper,
  paper: PaperId,
  units: UnitSystem,
): void {
  const { widthMm, heightMm } = PAPERS[paper];
  const page = pdf.addPage([widthMm * PT_PER_MM, heightMm * PT_PER_MM]);
  const text = new PdfText(page, MARGIN_MM, widthMm - 2 * MARGIN_MM, heightMm - MARGIN_MM);
  text.put(bold, jobName, 7);
  text.put(plain, 'To lay out', 4.5, { grey: 0.3 });
  text.skip(4);
  const pen = new PdfPen(page, plain);
  for (const item of packingListOf(cases, units)) {
    const y = text.yMm - BOX_MM - 1.4;
    pen.box({ xMm: MARGIN_MM, yMm: y }, BOX_MM);
    text.put(plain, item.text, 4.2, { indentMm: BOX_MM + 3 });
    text.skip(2);
  }
}
