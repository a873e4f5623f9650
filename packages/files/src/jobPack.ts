import type { DrillCase } from '@nucleon/core/setup/drillCase';
import { makePlan } from '@nucleon/core/words/plan/makePlan';
import { packingList } from '@nucleon/core/words/run/packingList';
import type { UnitSystem } from '@nucleon/core/data/unitSystem';
import { PDFDocument } from '@cantoo/pdf-lib';
import { addBenchCard, type Card } from './benchCard';
import type { FontBytes } from './letters';
import { fontsFor, type PdfFonts } from './pdfFonts';
import { PdfPen, PT_PER_MM } from './pdfPen';
import { PdfText } from './pdfText';
import { sheetOf } from './sheet';
import { PAPERS, type PaperId } from './tiles';
import { addTemplate, type PdfOutcome } from './writePdf';

export interface PackChoice {
  readonly paper: PaperId;
  readonly units: UnitSystem;
  readonly now: Date;
  /** Read where a name has letters that not every reader brings along. */
  readonly fonts: FontBytes | null;
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
  const named = JSON.stringify([jobName, cases.map(({ piece, hole, kit }) => [piece, hole, kit])]);
  const { fonts, missing } = await fontsFor(pdf, named, choice.fonts);
  const drilled = cardsOnly ? [] : [...new Set(cases.map(({ piece }) => piece.id))];
  const parts = cases.length + drilled.length;
  let done = 0;
  const goesOn = (): boolean => onPage?.(++done, parts) !== false;

  const cards: Card[] = [];
  for (const drillCase of cases) {
    const outcome = makePlan(drillCase, units);
    if (outcome.kind === 'planned') {
      const card = { jobName, ...drillCase, plan: outcome.plan };
      addBenchCard(pdf, fonts, card, { paper, units, now });
      cards.push(card);
    }
    if (!goesOn()) return { kind: 'cancelled' };
  }
  if (cards.length === 0)
    return { kind: 'refused', message: 'There is no hole here that a plan can be made of.' };
  if (!cardsOnly) addPackingList(pdf, fonts, { jobName, cards }, paper, units);
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
  return { kind: 'written', bytes: await pdf.save(), pages: pdf.getPageCount(), missing };
}

function addPackingList(
  pdf: PDFDocument,
  { plain, bold }: PdfFonts,
  { jobName, cards }: { readonly jobName: string; readonly cards: readonly Card[] },
  paper: PaperId,
  units: UnitSystem,
): void {
  const { widthMm, heightMm } = PAPERS[paper];
  // Known when every hole is planned, and read first.
  const page = pdf.insertPage(0, [widthMm * PT_PER_MM, heightMm * PT_PER_MM]);
  const text = new PdfText(page, MARGIN_MM, widthMm - 2 * MARGIN_MM, heightMm - MARGIN_MM);
  text.put(bold, jobName, 7);
  text.put(plain, 'To lay out', 4.5, { grey: 0.3 });
  text.skip(4);
  const pen = new PdfPen(page, plain);
  for (const item of packingList(cards, units)) {
    const y = text.yMm - BOX_MM - 1.4;
    pen.box({ xMm: MARGIN_MM, yMm: y }, BOX_MM);
    text.put(plain, item.text, 4.2, { indentMm: BOX_MM + 3 });
    text.skip(2);
  }
}
